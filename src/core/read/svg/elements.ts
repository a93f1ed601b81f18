import type { Box } from '../../mockup/box';
import { geometryBox, textBox } from '../../mockup/bounds';
import {
  isBlendMode,
  type BlendMode,
  type GroupLayer,
  type Layer,
  type LayerId,
  type TextLayer,
} from '../../mockup/layer';
import { IDENTITY, meanScale, multiply, translation, type Matrix } from '../../mockup/matrix';
import { NO_RADII, outlineBox } from '../../mockup/outline';
import { LIMITS } from '../limits';
import { elementsIn, type XmlNode } from '../xml/node';
import { takeBitmap } from './bitmaps';
import { readCutting } from './clips';
import { computeStyle } from './computed';
import { hrefOf, localId, type Here } from './context';
import { keepAsDrawn } from './definitions';
import { readEffects } from './filters';
import { parseLength, parseShare } from './lengths';
import { readMarkers } from './markers';
import { readHints, readName } from './names';
import { geometry, isShapeElement, readOutline } from './outlines';
import { clearStroke, readFill, readStroke, type BoxOfShape } from './paints';
import { layText } from './texts/layText';
import type { PlainLine } from './texts/runs';
import { parseTransform } from './transforms';
import { fitViewBox, parseViewBox } from './viewports';

/** Reads one element; null when it draws nothing. `id` is the layer's own, already taken. */
type ElementReader = (node: XmlNode, here: Here, id: LayerId) => Layer | null;

/** Elements that define or describe, and draw nothing by themselves. */
const SILENT = new Set([
  'defs',
  'style',
  'title',
  'desc',
  'metadata',
  'clipPath',
  'mask',
  'linearGradient',
  'radialGradient',
  'pattern',
  'filter',
  'marker',
  'symbol',
  'stop',
  'view',
  'font',
  'font-face',
  'cursor',
  'color-profile',
]);
const ANIMATION = new Set([
  'animate',
  'animateTransform',
  'animateMotion',
  'animateColor',
  'set',
  'discard',
  'mpath',
]);

const ELEMENTS: Readonly<Record<string, ElementReader>> = {
  g: (node, here, id) => readGroup(node, here, id, IDENTITY),
  a: (node, here, id) => readGroup(node, here, id, IDENTITY),
  switch: readSwitch,
  svg: readNestedSvg,
  use: readUse,
  image: readImage,
  text: readText,
};

/** Reads the children of `node`, in drawing order. */
export function readChildren(node: XmlNode, here: Here): Layer[] {
  return elementsIn(node).flatMap((child) => readElement(child, here) ?? []);
}

/** Reads an element inside the surroundings `around`; an unknown element becomes a finding. */
export function readElement(node: XmlNode, around: Here): Layer | null {
  const { context } = around;
  const reader = ELEMENTS[node.name] ?? (isShapeElement(node.name) ? readShape : undefined);
  if (!reader) {
    reportUnread(node, around);
    return null;
  }
  if (around.using.length > 0 && !context.countCopy()) return null;
  context.progress();
  const computed = computeStyle(node, around.computed, context.cascade);
  const id = context.ids.next(around.parent, readName(node), kindOf(node.name));
  context.onLayer(id, node);
  reportHandlers(node, context, id);
  const scale = around.scale * meanScale(parseTransform(computed.style.transform) ?? IDENTITY);
  return context.deeper(() => reader(node, { ...around, computed, parent: id, scale }, id));
}

function reportHandlers(node: XmlNode, { report }: Here['context'], id: LayerId): void {
  const handlers: string[] = [];
  for (const name in node.attributes) if (/^on[a-z]/i.test(name)) handlers.push(name);
  if (handlers.length > 0) report('handler-removed', id, { name: handlers.join(', ') });
}

function reportUnread(node: XmlNode, { context, parent }: Here): void {
  if (SILENT.has(node.name)) return;
  if (node.name === 'script') context.report('script-removed', null);
  else if (node.name === 'foreignObject') context.report('foreign-content', parent, { element: node.name });
  else if (ANIMATION.has(node.name)) context.report('animation-ignored', parent, { element: node.name });
  // Elements of other namespaces are a drawing program's notes to itself.
  else if (!node.name.includes(':')) context.report('element-unknown', parent, { element: node.name });
}

function kindOf(element: string): string {
  return { g: 'group', a: 'link', use: 'copy', svg: 'group', switch: 'group' }[element] ?? element;
}

function base(node: XmlNode, here: Here, id: LayerId, box: BoxOfShape, inner: Matrix = IDENTITY) {
  const { style } = here.computed;
  const own = readTransform(here, box);
  const { clip, mask } = readCutting(here, box);
  return {
    ...here.context.ids.identityOf(id),
    sourceName: readName(node),
    transform: multiply(own, inner),
    visible: style.display !== 'none',
    opacity: parseShare(style.opacity),
    blend: readBlend(here),
    clip,
    mask,
    ...readEffects(here),
    hints: readHints(node),
  };
}

function readBlend({ context, computed, parent }: Here): BlendMode {
  const value = computed.style['mix-blend-mode'];
  if (isBlendMode(value)) return value;
  context.report('value-ignored', parent, { property: 'mix-blend-mode', value });
  return 'normal';
}

function readTransform(here: Here, box: BoxOfShape): Matrix {
  const value = here.computed.style.transform;
  const matrix = parseTransform(value);
  if (!matrix) {
    here.context.report('value-ignored', here.parent, { property: 'transform', value });
    return IDENTITY;
  }
  const origin = here.computed.declared.get('transform-origin');
  if (origin === undefined || matrix === IDENTITY) return matrix;
  const bounds = box() ?? { x: 0, y: 0, ...here.viewport };
  const [x = '0', y = '0'] = origin
    .replace(/left|top/g, '0%')
    .replace(/center/g, '50%')
    .replace(/right|bottom/g, '100%')
    .split(/\s+/);
  // `transform-box` is view-box by default, so percentages refer to the viewport (CSS Transforms 1, §7).
  const at = (text: string, percentOf: number) =>
    parseLength(text, { fontSize: here.computed.fontSize, percentOf }) ?? 0;
  const byBox = here.computed.style['transform-box'] === 'fill-box';
  const [ox, oy] = byBox
    ? [bounds.x + at(x, bounds.width), bounds.y + at(y, bounds.height)]
    : [at(x, here.viewport.width), at(y, here.viewport.height)];
  return multiply(multiply(translation(ox, oy), matrix), translation(-ox, -oy));
}

function readGroup(
  node: XmlNode,
  here: Here,
  id: LayerId,
  inner: Matrix,
  layers = readChildren(node, here),
): GroupLayer {
  const box = () => boxOfLayers(layers, here);
  return {
    kind: 'group',
    ...base(node, here, id, box, inner),
    isolated: here.computed.style.isolation === 'isolate',
    instanceOf: null,
    layers,
  };
}

function boxOfLayers(layers: readonly Layer[], here: Here): Box | null {
  const faces = Object.fromEntries(here.context.faces);
  const group = { kind: 'group', transform: IDENTITY, layers } as unknown as GroupLayer;
  return geometryBox(group, IDENTITY, faces);
}

/** SVG 2, §5.9: the first child whose conditions hold; ours are those of an English reader without extensions. */
function readSwitch(node: XmlNode, here: Here, id: LayerId): GroupLayer {
  const chosen = elementsIn(node).find(({ name, attributes }) => {
    const language = attributes.systemLanguage;
    const speaks = language === undefined || /(^|[\s,])en/i.test(language);
    return (
      speaks && attributes.requiredExtensions === undefined && !SILENT.has(name) && name !== 'foreignObject'
    );
  });
  const layer = chosen ? readElement(chosen, here) : null;
  return readGroup(node, here, id, IDENTITY, layer ? [layer] : []);
}

function readNestedSvg(node: XmlNode, here: Here, id: LayerId): Layer | null {
  const viewport = {
    x: geometry(here, 'x', 'width') ?? 0,
    y: geometry(here, 'y', 'height') ?? 0,
    width: geometry(here, 'width', 'width') ?? here.viewport.width,
    height: geometry(here, 'height', 'height') ?? here.viewport.height,
  };
  return readViewport(node, here, id, viewport);
}

/** A viewport of its own: fitted by its viewBox, and cut unless it says that it may spill. */
function readViewport(node: XmlNode, here: Here, id: LayerId, viewport: Box): Layer | null {
  if (viewport.width <= 0 || viewport.height <= 0) return null;
  const viewBox = parseViewBox(node.attributes.viewBox);
  const { matrix } = fitViewBox(viewBox, viewport, node.attributes.preserveAspectRatio);
  const scale = here.scale * meanScale(matrix);
  const layers = readChildren(node, { ...here, viewport: viewBox ?? viewport, scale });
  const content = readGroup(node, here, id, matrix, layers);
  if (['visible', 'auto'].includes(here.computed.declared.get('overflow') ?? 'hidden') || content.clip)
    return content;
  const scaled = viewBox ? matrixBox(matrix, viewport) : { ...viewport, x: 0, y: 0 };
  return scaled
    ? { ...content, clip: { kind: 'outline', outline: { kind: 'rect', box: scaled, radii: NO_RADII } } }
    : content;
}

/** The viewport in the coordinates of its content. */
function matrixBox([a, , , d, e, f]: Matrix, viewport: Box): Box {
  return {
    x: (viewport.x - e) / a,
    y: (viewport.y - f) / d,
    width: viewport.width / a,
    height: viewport.height / d,
  };
}

function readUse(node: XmlNode, here: Here, id: LayerId): Layer | null {
  const { context } = here;
  const reference = localId(hrefOf(node));
  const target = reference === null ? undefined : context.byId.get(reference);
  if (reference === null || !target) {
    const href = hrefOf(node) ?? '';
    if (reference === null && href)
      context.report('outside-reference', id, { what: '<use>', target: href.slice(0, 80) });
    else context.report('reference-missing', id, { property: 'use', target: reference ?? '' });
    return null;
  }
  if (here.using.includes(reference) || isAncestor(target, node)) {
    context.report('reference-cycle', id, { target: reference });
    return null;
  }
  if (here.using.length >= LIMITS.references) {
    context.report('too-deep', id, { limit: LIMITS.references });
    return null;
  }
  const computed = { ...here.computed, scope: target };
  const inside: Here = { ...here, computed, using: [...here.using, reference] };
  const move = translation(geometry(here, 'x', 'width') ?? 0, geometry(here, 'y', 'height') ?? 0);
  const layer =
    target.name === 'symbol' || target.name === 'svg'
      ? readSymbol(target, inside, here)
      : readElement(target, inside);
  return layer && { ...readGroup(node, here, id, move, [layer]), instanceOf: reference };
}

/** SVG 2, §5.6: a symbol's viewport has the size that the `use` gives, else its own, else all there is. */
function readSymbol(target: XmlNode, inside: Here, use: Here): Layer | null {
  const computed = computeStyle(target, inside.computed, inside.context.cascade);
  const here = { ...inside, computed };
  const size = (property: 'width' | 'height') =>
    geometry(use, property, property) ?? geometry(here, property, property) ?? use.viewport[property];
  const id = inside.context.ids.next(inside.parent, readName(target), 'symbol');
  return readViewport(target, { ...here, parent: id }, id, {
    x: 0,
    y: 0,
    width: size('width'),
    height: size('height'),
  });
}

function isAncestor(candidate: XmlNode, node: XmlNode): boolean {
  for (let next: XmlNode | null = node; next; next = next.parent) if (next === candidate) return true;
  return false;
}

function readShape(node: XmlNode, here: Here, id: LayerId): Layer | null {
  const outline = readOutline(node, here);
  if (!outline || here.computed.style.visibility !== 'visible') return null;
  const box = () => outlineBox(outline);
  const marking = readMarkers(outline, here);
  const marked = Object.keys(marking.markers).length > 0;
  return {
    kind: 'shape',
    ...base(node, here, id, box),
    outline,
    fill: outline.kind === 'line' ? null : readFill(here, box),
    // Markers are drawn in widths of the stroke, also where it is not seen.
    stroke: readStroke(here, box) ?? (marked ? clearStroke(here) : null),
    strokeFirst: isStrokeFirst(here),
    crisp: /^(crispedges|optimizespeed)$/i.test(here.computed.style['shape-rendering']),
    ...marking,
  };
}

function readImage(node: XmlNode, here: Here, id: LayerId): Layer | null {
  if (here.computed.style.visibility !== 'visible') return null;
  const rendering = here.computed.style['image-rendering'];
  if (!/^(auto|smooth|optimizequality)$/i.test(rendering)) {
    here.context.report('value-ignored', id, { property: 'image-rendering', value: rendering });
  }
  const bitmap = takeBitmap(hrefOf(node), id, here.context);
  if (!bitmap) return null;
  const width = geometry(here, 'width', 'width');
  const height = geometry(here, 'height', 'height');
  const ratio = bitmap.width / bitmap.height;
  const frame: Box = {
    x: geometry(here, 'x', 'width') ?? 0,
    y: geometry(here, 'y', 'height') ?? 0,
    width: width ?? (height === null ? bitmap.width : height * ratio),
    height: height ?? (width === null ? bitmap.height : width / ratio),
  };
  if (frame.width <= 0 || frame.height <= 0) return null;
  const natural = { x: 0, y: 0, width: bitmap.width, height: bitmap.height };
  const { matrix, cut } = fitViewBox(natural, frame, node.attributes.preserveAspectRatio);
  const box: Box = {
    x: matrix[4],
    y: matrix[5],
    width: bitmap.width * matrix[0],
    height: bitmap.height * matrix[3],
  };
  const seen = cut ? frame : box;
  return { kind: 'bitmap', ...base(node, here, id, () => seen), box, bitmap: bitmap.id, frame: seen };
}

function isStrokeFirst({ computed }: Here): boolean {
  return /^\s*stroke/.test(computed.style['paint-order']);
}

/** The stretches of a line that are seen; hidden letters leave their room. */
function visibleParts(line: PlainLine): PlainLine[] {
  const parts: PlainLine[] = [];
  let x = line.x;
  let open = false;
  for (const run of line.runs) {
    const width = run.width * line.stretch;
    const visible = run.computed.style.visibility === 'visible';
    const last = parts.at(-1);
    if (visible && open && last)
      parts[parts.length - 1] = { ...last, width: last.width + width, runs: [...last.runs, run] };
    else if (visible) parts.push({ ...line, x, width, runs: [run] });
    open = visible;
    x += width;
  }
  return parts;
}

function readText(node: XmlNode, here: Here, id: LayerId): Layer | null {
  const laid = layText(node, here);
  if (laid.lines.length === 0) return null;
  const plain = { lines: laid.lines } as unknown as TextLayer;
  const box = () => textBox(plain, Object.fromEntries(here.context.faces));
  const lines = laid.lines.flatMap(visibleParts).map((line) => ({
    ...line,
    runs: line.runs.map(({ computed, ...run }) => {
      const inRun = { ...here, computed };
      return { ...run, fill: readFill(inRun, box), stroke: readStroke(inRun, box) };
    }),
  }));
  if (lines.length === 0) return null;
  for (const what of laid.oddities) here.context.report('text-oddity', id, { what });
  return {
    kind: 'text',
    ...base(node, here, id, box),
    align: laid.align,
    rightToLeft: laid.rightToLeft,
    strokeFirst: isStrokeFirst(here),
    lines,
    oddities: laid.oddities,
    asDrawn: laid.oddities.length > 0 ? keepAsDrawn(id, node, here.computed, here.context) : null,
  };
}
