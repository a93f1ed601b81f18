import { BY_HAND, MEASURED } from '../../tolerances';
import { bottom, right, type Edges } from '../../../mockup/box';
import { isPlain, type TypeLook } from '../../../look/look';
import { SHARE_BEFORE } from '../../../mockup/type';
import { isHeading } from '../../../sort/vocabulary';
import { placedBox } from '../../placed';
import type { BoxNode, Extents, PageNode, TextNode, TextSpan } from '../../node';
import { innerBox } from '../flow/parts';
import { hasSemanticsBesidesLink } from '../../semantics';
import { toQuarters, toThousandths } from '../lengths';

/** A piece of a sentence. */
export interface Piece {
  /** A text, or a box around one. */
  readonly whole: PageNode;
  /**
   * A box that tools draw once around words that continue in the next line: it stays beneath the sentence.
   */
  readonly beneath?: BoxNode;
  readonly node: TextNode;
  readonly type: TypeLook;
  readonly lines: readonly Fragment[];
}

/** The part of a piece in one line; px of the screen. */
export interface Fragment {
  readonly x: number;
  readonly width: number;
  readonly baseline: number;
  /** Horizontal stretch of the letters. */
  readonly stretch: number;
  readonly trailingSpace: number;
  /** Px of padding and borders of a box around the letters. */
  readonly extraWidth: number;
  readonly spans: readonly TextSpan[];
}

const ROLES: ReadonlySet<string> = new Set(['text', 'paragraph', 'link']);

/** The node as a piece of a sentence; null when it cannot be one. */
export function pieceOf(node: PageNode): Piece | null {
  return node.kind === 'box' ? boxedPiece(node) : node.kind === 'text' ? textPiece(node) : null;
}

/** The properties that an inline box may have. */
const INLINE: ReadonlySet<string> = new Set(['fills', 'border', 'sides', 'radii']);
const BOXED: ReadonlySet<string> = new Set(['box', 'link']);

/** A few words with a box around them, as code or keys in a sentence. */
function boxedPiece(node: BoxNode): Piece | null {
  const [text, ...more] = node.children;
  const piece = text?.kind === 'text' && more.length === 0 ? textPiece(text) : null;
  if (!piece || hasSemanticsBesidesLink(node) || node.place.linear || !BOXED.has(node.role)) return null;
  const isLinked = node.role === 'link';
  if (isLinked && piece.node.role === 'link') return null;
  if (isPlain(node.look)) return isLinked ? linkedPiece(piece, node) : null;
  const [line] = piece.lines;
  const [span] = line?.spans ?? [];
  const isInline = Object.keys(node.look).every((key) => INLINE.has(key));
  if (!line || !span || line.spans.length > 1 || !isInline) return null;
  if (piece.lines.length > 1)
    return isContinued(piece) ? { ...piece, whole: node, beneath: { ...node, children: [] } } : null;
  const padding = roomAround(node, line, piece.node.extents);
  if (!padding) return null;
  const box = placedBox(node.place);
  const dressedSpan = linked({ ...span, look: { ...span.look, ...node.look, padding } }, node);
  const extraWidth = box.width - line.width;
  return {
    ...piece,
    whole: node,
    lines: [{ ...line, x: box.x, width: box.width, extraWidth, spans: [dressedSpan] }],
  };
}

/** A text with a link around it. */
function linkedPiece(piece: Piece, node: BoxNode): Piece {
  const lines = piece.lines.map((line) => ({ ...line, spans: line.spans.map((span) => linked(span, node)) }));
  return { ...piece, whole: node, lines };
}

/** True for words that start within a line and continue at the start of the next. */
function isContinued({ lines }: Piece): boolean {
  const [first, next] = lines;
  return first !== undefined && next !== undefined && next.x < first.x - BY_HAND.overlap;
}

/** The padding between letters and their box; null when they stick out. */
function roomAround(node: BoxNode, line: Fragment, { ascent, descent }: Extents): Edges | null {
  const inner = innerBox(node);
  const sides = [
    line.baseline - ascent - inner.y,
    right(inner) - line.x - line.width,
    bottom(inner) - line.baseline - descent,
    line.x - inner.x,
  ];
  if (sides.some((side) => side < -MEASURED.overhang)) return null;
  const [top, end, below, left] = sides.map(roundedPadding) as [number, number, number, number];
  return { top, right: end, bottom: below, left };
}

function roundedPadding(length: number): number {
  return Math.max(0, toThousandths(toQuarters(length, MEASURED.padding)));
}

function textPiece(node: TextNode): Piece | null {
  if (!ROLES.has(node.role) && !isHeading(node.role)) return null;
  const { type, ...dress } = node.look;
  const { linear, subpixelShift = 0 } = node.place;
  if (!type || hasSemanticsBesidesLink(node) || Object.keys(dress).length > 0) return null;
  if (type.rightToLeft || type.keepsSpaces || type.lineHeight === null) return null;
  if (linear && (linear[1] !== 0 || linear[2] !== 0 || linear[3] !== 1)) return null;
  const height = type.lineHeight;
  const left = node.place.x + subpixelShift;
  const seen = node.place.width * (linear?.[0] ?? 1);
  const share = SHARE_BEFORE[type.align];
  const lines = node.lines.map(({ spans, width, trailingSpace, at }, index): Fragment => ({
    x: left + (at ? at.x : (seen - width) * share),
    width,
    baseline: node.place.y + node.baseline + (at ? at.y : index * height),
    stretch: at?.stretch ?? linear?.[0] ?? 1,
    trailingSpace,
    extraWidth: 0,
    spans: spans.map((span) => linked(span, node)),
  }));
  return { whole: node, node, type, lines };
}

function linked(span: TextSpan, { role, href }: TextNode | BoxNode): TextSpan {
  return role === 'link' && span.href === undefined ? { ...span, href: href ?? '#' } : span;
}

/** True for words with a box of their own in the line. */
export function hasBox({ whole, beneath }: Piece): boolean {
  return whole.kind === 'box' && !isPlain(whole.look) && !beneath;
}

/** True for words with a link. */
export function isLink({ whole, node }: Piece): boolean {
  return whole.role === 'link' || node.role === 'link';
}
