import type { Look } from '../look/look';
import type { LayerKey } from '../mockup/layer';
import type { Colour } from '../mockup/paint';
import type { FaceId } from '../mockup/type';
import type { Role, Scroll } from '../sort/vocabulary';

/** The linear part of a transform about the node's top left corner: a turn, slant or stretch. */
export type Turn = readonly [a: number, b: number, c: number, d: number];

/** Where a node stands, px. `fixed`: from the padding box of the node around it. */
export interface Place {
  readonly kind: 'fixed';
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  /** True when the content gives the size: width and height are what Orden measured. */
  readonly hugs: boolean;
  readonly turn: Turn | null;
}

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
  readonly look: Look;
  /** On the page, but not shown at first. */
  readonly hidden: boolean;
  readonly href?: string;
  readonly label?: string;
  /** The name of the content that the program fills in. */
  readonly slot?: string;
  /** The direction in which the content scrolls. */
  readonly scroll?: Scroll;
  /** A remark for the developer. */
  readonly note?: string;
}

export interface BoxNode extends NodeBase {
  readonly kind: 'box';
  readonly children: readonly PageNode[];
}

/** Letters in one look; what equals the text node's own look is not repeated. */
export interface TextSpan {
  readonly text: string;
  readonly look: Look;
  /** Where a link around the letters leads. */
  readonly href?: string;
}

/** A line of text; `x` and `y` are given when the line stands apart from the regular flow of lines. */
export interface TextNodeLine {
  readonly spans: readonly TextSpan[];
  readonly at: { readonly x: number; readonly y: number; readonly stretch: number } | null;
}

export interface TextNode extends NodeBase {
  readonly kind: 'text';
  readonly lines: readonly TextNodeLine[];
  readonly faces: readonly FaceId[];
}

export interface PictureNode extends NodeBase {
  readonly kind: 'picture';
  /** The picture's name in the plan. */
  readonly picture: string;
  readonly alternative: string;
}

export type PageNode = BoxNode | TextNode | PictureNode;

/** One screen as a target-neutral tree. */
export interface Page {
  readonly screen: string;
  readonly name: string;
  readonly width: number;
  readonly height: number;
  readonly ground: Colour | null;
  readonly children: readonly PageNode[];
}

/** How nodes are placed. */
export const ARRANGEMENTS = ['fixed', 'nested'] as const;
export type Arrangement = (typeof ARRANGEMENTS)[number];

export function* walkNodes(nodes: readonly PageNode[]): Generator<PageNode> {
  for (const node of nodes) {
    yield node;
    if (node.kind === 'box') yield* walkNodes(node.children);
  }
}
