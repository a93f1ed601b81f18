import { printArgb } from '../../markup/colours';
import type { TypeLook } from '../../look/look';
import type { TextNode, TextSpan } from '../../page/node';
import { escapeWords, stringResource } from './values';

/** What marks words inside of a string (Android, String resources, “Style with HTML markup”). */
interface Mark {
  readonly holds: (own: TypeLook, base: TypeLook) => boolean;
  readonly open: (own: TypeLook) => string;
  readonly close: string;
}

const BOLD = 600;

const MARKS: readonly Mark[] = [
  {
    holds: (own, base) => own.weight >= BOLD && base.weight < BOLD,
    open: () => '<b>',
    close: '</b>',
  },
  { holds: (own, base) => own.italic && !base.italic, open: () => '<i>', close: '</i>' },
  {
    holds: (own, base) => own.decorations.includes('underline') && !base.decorations.includes('underline'),
    open: () => '<u>',
    close: '</u>',
  },
  {
    holds: (own, base) =>
      own.decorations.includes('line-through') && !base.decorations.includes('line-through'),
    open: () => '<strike>',
    close: '</strike>',
  },
  {
    holds: (own, base) => own.colour !== null && colourOf(own) !== colourOf(base),
    open: (own) => `<font color="${colourOf(own)}">`,
    close: '</font>',
  },
];

/** Marks know no translucent colour, and no short one. */
function colourOf({ colour }: TypeLook): string {
  return colour ? printArgb({ ...colour, alpha: 1 }) : '';
}

/**
 * The words of a text as a string resource, those in a look of their own in marks.
 * @param words the same words without a look, with the lines joined by the joint
 */
export function styledWords({ lines, look }: TextNode, words: string, joint: string): string {
  const base = look.type!;
  const isPlain = lines.every(({ spans }) => spans.every((span) => marksOf(span, base).length === 0));
  if (isPlain) return stringResource(words);
  return lines.map(({ spans }) => spans.map((span) => marked(span, base)).join('')).join(escapeWords(joint));
}

function marksOf({ text, look: { type } }: TextSpan, base: TypeLook): readonly Mark[] {
  return type && text.trim() !== '' ? MARKS.filter(({ holds }) => holds(type, base)) : [];
}

function marked(span: TextSpan, base: TypeLook): string {
  const marks = marksOf(span, base);
  const opened = marks.map(({ open }) => open(span.look.type!)).join('');
  const closed = marks
    .toReversed()
    .map(({ close }) => close)
    .join('');
  return `${opened}${escapeWords(span.text)}${closed}`;
}

/** True for letters inside of a text that no mark says: of another family, size or spacing, or with a background. */
export function isBeyondMarks({ look }: TextSpan, base: TypeLook): boolean {
  const { type: own, ...others } = look;
  if (Object.keys(others).length > 0) return true;
  if (!own) return false;
  const isLighter = base.weight >= BOLD && own.weight < BOLD;
  return (
    isLighter ||
    own.size !== base.size ||
    own.families.join() !== base.families.join() ||
    own.baselineShift !== base.baselineShift ||
    own.letterSpacing !== base.letterSpacing ||
    own.smallCaps !== base.smallCaps ||
    (base.italic && !own.italic)
  );
}
