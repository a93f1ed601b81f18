import type { Clip } from '../../mockup/layer';
import { IDENTITY, multiply, scaling, translation, type Matrix } from '../../mockup/matrix';
import { contains } from '../../mockup/box';
import { memoizeLast } from '../../mockup/memoize';
import {
  hasRadii,
  NO_RADII,
  outlineBox,
  pathData,
  transformOutline,
  type Outline,
} from '../../mockup/outline';
import { elementsIn, type XmlNode } from '../xml/node';
import { parseColour } from './colours';
import { computeStyle, styleInPlace } from './computed';
import { localId, type Here } from './context';
import { keepDefinition } from './definitions';
import { readOutline } from './outlines';
import type { BoxOfShape } from './paints';
import { parseTransform } from './transforms';

export interface Cutting {
  readonly clip: Clip | null;
  readonly mask: string | null;
}

/** How the element is cut: by its `clip-path`, and by a mask, which counts as a clip when it is a plain box. */
export function readCutting(here: Here, box: BoxOfShape): Cutting {
  const clip = readClip(here, box);
  const masked = readMask(here, box);
  if (masked?.kind === 'outline') {
    if (!clip) return { clip: masked, mask: null };
    return { clip, mask: keepDefinition(localId(here.computed.style.mask) ?? '', here.context) };
  }
  if (masked) here.context.report('mask-kept', here.parent);
  return { clip, mask: masked?.definition ?? null };
}

function readClip(here: Here, box: BoxOfShape): Clip | null {
  const value = here.computed.style['clip-path'];
  if (value === 'none') return null;
  const found = referenced(value, 'clip-path', 'clipPath', here);
  if (!found) return null;
  const byBox = found.node.attributes.clipPathUnits === 'objectBoundingBox';
  const outline = jointOutline(
    { owner: found.node, byBox, here, box, rule: 'clip-rule' },
    elementsIn(found.node).filter(isDrawn),
  );
  if (outline) return { kind: 'outline', outline };
  const definition = keepDefinition(found.id, here.context);
  return definition === null ? null : { kind: 'defined', definition };
}

function readMask(here: Here, box: BoxOfShape): Clip | null {
  const value = here.computed.style.mask;
  if (value === 'none') return null;
  const found = referenced(value, 'mask', 'mask', here);
  if (!found) return null;
  const outline = maskOutline(found.node, here, box);
  if (outline) return { kind: 'outline', outline };
  const definition = keepDefinition(found.id, here.context);
  return definition === null ? null : { kind: 'defined', definition };
}

/** A mask of plain white boxes, or one with a plain black hole in it, cuts as a clip does. */
function maskOutline(mask: XmlNode, here: Here, box: BoxOfShape): Outline | null {
  const byBox = mask.attributes.maskContentUnits === 'objectBoundingBox';
  const cut: Cut = { owner: mask, byBox, here, box, rule: 'fill-rule' };
  const parts = elementsIn(mask).filter(isDrawn);
  if (parts.every((part) => isPlain(part, 255, here))) return jointOutline(cut, parts);
  const [ground, hole, ...others] = parts;
  if (ground?.name !== 'rect' || !hole || others.length > 0) return null;
  if (!isPlain(ground, 255, here) || !isPlain(hole, 0, here)) return null;
  const outline = jointOutline(cut, [ground]);
  const inner = jointOutline(cut, [hole]);
  const [around, within] = [outline && outlineBox(outline), inner && outlineBox(inner)];
  if (!outline || !inner || !around || !within || !contains(around, within)) return null;
  return { kind: 'path', d: `${pathData(outline)}${pathData(inner)}`, rule: 'evenodd' };
}

function isDrawn({ name }: XmlNode): boolean {
  return name !== 'title' && name !== 'desc';
}

function referenced(
  value: string,
  property: string,
  name: string,
  here: Here,
): { id: string; node: XmlNode } | null {
  const id = localId(value);
  const node = id === null ? undefined : here.context.byId.get(id);
  if (id === null || node?.name !== name) {
    const code = id === null ? 'value-ignored' : 'reference-missing';
    here.context.report(code, here.parent, { property, value, target: id ?? '' });
    return null;
  }
  return { id, node };
}

/** True for a shape filled flatly with that grey and nothing else. */
function isPlain(node: XmlNode, grey: number, here: Here): boolean {
  const { style } = styleInPlace(node, here.context.cascade);
  const colour = parseColour(style.fill);
  const alike = colour?.r === grey && colour.g === grey && colour.b === grey && colour.alpha === 1;
  return (
    alike &&
    style.opacity === '1' &&
    style['fill-opacity'] === '1' &&
    style.stroke === 'none' &&
    style.filter === 'none'
  );
}

/** What cuts, and the element that it cuts. */
interface Cut {
  readonly owner: XmlNode;
  /** True where its coordinates are shares of the box of that element. */
  readonly byBox: boolean;
  readonly here: Here;
  readonly box: BoxOfShape;
  readonly rule: 'clip-rule' | 'fill-rule';
}

const NOTHING: Outline = { kind: 'rect', box: { x: 0, y: 0, width: 0, height: 0 }, radii: NO_RADII };

/**
 * The outline of all the shapes together, in the coordinates of the layer that they cut; null when that is not plain.
 * Shapes without a size cut everything away (SVG 2, §9.2: a zero width or height disables rendering).
 */
function jointOutline(cut: Cut, parts: readonly XmlNode[]): Outline | null {
  const join = () => joinedOutline(cut, parts);
  if (cut.byBox) return join();
  // In coordinates of the user, all that are cut by it in one viewport are cut alike.
  const { viewport, scale, context } = cut.here;
  return lastJoined(cut.owner, [context, cut.rule, viewport.width, viewport.height, scale, ...parts], join);
}

const lastJoined = memoizeLast<XmlNode, Outline | null>();

function joinedOutline(cut: Cut, parts: readonly XmlNode[]): Outline | null {
  const outlines: Outline[] = [];
  for (const part of parts) {
    const outline = memberOutline(cut, part);
    if (outline) outlines.push(outline);
    else if (!isSizeless(part, cut.here)) return null;
  }
  const [first, ...others] = withoutCovered(outlines);
  if (!first) return parts.length > 0 ? NOTHING : null;
  if (others.length === 0) return first;
  // Boxes and ellipses have the same winding, so that one path of them is their union.
  if ([first, ...others].some(({ kind }) => kind === 'path')) return null;
  return { kind: 'path', d: [first, ...others].map(pathData).join(''), rule: 'nonzero' };
}

/** The outlines but those inside of a box among them. */
function withoutCovered(outlines: readonly Outline[]): readonly Outline[] {
  return outlines.reduce<readonly Outline[]>(
    (kept, next) =>
      kept.some((one) => isBoxAround(one, next))
        ? kept
        : [...kept.filter((one) => !isBoxAround(next, one)), next],
    [],
  );
}

function isSizeless(node: XmlNode, here: Here): boolean {
  if (node.name !== 'rect') return false;
  const { style } = styleInPlace(node, here.context.cascade);
  return parseFloat(style.width) === 0 || parseFloat(style.height) === 0;
}

function isBoxAround(one: Outline, other: Outline): boolean {
  const [around, within] = [outlineBox(one), outlineBox(other)];
  return one.kind === 'rect' && !hasRadii(one.radii) && !!around && !!within && contains(around, within);
}

function memberOutline({ owner, byBox, here, box, rule }: Cut, only: XmlNode): Outline | null {
  const around = styleInPlace(owner, here.context.cascade);
  const computed = computeStyle(only, around, here.context.cascade);
  const { style } = computed;
  const isCut = [style, around.style].some((one) => one['clip-path'] !== 'none' || one.mask !== 'none');
  if (isCut) return null;
  if (style.display === 'none' || style.visibility !== 'visible') return null;
  const outline = readOutline(only, { ...here, computed }, style[rule]);
  const own = parseTransform(style.transform);
  const outer = parseTransform(around.style.transform);
  if (!outline || outline.kind === 'line' || !own || !outer) return null;
  const toBox = byBox ? boxMatrix(box) : IDENTITY;
  return toBox && transformOutline(outline, multiply(toBox, multiply(outer, own)));
}

function boxMatrix(box: BoxOfShape): Matrix | null {
  const bounds = box();
  return bounds && multiply(translation(bounds.x, bounds.y), scaling(bounds.width, bounds.height));
}
