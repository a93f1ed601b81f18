import { lookDeclarations } from '../../src/core/emit/css/declarations';
import type { Look, LookFill, LookShadow } from '../../src/core/look/look';
import type { Colour } from '../../src/core/mockup/paint';
import { evenRadii } from '../../src/core/mockup/outline';
import { plainFrame, type Page } from '../../src/core/page/frame';
import type { BoxNode, PageNode, TextNode } from '../../src/core/page/node';
import type { FixedPlace } from '../../src/core/page/place';

/** Left, top, width, height; px of the screen. */
type Bounds = readonly [x: number, y: number, width: number, height: number];

/** Colours of the tests of page trees. */
export const INK: Colour = { r: 16, g: 32, b: 48, alpha: 1 };
export const CHALK: Colour = { r: 255, g: 255, b: 255, alpha: 1 };
export const FOG: Colour = { ...INK, alpha: 0.3 };

export const solid = (colour: Colour): LookFill => ({ kind: 'solid', colour });
/** A shadow of fog; all lengths absent are 0 px. */
export const shadow = (more: Partial<LookShadow>): LookShadow => ({
  inset: false,
  dx: 0,
  dy: 0,
  deviation: 0,
  spread: 0,
  colour: FOG,
  ...more,
});
export const rounded = (radius: number) => evenRadii(radius, radius);

function common(name: string, [x, y, width, height]: Bounds) {
  const place: FixedPlace = { kind: 'fixed', x, y, width, height, fitsContent: false, linear: null };
  return { layer: name, path: `/${name}`, name, named: true, classes: [], hidden: false, place } as const;
}

/** A box with a name, which is its layer's id as well. */
export function box(name: string, bounds: Bounds, look: Look = {}, ...children: PageNode[]): BoxNode {
  return { kind: 'box', ...common(name, bounds), role: 'box', look, children };
}

/** A line of text of 14 px. */
export function words(name: string, bounds: Bounds, text: string, colour = INK): TextNode {
  const type: Look['type'] = {
    families: ['Inter'],
    size: 14,
    weight: 400,
    italic: false,
    letterSpacing: 0,
    wordSpacing: 0,
    smallCaps: false,
    exact: false,
    decorations: [],
    colour,
    outline: null,
    lineHeight: 17,
    align: 'start',
    rightToLeft: false,
    baselineShift: 0,
    outlineFirst: false,
    keepsSpaces: false,
  };
  const line = { spans: [{ text, look: {} }], width: bounds[2], trailingSpace: 0, at: null };
  return {
    kind: 'text',
    ...common(name, bounds),
    role: 'text',
    look: { type },
    baseline: 13,
    extents: { ascent: 13, descent: 4 },
    baselineOffset: 0,
    space: 4,
    lines: [line],
    faces: [],
  };
}

/** A paragraph of 14 px with 21 px between its baselines. */
export function paragraph(name: string, bounds: Bounds, lines: readonly string[]): TextNode {
  const single = words(name, bounds, '');
  return {
    ...single,
    look: { type: { ...single.look.type!, lineHeight: 21 } },
    lines: lines.map((text) => ({ ...single.lines[0]!, spans: [{ text, look: {} }] })),
  };
}

/** Page nodes as indented text: name, bounds, and the CSS of the look. */
export function printTree(nodes: readonly PageNode[], indent = ''): string {
  return nodes
    .map((node) => {
      const { x, y, width, height } = node.place;
      const look = node.kind === 'text' ? shadowsOf(node) : node.look;
      const css = lookDeclarations(look).map(([property, value]) => `${property}: ${value}`);
      const said = [`${node.name} ${x},${y} ${width}x${height}`, ...css, ...layoutWords(node)];
      const line = `${indent}${said.join('; ')}`;
      return node.kind === 'box' && node.children.length > 0
        ? `${line}\n${printTree(node.children, `${indent}  `)}`
        : line;
    })
    .join('\n');
}

/** A text's look without its type, apart from shadows. */
function shadowsOf({ look: { type, ...look } }: TextNode): Look {
  const shadows = type?.shadows?.map((each) => ({ ...each, spread: 0, inset: false }));
  return shadows ? { ...look, shadows } : look;
}

/** The layout of a node and how it stands in the flow, in words; nothing for coordinates. */
function layoutWords(node: PageNode): readonly string[] {
  const { place } = node;
  const layout = node.kind === 'picture' ? undefined : node.layout;
  return [
    ...(place.snapCompensation ? ['moved by a transform'] : []),
    ...(layout ? [`${layout.direction}, gap ${layout.gap}`] : []),
    ...(place.kind === 'flow' ? [`${place.widthMode} width`] : []),
    ...(place.kind === 'fixed' && place.pins ? [`out of flow at ${place.pins.x} ${place.pins.y}`] : []),
  ];
}

/** A page of 400 × 300 px with these nodes. */
export function pageOf(...children: PageNode[]): Page {
  return {
    screen: 'screen',
    name: 'screen',
    title: 'screen',
    width: 400,
    height: 300,
    ground: null,
    frame: plainFrame('flow'),
    children,
  };
}
