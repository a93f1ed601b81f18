import { outlineRect, outlineRects, subpaths } from '../look/boxForm';
import { boxAround, contains, intersection, overlaps, type Box } from '../mockup/box';
import type { BlendMode, Clip, Effect, Shadow } from '../mockup/layer';
import { meanScale, translation, type Matrix } from '../mockup/matrix';
import {
  containsRounded,
  hasRadii,
  outlineBox,
  pathData,
  transformOutline,
  type Outline,
} from '../mockup/outline';
import { pathBox } from '../mockup/pathBox';
import type { Look, LookClip, LookFilter } from '../look/look';

interface WithEffects {
  readonly opacity: number;
  readonly blend: BlendMode;
  readonly effects: readonly Effect[];
  readonly isolated?: boolean;
}

/** The look of opacity, blending and filters on the layer as a whole. Lengths scale with `matrix`. */
export function effectsLook(layer: WithEffects, matrix: Matrix): Look {
  return {
    ...(layer.opacity < 1 && { opacity: layer.opacity }),
    ...(layer.blend !== 'normal' && { blend: layer.blend }),
    ...(layer.isolated && { isolated: true }),
    ...filtersLook(layer.effects, matrix),
  };
}

export function filtersLook(effects: readonly Effect[], matrix: Matrix): Look {
  const filters = effects.flatMap((effect): LookFilter[] => {
    switch (effect.kind) {
      case 'defined':
      case 'inner-shadow':
        return [];
      case 'colour':
        return [effect];
      case 'blur':
        return [{ ...effect, deviation: effect.deviation * meanScale(matrix) }];
      case 'drop-shadow':
        return [{ ...effect, ...scaledShadow(effect, matrix) }];
    }
  });
  return filters.length > 0 ? { filters } : {};
}

/** The shadow after the transform. */
export function scaledShadow({ dx, dy, deviation, spread, colour }: Shadow, matrix: Matrix): Shadow {
  const [a, b, c, d] = matrix;
  const scale = meanScale(matrix);
  const offset = { dx: a * dx + c * dy, dy: b * dx + d * dy };
  return { ...offset, deviation: deviation * scale, spread: spread * scale, colour };
}

/** The content of a clipped group, px of the screen. */
interface ClipContent {
  /** The boxes of the content. */
  readonly content: Box;
  /** The same boxes with all that is painted around each. */
  readonly painted: readonly Box[];
  readonly screen: Box;
}

/**
 * The clip of a group: a box when the outline is one, so that the group takes that box as its place; else a
 * path about the content. Null when nothing is cut off, or only what lies past the screen, where the page
 * ends anyway.
 */
export function groupClip(
  outline: Outline,
  matrix: Matrix,
  { content, painted, screen }: ClipContent,
): { box: Box; look: Look } | null {
  const moved = plainestClip(
    transformOutline(outline, matrix),
    intersection(boxAround([content, ...painted]), screen) ?? screen,
  );
  if (containsEach(moved, painted)) return null;
  if (moved.kind === 'rect') {
    if (!hasRadii(moved.radii) && contains(moved.box, screen)) return null;
    const radii = hasRadii(moved.radii) ? { radii: moved.radii } : {};
    return { box: moved.box, look: { clip: { kind: 'box' }, ...radii } };
  }
  return { box: content, look: { clip: pathClip(moved, content) } };
}

/** True when each part lies inside one of the boxes of the clip. */
function containsEach(outline: Outline, painted: readonly Box[]): boolean {
  const rects = outline.kind === 'path' && outline.rule === 'evenodd' ? null : outlineRects(outline);
  if (!rects) return false;
  return painted.every((inner) => rects.some(({ box, radii }) => containsRounded(box, radii, inner)));
}

/**
 * The plainest outline that cuts the visible area in the same way: a box, if other parts of the outline lie
 * elsewhere.
 */
function plainestClip(outline: Outline, seen: Box): Outline {
  if (outline.kind !== 'path') return outline;
  const d = subpaths(outline.d)
    .filter((part) => overlaps(pathBox(part) ?? seen, seen, 0))
    .join('');
  // Browsers ignore an empty clip path, so an outline that cuts everything away stays unchanged.
  if (d === '') return outline;
  const rect = outlineRect({ ...outline, d });
  return rect ? { kind: 'rect', ...rect } : { ...outline, d };
}

/** The clip of a single element in px of its own box; null when nothing is cut off. */
export function elementClip(clip: Clip | null, matrix: Matrix, box: Box): LookClip | null {
  if (clip?.kind !== 'outline') return null;
  const moved = transformOutline(clip.outline, matrix);
  const around = outlineBox(moved);
  if (moved.kind === 'rect' && !hasRadii(moved.radii) && around && contains(around, box)) return null;
  return pathClip(moved, box);
}

function pathClip(outline: Outline, box: Box): LookClip {
  const local = transformOutline(outline, translation(-box.x, -box.y));
  return { kind: 'path', d: pathData(local), rule: local.kind === 'path' ? local.rule : 'nonzero' };
}
