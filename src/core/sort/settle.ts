import type { Mockup } from '../mockup/mockup';
import { layersOf } from '../mockup/walk';
import { namedTags } from './names/namedTags';
import { withRegions } from './regions';
import { splitScreens } from './screens/splitScreens';
import { mergeTags, type Tags } from './tag';

/** The mockup as its tags arrange it: marked regions are layers, and every screen of a sheet stands by itself. */
export function settleMockup(mockup: Mockup, tags: Tags): Mockup {
  return splitScreens(withRegions(mockup, tags), mergeTags(namedTags(layersOf(mockup)), tags));
}

/** How many layers a mockup has before anyone tags it: those that its report counts. */
export function countLayers(mockup: Mockup): number {
  return layersOf(settleMockup(mockup, new Map())).length;
}

/** What of the tags arranges the mockup itself: with equal marks it settles alike. */
export function arrangementMark(tags: Tags): string {
  return JSON.stringify(
    [...tags].flatMap(([key, { screen, regions }]) =>
      screen === undefined && !regions ? [] : [[key, screen, regions]],
    ),
  );
}
