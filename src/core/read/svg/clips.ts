import type { Clip } from '../../mockup/layer';
import { IDENTITY, multiply, scaling, translation, type Matrix } from '../../mockup/matrix';
import { contains } from '../../mockup/box';
import { outlineBox, pathData, transformOutline, type Outline } from '../../mockup/outline';
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
  if (masked) here.context.report('mask-kept', here.parentKey);
  return { clip, mask: masked?.definition ?? null };
}

function readClip(here: Here, box: BoxOfShape): Clip | null {
  const value = here.computed.style['clip-path'];
  if (value === 'none') return null;
  const found = referenced(value, 'clip-path', 'clipPath', here);
  if (!found) return null;
  const outline = soleOutline(
    found.node,
    found.node.attributes.clipPathUnits === 'objectBoundingBox',
    here,
    box,
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

/** A mask that is a plain white box, or one with a plain black hole in it, cuts as a clip does. */
function maskOutline(mask: XmlNode, here: Here, box: BoxOfShape): Outline | null {
  const byBox = mask.attributes.maskContentUnits === 'objectBoundingBox';
  const [ground, hole, ...others] = elementsIn(mask).filter(isDrawn);
  if (ground?.name !== 'rect' || others.length > 0 || !isPlain(ground, 255, here)) return null;
  const outline = memberOutline(mask, ground, byBox, here, box, 'fill-rule');
  if (!hole || !outline) return outline;
  const inner = isPlain(hole, 0, here) ? memberOutline(mask, hole, byBox, here, box, 'fill-rule') : null;
  const [around, within] = [outlineBox(outline), inner && outlineBox(inner)];
  if (!inner || !around || !within || !contains(around, within)) return null;
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
    here.context.report(code, here.parentKey, { property, value, target: id ?? '' });
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

/** The outline of a clip that is one plain shape, in the coordinates of the layer that it cuts. */
function soleOutline(owner: XmlNode, byBox: boolean, here: Here, box: BoxOfShape): Outline | null {
  const [only, ...others] = elementsIn(owner).filter(isDrawn);
  if (!only || others.length > 0) return null;
  return memberOutline(owner, only, byBox, here, box, 'clip-rule');
}

function memberOutline(
  owner: XmlNode,
  only: XmlNode,
  byBox: boolean,
  here: Here,
  box: BoxOfShape,
  rule: 'clip-rule' | 'fill-rule',
): Outline | null {
  const around = styleInPlace(owner, here.context.cascade);
  const computed = computeStyle(only, around, here.context.cascade);
  const { style } = computed;
  if (style['clip-path'] !== 'none' || around.style['clip-path'] !== 'none') return null;
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
