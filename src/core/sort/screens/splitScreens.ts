import { sameBox, transformBox } from '../../mockup/box';
import type { GroupLayer, LayerId } from '../../mockup/layer';
import { IDENTITY, multiply, translation, type Matrix } from '../../mockup/matrix';
import type { Mockup, Screen } from '../../mockup/mockup';
import { hasRadii, outlineBox } from '../../mockup/outline';
import type { Tags } from '../tag';
import { screensOfPages } from './screensOfPages';
import { findScreens, type ScreenCandidate } from './findScreens';

/**
 * The mockup with each screen of its sheet as a screen of its own. A mockup with one screen stays unchanged.
 */
export function splitScreens(mockup: Mockup, tags: Tags): Mockup {
  const [sheet] = mockup.screens;
  const chosen = findScreens(mockup, tags).filter(({ isScreen }) => isScreen);
  if (!sheet) return mockup;
  if (chosen.length === 0) return { ...mockup, screens: screensOfPages(mockup, sheet) };
  const placed = new Map<LayerId, { group: GroupLayer; around: Matrix }>();
  collect(sheet.root, IDENTITY, new Set(chosen.map(({ layer }) => layer)), placed);
  const screens = chosen.flatMap((candidate) => {
    const found = placed.get(candidate.layer);
    return found ? [screenOf(candidate, found.group, found.around)] : [];
  });
  return { ...mockup, screens };
}

function collect(
  group: GroupLayer,
  around: Matrix,
  wanted: ReadonlySet<LayerId>,
  into: Map<LayerId, { group: GroupLayer; around: Matrix }>,
): void {
  const own = multiply(around, group.transform);
  for (const layer of group.layers) {
    if (layer.kind !== 'group') continue;
    if (wanted.has(layer.id)) into.set(layer.id, { group: layer, around: own });
    else collect(layer, own, wanted, into);
  }
}

function screenOf({ name, box, said }: ScreenCandidate, group: GroupLayer, around: Matrix): Screen {
  const own = multiply(around, group.transform);
  const cut = group.clip?.kind === 'outline' ? group.clip.outline : null;
  const cutBox = cut && outlineBox(cut);
  // The screen clips its content by itself.
  const isEdge =
    cut?.kind === 'rect' && !hasRadii(cut.radii) && cutBox && sameBox(transformBox(own, cutBox), box);
  const root: GroupLayer = {
    ...group,
    transform: multiply(translation(-box.x, -box.y), own),
    clip: isEdge ? null : group.clip,
    isolated: true,
  };
  const found = said ? 'said' : 'found';
  return {
    id: group.id,
    name,
    width: box.width,
    height: box.height,
    origin: { x: box.x, y: box.y },
    found,
    ground: null,
    root,
  };
}
