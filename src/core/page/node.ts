import type { Look } from '../look/look';
import type { Edges } from '../mockup/box';
import type { LayerKey } from '../mockup/layer';
import { gather } from '../mockup/gather';
import type { Point } from '../mockup/matrix';
import type { Colour } from '../mockup/paint';
import { rememberOf } from '../mockup/remember';
import type { FaceId } from '../mockup/type';
import type { Wish } from '../sort/decision';
import type { Role, Scroll, State } from '../sort/vocabulary';

/** The linear part of a transform about the node's top left corner: a turn, slant or stretch. */
export type Turn = readonly [a: number, b: number, c: number, d: number];

/** A node's box as the mockup has it: px from the padding box of the node around, of what flows px of the screen. */
interface Geometry {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  /** True when the content gives the size: width and height are what Orden measured. */
  readonly hugs: boolean;
  readonly turn: Turn | null;
  /**
   * Px by which what is turned, or has stretched lines, is moved to the right as well: browsers drop parts of a px before
   * they turn.
   */
  readonly shift?: number;
  readonly between?: Between;
}

/** What brings a box from the whole px on which browsers draw it to where it is drawn between them. */
export interface Between {
  readonly move: Point;
  readonly scale: Point;
}

/** Which edges of the box around a placed node keeps to when that box grows; `both` stretches it. */
export type Hold = 'start' | 'middle' | 'end' | 'both';

/** A node that stands at its coordinates. */
export interface FixedPlace extends Geometry {
  readonly kind: 'fixed';
  /** In a box that may grow: what the node keeps its distance to. Absent where boxes have a set size. */
  readonly holds?: {
    readonly x: Hold;
    readonly y: Hold;
    /** Px from the other edges of the padding box around. */
    readonly right: number;
    readonly bottom: number;
    /** `hug` for what is as wide as its content, `capped` for words that break where they would be wider than `width`. */
    readonly wide: 'hug' | 'set' | 'capped';
    readonly high: High;
  };
}

/**
 * How wide a node in the flow is. `hug`: as its content; `set`: as in the mockup, and less where there is no room;
 * `firm`: always as in the mockup; `fill`: what is left;
 * `whole`: all there is; `capped`: all there is, but no more than in the mockup.
 */
export type Wide = 'hug' | 'set' | 'firm' | 'fill' | 'whole' | 'capped';

/** How high: as its content, exactly as in the mockup, or at least as high. */
export type High = 'hug' | 'set' | 'least';

export type Align = 'start' | 'middle' | 'end' | 'stretch' | 'baseline';

/** Extra space around a node in the flow, px; null takes all that is free. */
export interface Margin {
  readonly top: number;
  readonly left: number | null;
  readonly right: number | null;
  readonly bottom: number;
}

export const NO_MARGIN: Margin = { top: 0, left: 0, right: 0, bottom: 0 };

/** A node that stands where the layout of the box around puts it. */
export interface FlowPlace extends Geometry {
  readonly kind: 'flow';
  readonly wide: Wide;
  readonly high: High;
  /** Across the direction, where it differs from the box's own. */
  readonly align: Align | null;
  readonly margin: Margin;
}

/** Where a node stands. */
export type Place = FixedPlace | FlowPlace;

/** One column of a grid: px that may shrink to its content, a share of what is left, or as wide as its content. */
export type Track =
  { readonly kind: 'px'; readonly width: number } | { readonly kind: 'share' } | { readonly kind: 'hug' };

/** How a box lays out what is inside of it. */
export interface Layout {
  /** `words`: nothing but letters, which need no order. */
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

/** How a node looks while it, or the node around that has the states, is in a state. */
export interface StateLook {
  readonly state: State;
  readonly look: Look;
  /** The picture, by its name in the plan, that is shown instead of the one at rest; `wrapped` when a link or button is around it. */
  readonly picture?: { readonly name: string; readonly wrapped: boolean };
  /** Px by which it stands elsewhere than at rest. */
  readonly shift: { readonly x: number; readonly y: number } | null;
  /** What tells the node that has the states; null for that node itself. */
  readonly within: string | null;
}

/** The two screens that a page may be for. */
export type Width = 'wide' | 'narrow';

/** How a node that stands on the wide screen is on the narrow one. */
export interface Narrow {
  readonly look: Look;
  readonly place: Place;
  readonly layout?: Layout;
  /** The name of the picture that it shows. */
  readonly picture?: string;
}

/** What a node is to the two screens of a page. */
export type Shared =
  | { readonly kind: 'both'; readonly narrow: Narrow }
  /** Shown on one of them. */
  | { readonly kind: 'only'; readonly on: Width }
  /** A container on one of them; what is inside is on both. */
  | { readonly kind: 'box'; readonly on: Width };

interface NodeBase {
  /** The layer that it comes from. */
  readonly layer: LayerKey;
  /** Layers that became part of it, such as its backdrop. */
  readonly merged?: readonly LayerKey[];
  readonly name: string;
  /** False when Orden made the name up. */
  readonly named: boolean;
  readonly role: Role;
  /** Class names that a person gave. */
  readonly classes: readonly string[];
  readonly place: Place;
  /** True for a part of a diagram: in the flow it stays where it was drawn. */
  readonly drawn?: true;
  readonly look: Look;
  readonly states?: readonly StateLook[];
  /** On the page, but not shown at first. */
  readonly hidden: boolean;
  readonly href?: string;
  readonly label?: string;
  /** The name of the content that the program fills in. */
  readonly slot?: string;
  /** The direction in which the content scrolls. */
  readonly scroll?: Scroll;
  /** What a person says of its layout. */
  readonly wish?: Wish;
  /** A remark for the developer. */
  readonly note?: string;
  /** Absent on pages for one screen. */
  readonly shared?: Shared;
}

export interface BoxNode extends NodeBase {
  readonly kind: 'box';
  /** True for a container that no layer stands for: the flow needs it around several. */
  readonly made?: boolean;
  /** Absent where everything inside stands at its coordinates. */
  readonly layout?: Layout;
  readonly children: readonly PageNode[];
}

/** Letters in one look; what equals the text node's own look is not repeated. */
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

/** A line of text; `x` and `y` are given when the line stands apart from the regular flow of lines. */
export interface TextNodeLine {
  readonly spans: readonly TextSpan[];
  /** As measured, px. */
  readonly width: number;
  /** Px of white space behind it that is not drawn. */
  readonly hang: number;
  readonly at: LinePlace | null;
}

export interface LinePlace {
  readonly x: number;
  readonly y: number;
  /** How much wider its letters are drawn than they are. */
  readonly stretch: number;
  /** Px behind its last letter that count where it is centred or ends. */
  readonly hang: number;
}

export interface TextNode extends NodeBase {
  readonly kind: 'text';
  /** Px from its top to the first baseline. */
  readonly baseline: number;
  /** How far its letters' own box reaches from the baseline, px: what browsers paint behind letters inside a line. */
  readonly extents: Extents;
  /** Px by which it is moved down where it stands at coordinates, so that its letters lie in the px of the mockup. */
  readonly nudge: number;
  /** How wide a space is between its words, px. */
  readonly space: number;
  readonly lines: readonly TextNodeLine[];
  /** True when its lines follow each other as a paragraph's do, each stretched by itself. */
  readonly even?: boolean;
  /** The end of a single line that stays where it is when the words change; absent for its start. */
  readonly anchor?: 'middle' | 'end';
  /** In the flow: the room around its words, and where they stand in it. */
  readonly layout?: Layout;
  /** In the flow: whether its lines break where there is room, only where the mockup breaks them, or never. */
  readonly wraps?: 'freely' | 'as-drawn' | 'never';
  readonly faces: readonly FaceId[];
}

export function lineText({ spans }: TextNodeLine): string {
  return spans.map(({ text }) => text).join('');
}

/** True where a line ends with the hyphen of a word that goes on in the next: there browsers may break (UAX #14, §5.1, HY). */
export function breaksWord(line: TextNodeLine, next: TextNodeLine | undefined): boolean {
  return next !== undefined && /\p{L}-$/u.test(lineText(line)) && /^\p{L}/u.test(lineText(next));
}

/** True for a text with lines that are each drawn wider or narrower by themselves. */
export function hasStretchedLines(node: PageNode): boolean {
  return node.kind === 'text' && node.lines.some(({ at }) => at !== null && at.stretch !== 1);
}

/** True for a picture with a link or a button around it. */
export function isWrapped({ href, role }: PictureNode): boolean {
  return href !== undefined || role === 'button';
}

export interface PictureNode extends NodeBase {
  readonly kind: 'picture';
  /** True for one that draws a line from one point to another. */
  readonly lines?: true;
  /** The picture's name in the plan. */
  readonly picture: string;
  readonly alternative: string;
}

export type PageNode = BoxNode | TextNode | PictureNode;

/** One screen as a target-neutral tree. */
/** How a page stands in its window. */
export interface PageFrame {
  /** From the left edge, or centred and no wider than the mockup. */
  readonly stands: 'left' | 'centred';
  /** What happens to what lies past the screen's edges. */
  readonly edge: 'clipped' | 'spilling';
  /** As high as the screen of the mockup, or as what is on it. */
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
  /** A second screen that it is for, in windows of up to `below` px. */
  readonly narrow?: Omit<Page, 'children' | 'narrow'> & { readonly below: number };
}

/** How nodes are placed. */
export const ARRANGEMENTS = ['fixed', 'nested', 'flow'] as const;
export type Arrangement = (typeof ARRANGEMENTS)[number];

/** How a page stands where nobody says otherwise: what flows is as high as its content. */
export function plainFrame(arrangement: Arrangement): PageFrame {
  return { stands: 'left', edge: 'clipped', reaches: arrangement === 'flow' ? 'content' : 'screen' };
}

/** The length that sizes are written in; `rem` follows the reader's own type size. */
export const UNITS = ['px', 'rem'] as const;
export type Unit = (typeof UNITS)[number];

/** What a place says beside the numbers that follow from others: equal ones can share a class. */
export type Standing =
  | Pick<
      FlowPlace,
      'kind' | 'wide' | 'high' | 'align' | 'margin' | 'width' | 'height' | 'turn' | 'shift' | 'between'
    >
  | (Omit<FixedPlace, 'hugs' | 'holds'> & { readonly holds: NonNullable<FixedPlace['holds']> });

/** How a node stands in a box that may grow; null where it has coordinates of its own, or just follows its content. */
export function standingOf(node: PageNode): Standing | null {
  const { place, kind } = node;
  if (place.kind === 'fixed') {
    const { hugs: _, holds, ...geometry } = place;
    if (!holds) return null;
    const width = holds.wide === 'hug' ? 0 : place.width;
    const height = holds.high === 'hug' ? 0 : place.height;
    return { ...geometry, width, height, holds };
  }
  const { wide, high, align, margin, turn, shift, between } = place;
  const sized = wide === 'set' || wide === 'firm' || wide === 'capped';
  const width = sized && !(kind === 'picture' && wide === 'firm') ? place.width : 0;
  const height = high === 'hug' ? 0 : place.height;
  const plain = width === 0 && height === 0 && align === null && turn === null && !between && wide !== 'fill';
  const spaced = margin.top !== 0 || margin.left !== 0 || margin.right !== 0 || margin.bottom !== 0;
  return plain && !spaced && wide !== 'whole'
    ? null
    : {
        kind: 'flow',
        wide,
        high,
        align,
        margin,
        turn,
        width,
        height,
        ...(turn && shift !== undefined && { shift }),
        ...(between && { between }),
      };
}

/** Every node below and including `nodes`, parents before children, in order. */
export function walkNodes(nodes: readonly PageNode[]): PageNode[] {
  const found: PageNode[] = [];
  gatherNodes(nodes, found);
  return found;
}

/** Every node of a page, parents before children, in order: the stages after the arrangement ask one after the other. */
export const pageNodes = rememberOf((page: Page): readonly PageNode[] => walkNodes(page.children));

/**
 * Gives what the nodes of some trees say, each before what is in it, in order; what an edit leaves alone is not asked
 * again, nor gone through.
 */
export function gathering<Said>(
  own: (node: PageNode) => readonly Said[],
): (nodes: readonly PageNode[]) => readonly Said[] {
  const saidBy = rememberOf((node: PageNode): readonly Said[] =>
    node.kind === 'box' ? [...own(node), ...gather(node.children, saidBy)] : own(node),
  );
  return (nodes) => gather(nodes, saidBy);
}

function gatherNodes(nodes: readonly PageNode[], into: PageNode[]): void {
  for (const node of nodes) {
    into.push(node);
    if (node.kind === 'box') gatherNodes(node.children, into);
  }
}
