import type { Mockup } from '../mockup/mockup';
import { layersOf } from '../mockup/walk';
import { namedTags } from './names/namedTags';
import { withRegions } from './regions';
import { splitScreens } from './screens/splitScreens';
import { mergeTags, type Tags } from './tag';

/**
 * The mockup after structural tags: marked regions are layers, and every screen of a sheet is a screen of its
 * own.
 */
export function applyStructuralTags(mockup: Mockup, tags: Tags): Mockup {
  return splitScreens(withRegions(mockup, tags), mergeTags(namedTags(layersOf(mockup)), tags));
}

/** The number of layers before any tag: those that the reading report counts. */
export function countLayers(mockup: Mockup): number {
  return layersOf(applyStructuralTags(mockup, new Map())).length;
}

/** The structural tags as text: equal keys give the same structure. */
export function structureKey(tags: Tags): string {
  return JSON.stringify(
    [...tags].flatMap(([key, { screen, regions }]) =>
      screen === undefined && !regions ? [] : [[key, screen, regions]],
    ),
  );
}
