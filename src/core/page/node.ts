import type { Meaning } from './meaning';
import type { Look } from '../look/look';
import type { Point } from '../mockup/matrix';
import type { LayerId } from '../mockup/layer';
import type { FaceId } from '../mockup/type';
import type { LayoutOverride } from '../sort/decision';
import { isButton, type InputType, type Role, type Scroll, type State } from '../sort/vocabulary';
import type { Place } from './place';
import type { StateSource } from './states/controlKey';
import type { Layout } from './layout';

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
  /** `shown`: only the state shows the node; `hidden`: the state does not show it. Absent for a look alone. */
  readonly visibility?: 'shown' | 'hidden';
  /** Identifies the control that has the state; equal controls have equal keys. */
  readonly control: string;
  /** How the control says that it is in the state. */
  readonly source: StateSource;
  /** True for the control itself, false for a part of it. */
  readonly isControl: boolean;
}

/** The look of a node in a theme. */
export interface ThemeLook {
  readonly theme: string;
  readonly look: Look;
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

interface NodeBase extends Meaning {
  /** The layer that it comes from. */
  readonly layer: LayerId;
  /** The path of that layer, for people; empty for an anonymous box. */
  readonly path: string;
  /** Layers merged into it, such as its backdrop. */
  readonly merged?: readonly LayerId[];
  readonly name: string;
  /** False when Orden invented the name. */
  readonly named: boolean;
  /** True when a person gave the name. Absent for any other. */
  readonly nameSaid?: true;
  readonly role: Role;
  /** True when a person or the layer's name said the role. Absent for any other. */
  readonly roleSaid?: true;
  /** Class names that a person gave. */
  readonly classes: readonly string[];
  /** The class name that a person gave to its look. */
  readonly lookName?: string;
  /** The name of a class that its look has apart from equal looks. */
  readonly ownClass?: string;
  readonly place: Place;
  /** True for a part of a diagram: it keeps its coordinates in the flow. */
  readonly keepsPlace?: true;
  readonly look: Look;
  readonly states?: readonly StateLook[];
  /** Absent where it looks the same in every theme. */
  readonly themes?: readonly ThemeLook[];
  /** On the page, but hidden at first. */
  readonly hidden: boolean;
  readonly href?: string;
  readonly label?: string;
  /** The field that the text labels. */
  readonly labelFor?: LayerId;
  /** The name of the field that a person said the text labels. */
  readonly labels?: string;
  /** What a person said is typed into the field. */
  readonly inputType?: InputType;
  /** What a radio button is a choice of. */
  readonly choiceOf?: string;
  /** The name of the content that the program fills in. */
  readonly slot?: string;
  /** The direction in which the content scrolls. */
  readonly scroll?: Scroll;
  /** Px by which it stands off from where it was drawn: a person chose the layout around it. Absent for none. */
  readonly movedBy?: Point;
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
  /** What a person wants in it exactly as drawn, while the rest of the page is laid out. */
  readonly setAside?: readonly PageNode[];
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
  /**
   * In the flow: whether lines wrap, break only where the mockup breaks them, never break, or, in a button, stay on its
   * one line.
   */
  readonly wraps?: 'freely' | 'as-drawn' | 'never' | 'pressed';
  readonly faces: readonly FaceId[];
}

export function lineText({ spans }: TextNodeLine): string {
  return spans.map(({ text }) => text).join('');
}

/** The words of a text in one line, with single spaces. */
export function nodeWords({ lines }: TextNode): string {
  return lines.map(lineText).join(' ').replace(/\s+/g, ' ');
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
  return href !== undefined || isButton(role);
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
