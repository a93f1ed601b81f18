import { findingList, type Finding, type Report } from '../../findings/finding';
import { isGenericFamily } from '../../type/genericFamilies';
import { measureMockup, measureScreen } from '../../mockup/bounds';
import { SHEET } from '../../mockup/identity';
import { bareLayer } from '../../mockup/layer';
import { layersOf } from '../../mockup/walk';
import { meanScale, multiply, scaling } from '../../mockup/matrix';
import type { Mockup, Screen } from '../../mockup/mockup';
import type { FontBook } from '../../type/fontBook';
import { decodeText } from '../decodeText';
import { LIMITS } from '../limits';
import { ReadError } from '../readError';
import type { OnProgress, Reading } from '../reading';
import { descendants, type XmlNode } from '../xml/node';
import { parseXml } from '../xml/parseXml';
import { readCascade } from './cascade';
import { computeStyle, ROOT_STYLE } from './computed';
import type { Here, SvgContext } from './context';
import { readChildren } from './elements';
import { readDocumentPages } from './documentPages';
import { readEmbeddedFonts } from './fonts';
import { createLayerIds, type LayerIds } from '../layerIds';
import { parseLength, parseShare } from './lengths';
import { readHints } from './names';
import { fitViewBox, parseViewBox } from './viewports';

/**
 * Reads an SVG file (SVG 1.1 and the parts of SVG 2 that browsers draw) into a mockup with one screen.
 * @param name the file's name without its extension: the screen takes it
 * @throws ReadError when the file is no usable SVG
 */
export function readSvg(
  bytes: Uint8Array,
  name: string,
  fontBook: FontBook,
  onProgress: OnProgress = () => undefined,
  onLayer: SvgContext['onLayer'] = () => undefined,
): Reading {
  const root = parseXml(decodeText(bytes));
  if (root.name !== 'svg')
    throw new ReadError('not-svg', { what: `its outermost element is <${root.name}>` });

  const { findings, report } = findingList();
  const cascade = readCascade(root, report, windowOf(root));
  const embedded = readEmbeddedFonts(cascade.fontFaces, report);
  const { book, broken } = fontBook.withFonts(embedded);
  for (const family of broken) report('font-broken', null, { family });

  let copies = 0;
  let depth = 0;
  let done = 0;
  const total = countElements(root);
  const context: SvgContext = {
    cascade,
    report,
    book,
    byId: indexIds(root),
    bitmaps: new Map(),
    assets: new Map(),
    faces: new Map(),
    definitions: new Map(),
    weights: new Map(),
    stops: new Map(),
    ids: createLayerIds(),
    hiddenLayers: new Set(),
    onLayer,
    progress() {
      done += 1;
      // Copies of `use` are read again, so the total may grow.
      if (done % 250 === 0) onProgress(done, Math.max(done, total));
    },
    countCopy() {
      copies += 1;
      if (copies > LIMITS.copies) report('too-many-copies', null, { limit: LIMITS.copies });
      return copies <= LIMITS.copies;
    },
    deeper(work) {
      if (depth >= LIMITS.depth + LIMITS.references) {
        report('too-deep', null, { limit: LIMITS.references });
        return null;
      }
      depth += 1;
      try {
        return work();
      } finally {
        depth -= 1;
      }
    },
  };
  const screen = readScreen(root, name, context);
  const assets = new Map(context.assets);
  for (const font of embedded) {
    if ([...context.faces.values()].some((face) => face.file === font.asset))
      assets.set(font.asset, font.bytes);
  }
  const pages = readDocumentPages(root, screen.root.transform);
  const mockup: Mockup = {
    name,
    format: 'svg',
    screens: [screen],
    ...(pages.length > 1 && { pages }),
    bitmaps: Object.fromEntries(context.bitmaps),
    faces: Object.fromEntries(context.faces),
    definitions: Object.fromEntries(context.definitions),
  };
  if (!drawsSomething(mockup)) throw new ReadError('nothing-drawn');
  reportReplacedFonts(mockup, report);
  return {
    mockup,
    assets,
    findings: leadToLayers(findings, mockup, context.ids),
    bakes: [],
    merged: null,
    book,
  };
}

/** Moves findings on elements that draw nothing, and so are no layers, to the group around them. */
function leadToLayers(findings: readonly Finding[], mockup: Mockup, ids: LayerIds): Finding[] {
  const kept = new Set(layersOf(mockup).map((layer) => layer.id));
  return findings.map((finding) => {
    let layer = finding.layer;
    while (layer !== null && !kept.has(layer)) layer = ids.parentOf(layer) ?? null;
    return { ...finding, layer };
  });
}

function drawsSomething(mockup: Mockup): boolean {
  const measures = measureMockup(mockup);
  return mockup.screens.some(({ id }) => measures.get(id)?.get(id)?.painted);
}

function countElements(root: XmlNode): number {
  let count = 0;
  for (const _ of descendants(root)) count += 1;
  return count;
}

function indexIds(root: XmlNode): ReadonlyMap<string, XmlNode> {
  const byId = new Map<string, XmlNode>();
  for (const node of descendants(root)) {
    const { id } = node.attributes;
    if (id !== undefined && !byId.has(id)) byId.set(id, node);
  }
  return byId;
}

/** The window of the size that the file asks for: media queries are about it. */
function windowOf({ attributes }: XmlNode): { readonly width: number; readonly height: number } {
  const viewBox = parseViewBox(attributes.viewBox);
  const side = (name: 'width' | 'height') => {
    const percent = attributes[name]?.trim().endsWith('%') ?? false;
    const said = percent ? null : parseLength(attributes[name] ?? '', { fontSize: 16, percentOf: 0 });
    return said ?? viewBox?.[name] ?? UNSAID[name];
  };
  return { width: side('width'), height: side('height') };
}

function readScreen(root: XmlNode, name: string, context: SvgContext): Screen {
  const computed = computeStyle(root, ROOT_STYLE, context.cascade);
  const viewBox = parseViewBox(root.attributes.viewBox);
  const said = {
    width: screenSide(root.attributes.width, viewBox?.width, computed.fontSize),
    height: screenSide(root.attributes.height, viewBox?.height, computed.fontSize),
  };
  const viewport = { x: 0, y: 0, width: said.width ?? UNSAID.width, height: said.height ?? UNSAID.height };
  const { matrix } = fitViewBox(viewBox, viewport, root.attributes.preserveAspectRatio);
  const [width, height] = [wholePx(viewport.width), wholePx(viewport.height)];
  const transform = multiply(scaling(width / viewport.width, height / viewport.height), matrix);
  const here: Here = {
    context,
    computed,
    parent: SHEET.id,
    viewport: viewBox ?? viewport,
    scale: meanScale(transform),
    using: [],
  };
  const screen: Screen = {
    id: SHEET.id,
    name,
    width,
    height,
    origin: { x: 0, y: 0 },
    found: 'whole',
    ground: null,
    root: {
      kind: 'group',
      ...bareLayer(SHEET, name),
      transform,
      opacity: parseShare(computed.style.opacity),
      hints: readHints(root),
      isolated: true,
      instanceOf: null,
      layers: readChildren(root, here),
    },
  };
  return { ...screen, ...sizeOf(screen, said, context) };
}

/**
 * Browsers round the size of an image to whole px and stretch its content (common practice of browsers, no
 * source).
 */
function wholePx(side: number): number {
  return Math.max(1, Math.round(side));
}

/** The browsers' default size (CSS 2.1, §10.3.2). */
const UNSAID = { width: 300, height: 150 } as const;

/** A side of the screen: as said, else the viewBox's; null when neither is there. */
function screenSide(
  text: string | undefined,
  fromViewBox: number | undefined,
  fontSize: number,
): number | null {
  const percent = text?.trim().endsWith('%') ?? false;
  const said = text === undefined || percent ? null : parseLength(text, { fontSize, percentOf: 0 });
  const side = said ?? fromViewBox ?? null;
  return side === null ? null : usable(side, text ?? 'its viewBox');
}

/** A side without a size in the file has the extent of the drawing. */
function sizeOf(
  screen: Screen,
  said: { readonly width: number | null; readonly height: number | null },
  context: SvgContext,
) {
  if (said.width !== null && said.height !== null) return {};
  const painted = measureScreen(screen, Object.fromEntries(context.faces)).get(screen.id)?.painted;
  const reach = (from: number, length: number) =>
    usable(Math.ceil(from + length), 'no size; its content decides');
  return {
    width: said.width !== null ? screen.width : painted ? reach(painted.x, painted.width) : UNSAID.width,
    height: said.height !== null ? screen.height : painted ? reach(painted.y, painted.height) : UNSAID.height,
  };
}

function usable(side: number, what: string): number {
  if (side > 0 && side <= LIMITS.screen) return side;
  throw new ReadError('no-size', { what, limit: LIMITS.screen });
}

/** Each family once, at the first text that asks for it. */
function reportReplacedFonts(mockup: Mockup, report: Report): void {
  const said = new Set<string>();
  for (const layer of layersOf(mockup)) {
    if (layer.kind !== 'text') continue;
    for (const run of layer.lines.flatMap((line) => line.runs)) {
      const wished = run.style.families[0];
      const face = mockup.faces[run.face];
      if (!wished || !face || isGenericFamily(wished) || wished.toLowerCase() === face.family.toLowerCase())
        continue;
      if (said.has(wished)) continue;
      said.add(wished);
      report('font-replaced', layer.id, { family: wished, face: face.family });
    }
  }
}
