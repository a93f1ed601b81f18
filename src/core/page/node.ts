import type { Look } from '../look/look';
import type { Edges } from '../mockup/box';
import type { LayerId } from '../mockup/layer';
import { flatMap } from '../mockup/flatMap';
import type { Point } from '../mockup/matrix';
import type { Colour } from '../mockup/paint';
import { memoizeByObject } from '../mockup/memoize';
import type { FaceId } from '../mockup/type';
import type { LayoutOverride } from '../sort/decision';
import type { Role, Scroll, State } from '../sort/vocabulary';

/** The linear part of a transform about the node's top left corner: rotation, skew and scale. */
export type LinearTransform = readonly [a: number, b: number, c: number, d: number];

/**
 * The node's box in the mockup: px from the padding box of the parent, for nodes in the flow px of the
 * screen.
 */
interface Geometry {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  /** True when the content gives the size; width and height are then measured. */
  readonly fitsContent: boolean;
  readonly linear: LinearTransform | null;
  /**
   * Further px to the right for transformed nodes and stretched lines: browsers truncate fractions of a px
   * before the transform.
   */
  readonly subpixelShift?: number;
  readonly snapCompensation?: SnapCompensation;
}

/** The transform from the whole px where browsers draw the box to its exact place between px. */
export interface SnapCompensation {
  readonly move: Point;
  readonly scale: Point;
}

/** The edges of a growing parent to which a placed node keeps its distance; `both` stretches the node. */
export type Pin = 'start' | 'middle' | 'end' | 'both';

/** A node at fixed coordinates. */
export interface FixedPlace extends Geometry {
  readonly kind: 'fixed';
  /** The pins in a parent that may grow. Absent where boxes have a fixed size. */
  readonly pins?: {
    readonly x: Pin;
    readonly y: Pin;
    /** Px from the right and bottom edges of the parent's padding box. */
    readonly right: number;
    readonly bottom: number;
    /** `fit`: the width of the content; `max`: words that wrap at `width`. */
    readonly widthMode: 'fit' | 'drawn' | 'max';
    readonly heightMode: HeightMode;
  };
}

/**
 * The width of a node in the flow. `fit`: of its content; `drawn`: as in the mockup, shrinkable; `rigid`: as
 * in the mockup, not shrinkable; `rest`: the free width; `full`: all of the width; `max`: all of the width,
 * at most as in the mockup.
 */
export type WidthMode = 'fit' | 'drawn' | 'rigid' | 'rest' | 'full' | 'max';

/** How the height of a node is set. */
export type HeightMode = 'fit' | 'drawn' | 'min';

export type Align = 'start' | 'middle' | 'end' | 'stretch' | 'baseline';

/** Extra space around a node in the flow, px; null takes all free space. */
export interface Margin {
  readonly top: number;
  readonly left: number | null;
  readonly right: number | null;
  readonly bottom: number;
}

export const NO_MARGIN: Margin = { top: 0, left: 0, right: 0, bottom: 0 };

/** A node placed by its parent's layout. */
export interface FlowPlace extends Geometry {
  readonly kind: 'flow';
  readonly widthMode: WidthMode;
  readonly heightMode: HeightMode;
  /** Alignment across the direction, where it differs from the parent's. */
  readonly align: Align | null;
  readonly margin: Margin;
}

/** The place of a node. */
export type Place = FixedPlace | FlowPlace;

/**
 * One column of a grid: px that may shrink to the content, a share of the free width, or the width of the
 * content.
 */
export type Track =
  { readonly kind: 'px'; readonly width: number } | { readonly kind: 'share' } | { readonly kind: 'fit' };

/** The layout of a box's children. */
export interface Layout {
  /** `words`: inline content only, which needs no flex or grid layout. */
  readonly direction: 'row' | 'column' | 'grid' | 'words';
  /** The columns of a grid; empty for rows and columns. */
  readonly tracks: readonly Track[];
  /** Px between neighbours along the direction; of a grid, between columns. */
  readonly gap: number;
  /** Px between the rows of a grid; the same as `gap` elsewhere. */
  readonly rowGap: number;
  readonly padding: Edges;
  /** Across the direction. */
  readonly align: Align;
  /** Along the direction. */
  readonly justify: 'start' | 'middle' | 'end' | 'between';
}

/** The look of a node while it, or the ancestor that has the states, is in a state. */
export interface StateLook {
  readonly state: State;
  readonly look: Look;
  /**
   * The picture shown in the state, by its name in the plan; `wrapped` when a link or button is around it.
   */
  readonly picture?: { readonly name: string; readonly wrapped: boolean };
  /** Px by which the state version stands off from the resting one. */
  readonly shift: { readonly x: number; readonly y: number } | null;
  /** Identifies the ancestor that has the states; null for the node itself. */
  readonly within: string | null;
}

/** The two widths that a page may serve. */
export type Width = 'wide' | 'narrow';

/** The narrow version of a node that stands on the wide screen. */
export interface Narrow {
  readonly look: Look;
  readonly place: Place;
  readonly layout?: Layout;
  /** The name of the picture that it shows. */
  readonly picture?: string;
}

/** The relation of a node to the two screens of a page. */
export type Shared =
  | { readonly kind: 'both'; readonly narrow: Narrow }
  /** Shown on one of them. */
  | { readonly kind: 'only'; readonly on: Width }
  /** A container on one of them; what is inside is on both. */
  | { readonly kind: 'box'; readonly on: Width };

interface NodeBase {
  /** The layer that it comes from. */
  readonly layer: LayerId;
  /** The path of that layer, for people; empty for an anonymous box. */
  readonly path: string;
  /** Layers merged into it, such as its backdrop. */
  readonly merged?: readonly LayerId[];
  readonly name: string;
  /** False when Orden invented the name. */
  readonly named: boolean;
  readonly role: Role;
  /** Class names that a person gave. */
  readonly classes: readonly string[];
  readonly place: Place;
  /** True for a part of a diagram: it keeps its coordinates in the flow. */
  readonly keepsPlace?: true;
  readonly look: Look;
  readonly states?: readonly StateLook[];
  /** On the page, but hidden at first. */
  readonly hidden: boolean;
  readonly href?: string;
  readonly label?: string;
  /** The name of the content that the program fills in. */
  readonly slot?: string;
  /** The direction in which the content scrolls. */
  readonly scroll?: Scroll;
  /** What a person said about its layout. */
  readonly layoutOverride?: LayoutOverride;
  /** A note for the developer. */
  readonly note?: string;
  /** Absent on pages for one screen. */
  readonly shared?: Shared;
}

export interface BoxNode extends NodeBase {
  readonly kind: 'box';
  /** True for a container without a layer of its own. */
  readonly anonymous?: boolean;
  /** Absent when the children have fixed coordinates. */
  readonly layout?: Layout;
  readonly children: readonly PageNode[];
}

/** Letters in one look. Properties equal to the text node's own are not repeated. */
export interface TextSpan {
  readonly text: string;
  readonly look: Look;
  /** Where a link around the letters leads. */
  readonly href?: string;
}

export interface Extents {
  readonly ascent: number;
  readonly descent: number;
}

/** A line of text; `at` is given when the line stands apart from the regular lines. */
export interface TextNodeLine {
  readonly spans: readonly TextSpan[];
  /** As measured, px. */
  readonly width: number;
  /** Px of trailing white space that is not drawn. */
  readonly trailingSpace: number;
  readonly at: LinePlace | null;
}

export interface LinePlace {
  readonly x: number;
  readonly y: number;
  /** Horizontal stretch of the letters. */
  readonly stretch: number;
  /** Px of trailing white space that count when the line is centred or right-aligned. */
  readonly trailingSpace: number;
}

export interface TextNode extends NodeBase {
  readonly kind: 'text';
  /** Px from its top to the first baseline. */
  readonly baseline: number;
  /** The extents of the inline box around the baseline, px: browsers paint inline backgrounds there. */
  readonly extents: Extents;
  /** Px of vertical offset at fixed coordinates that keeps the letters in the mockup's row of px. */
  readonly baselineOffset: number;
  /** The width of a word space, px. */
  readonly space: number;
  readonly lines: readonly TextNodeLine[];
  /** True when the lines follow each other as in a paragraph, each with its own stretch. */
  readonly hasRegularLines?: boolean;
  /** The end of a single line that stays when the words change; absent for its start. */
  readonly anchor?: 'middle' | 'end';
  /** In the flow: the padding around the words, and their alignment in it. */
  readonly layout?: Layout;
  /** In the flow: whether lines wrap, break only where the mockup breaks them, or never break. */
  readonly wraps?: 'freely' | 'as-drawn' | 'never';
  readonly faces: readonly FaceId[];
}

export function lineText({ spans }: TextNodeLine): string {
  return spans.map(({ text }) => text).join('');
}

/**
 * True where a line ends with the hyphen of a word that continues in the next line: browsers may break there
 * (UAX #14, §5.1, HY).
 */
export function breaksWord(line: TextNodeLine, next: TextNodeLine | undefined): boolean {
  return next !== undefined && /\p{L}-$/u.test(lineText(line)) && /^\p{L}/u.test(lineText(next));
}

/** True for a text with lines that are stretched one by one. */
export function hasStretchedLines(node: PageNode): boolean {
  return node.kind === 'text' && node.lines.some(({ at }) => at !== null && at.stretch !== 1);
}

/** True for a picture with a link or a button around it. */
export function isWrapped({ href, role }: PictureNode): boolean {
  return href !== undefined || role === 'button';
}

export interface PictureNode extends NodeBase {
  readonly kind: 'picture';
  /** True for a picture of a line from one point to another. */
  readonly isConnector?: true;
  /** The picture's name in the plan. */
  readonly picture: string;
  readonly alternative: string;
}

export type PageNode = BoxNode | TextNode | PictureNode;

/** How a page stands in its window. */
export interface PageFrame {
  /** From the left edge, or centred and no wider than the mockup. */
  readonly stands: 'left' | 'centred';
  /** Whether content past the screen's edges is clipped or spills. */
  readonly edge: 'clipped' | 'spilling';
  /** As high as the mockup's screen, or as its content. */
  readonly reaches: 'screen' | 'content';
}

export const FRAME_WORDS = {
  stands: ['left', 'centred'],
  edge: ['clipped', 'spilling'],
  reaches: ['screen', 'content'],
} as const satisfies { readonly [K in keyof PageFrame]: readonly PageFrame[K][] };

export interface Page {
  readonly screen: string;
  readonly name: string;
  readonly width: number;
  readonly height: number;
  readonly ground: Colour | null;
  /** Class names that a person gave to the box that is its ground. */
  readonly classes?: readonly string[];
  readonly frame: PageFrame;
  /** Absent where everything stands at its coordinates. */
  readonly layout?: Layout;
  readonly children: readonly PageNode[];
  /** The second screen of the page, for windows of up to `below` px. */
  readonly narrow?: Omit<Page, 'children' | 'narrow'> & { readonly below: number };
}

/** How nodes are placed. */
export const ARRANGEMENTS = ['fixed', 'nested', 'flow'] as const;
export type Arrangement = (typeof ARRANGEMENTS)[number];

/** The default frame: a page in the flow is as high as its content. */
export function plainFrame(arrangement: Arrangement): PageFrame {
  return { stands: 'left', edge: 'clipped', reaches: arrangement === 'flow' ? 'content' : 'screen' };
}

/** The length that sizes are written in; `rem` follows the reader's own type size. */
export const UNITS = ['px', 'rem'] as const;
export type Unit = (typeof UNITS)[number];

/** The properties of a place that do not follow from other numbers: equal ones can share a class. */
export type SharedPlacement =
  | Pick<
      FlowPlace,
      | 'kind'
      | 'widthMode'
      | 'heightMode'
      | 'align'
      | 'margin'
      | 'width'
      | 'height'
      | 'linear'
      | 'subpixelShift'
      | 'snapCompensation'
    >
  | (Omit<FixedPlace, 'fitsContent' | 'pins'> & { readonly pins: NonNullable<FixedPlace['pins']> });

/** The placement that a class can hold; null for fixed coordinates, or when the content gives everything. */
export function sharedPlacementOf(node: PageNode): SharedPlacement | null {
  const { place, kind } = node;
  if (place.kind === 'fixed') {
    const { fitsContent: _, pins, ...geometry } = place;
    if (!pins) return null;
    const width = pins.widthMode === 'fit' ? 0 : place.width;
    const height = pins.heightMode === 'fit' ? 0 : place.height;
    return { ...geometry, width, height, pins };
  }
  const { widthMode, heightMode, align, margin, linear, subpixelShift, snapCompensation } = place;
  const sized = widthMode === 'drawn' || widthMode === 'rigid' || widthMode === 'max';
  const width = sized && !(kind === 'picture' && widthMode === 'rigid') ? place.width : 0;
  const height = heightMode === 'fit' ? 0 : place.height;
  const plain =
    width === 0 &&
    height === 0 &&
    align === null &&
    linear === null &&
    !snapCompensation &&
    widthMode !== 'rest';
  const spaced = margin.top !== 0 || margin.left !== 0 || margin.right !== 0 || margin.bottom !== 0;
  return plain && !spaced && widthMode !== 'full'
    ? null
    : {
        kind: 'flow',
        widthMode,
        heightMode,
        align,
        margin,
        linear,
        width,
        height,
        ...(linear && subpixelShift !== undefined && { subpixelShift }),
        ...(snapCompensation && { snapCompensation }),
      };
}

/** Every node below and including `nodes`, parents before children, in order. */
export function walkNodes(nodes: readonly PageNode[]): PageNode[] {
  const found: PageNode[] = [];
  appendNodes(nodes, found);
  return found;
}

/** Every node of a page, parents before children, in order. */
export const pageNodes = memoizeByObject((page: Page): readonly PageNode[] => walkNodes(page.children));

/**
 * Collects values from the nodes of some trees, parents before children. Unchanged subtrees are answered from
 * the memo.
 */
export function collectFromNodes<Said>(
  own: (node: PageNode) => readonly Said[],
): (nodes: readonly PageNode[]) => readonly Said[] {
  const saidBy = memoizeByObject((node: PageNode): readonly Said[] =>
    node.kind === 'box' ? [...own(node), ...flatMap(node.children, saidBy)] : own(node),
  );
  return (nodes) => flatMap(nodes, saidBy);
}

function appendNodes(nodes: readonly PageNode[], into: PageNode[]): void {
  for (const node of nodes) {
    into.push(node);
    if (node.kind === 'box') appendNodes(node.children, into);
  }
}
