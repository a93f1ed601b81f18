import { bottom, right, type Edges } from '../../../mockup/box';
import { isPlain, type TypeLook } from '../../../look/look';
import { SHARE_BEFORE } from '../../../mockup/type';
import { isHeading } from '../../../sort/vocabulary';
import { placedBox } from '../../placed';
import type { BoxNode, Extents, PageNode, TextNode, TextSpan } from '../../node';
import { innerBox } from '../flow/parts';
import { isMeantOtherwise } from '../meaning';
import { toQuarters, toThousandths } from '../lengths';

/** What can be part of a sentence. */
export interface Piece {
  /** A text, or a box around one. */
  readonly whole: PageNode;
  /** A box that tools draw once around words that go on in the next line: it stays beneath the sentence. */
  readonly beneath?: BoxNode;
  readonly node: TextNode;
  readonly type: TypeLook;
  readonly lines: readonly Fragment[];
}

/** What stands of a piece in one line; px of the screen. */
export interface Fragment {
  readonly x: number;
  readonly width: number;
  readonly baseline: number;
  /** How much wider its letters are drawn than they are. */
  readonly stretch: number;
  readonly hang: number;
  /** What is not letters of it: the padding and borders of a box around them. */
  readonly room: number;
  readonly spans: readonly TextSpan[];
}

const ROLES: ReadonlySet<string> = new Set(['text', 'paragraph', 'link']);

/** Px by which baselines of one line may differ. */
export const SAME_LINE = 1;

/** The node as a piece of a sentence; null for what can be none. */
export function pieceOf(node: PageNode): Piece | null {
  return node.kind === 'box' ? boxedPiece(node) : node.kind === 'text' ? textPiece(node) : null;
}

/** What the look of a box may have that is in a line of text. */
const INLINE: ReadonlySet<string> = new Set(['fills', 'border', 'sides', 'radii']);
const BOXED: ReadonlySet<string> = new Set(['box', 'link']);

/** A word or a few with a box around them, as code or keys have it in a sentence. */
function boxedPiece(node: BoxNode): Piece | null {
  const [text, ...more] = node.children;
  const piece = text?.kind === 'text' && more.length === 0 ? textPiece(text) : null;
  if (!piece || isMeantOtherwise(node) || node.place.turn || !BOXED.has(node.role)) return null;
  const isLinked = node.role === 'link';
  if (isLinked && piece.node.role === 'link') return null;
  if (isPlain(node.look)) return isLinked ? linkedPiece(piece, node) : null;
  const [line] = piece.lines;
  const [span] = line?.spans ?? [];
  const isInline = Object.keys(node.look).every((key) => INLINE.has(key));
  if (!line || !span || line.spans.length > 1 || !isInline) return null;
  if (piece.lines.length > 1)
    return goesOn(piece) ? { ...piece, whole: node, beneath: { ...node, children: [] } } : null;
  const padding = roomAround(node, line, piece.node.extents);
  if (!padding) return null;
  const box = placedBox(node.place);
  const dressedSpan = linked({ ...span, look: { ...span.look, ...node.look, padding } }, node);
  const room = box.width - line.width;
  return {
    ...piece,
    whole: node,
    lines: [{ ...line, x: box.x, width: box.width, room, spans: [dressedSpan] }],
  };
}

/** A text with a link around it. */
function linkedPiece(piece: Piece, node: BoxNode): Piece {
  const lines = piece.lines.map((line) => ({ ...line, spans: line.spans.map((span) => linked(span, node)) }));
  return { ...piece, whole: node, lines };
}

/** True for words that begin within a line and go on where the next one begins. */
function goesOn({ lines }: Piece): boolean {
  const [first, next] = lines;
  return first !== undefined && next !== undefined && next.x < first.x - SAME_LINE;
}

/** Px by which letters may reach over the box around them. */
const OVER = 0.5;

/** The padding between letters and their box; null when they reach over it. */
function roomAround(node: BoxNode, line: Fragment, { ascent, descent }: Extents): Edges | null {
  const inner = innerBox(node);
  const sides = [
    line.baseline - ascent - inner.y,
    right(inner) - line.x - line.width,
    bottom(inner) - line.baseline - descent,
    line.x - inner.x,
  ];
  if (sides.some((side) => side < -OVER)) return null;
  const [top, end, below, left] = sides.map(asWritten) as [number, number, number, number];
  return { top, right: end, bottom: below, left };
}

/** Px by which the padding of words is off its quarter because of how they were measured. */
const MEASURED = 0.06;

function asWritten(length: number): number {
  return Math.max(0, toThousandths(toQuarters(length, MEASURED)));
}

function textPiece(node: TextNode): Piece | null {
  if (!ROLES.has(node.role) && !isHeading(node.role)) return null;
  const { type, ...dress } = node.look;
  const { turn, shift = 0 } = node.place;
  if (!type || isMeantOtherwise(node) || Object.keys(dress).length > 0) return null;
  if (type.rightToLeft || type.keepsSpaces || type.lineHeight === null) return null;
  if (turn && (turn[1] !== 0 || turn[2] !== 0 || turn[3] !== 1)) return null;
  const height = type.lineHeight;
  const left = node.place.x + shift;
  const seen = node.place.width * (turn?.[0] ?? 1);
  const share = SHARE_BEFORE[type.align];
  const lines = node.lines.map(({ spans, width, hang, at }, index): Fragment => ({
    x: left + (at ? at.x : (seen - width) * share),
    width,
    baseline: node.place.y + node.baseline + (at ? at.y : index * height),
    stretch: at?.stretch ?? turn?.[0] ?? 1,
    hang,
    room: 0,
    spans: spans.map((span) => linked(span, node)),
  }));
  return { whole: node, node, type, lines };
}

function linked(span: TextSpan, { role, href }: TextNode | BoxNode): TextSpan {
  return role === 'link' && span.href === undefined ? { ...span, href: href ?? '#' } : span;
}

/** True for words that have their box with them in the line. */
export function hasBox({ whole, beneath }: Piece): boolean {
  return whole.kind === 'box' && !isPlain(whole.look) && !beneath;
}

/** True for words that lead somewhere. */
export function isLink({ whole, node }: Piece): boolean {
  return whole.role === 'link' || node.role === 'link';
}
