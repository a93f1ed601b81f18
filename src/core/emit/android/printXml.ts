import { escapeAttribute, escapeComment, escapeText } from '../../markup/printHtml';
import type { MarkupElement, MarkupNode } from '../../markup/element';
import type { Doc, MarkedPrinter } from '../components/printing';
import { hardline } from '../components/printing';

const DECLARATION = '<?xml version="1.0" encoding="utf-8"?>';

/** A resource file, one attribute a line, as the platform's editor formats it. */
export function resourceFile(root: MarkupElement, from: MarkedPrinter['from'] = (_, code) => code): Doc {
  return [DECLARATION, hardline, ...elementLines(root, '', from)];
}

function elementLines(of: MarkupElement, margin: string, from: MarkedPrinter['from']): Doc[] {
  const note = of.note === undefined ? [] : [`${margin}<!-- ${escapeComment(of.note)} -->`, hardline];
  return [...note, from(of.origin, bodyOf(of, margin, from)), hardline];
}

function bodyOf(
  { name, attributes, children }: MarkupElement,
  margin: string,
  from: MarkedPrinter['from'],
): Doc {
  const entries = Object.entries(attributes)
    .toSorted(([one], [other]) => rankOf(one) - rankOf(other))
    .map(([key, value]) => `${key}="${escapeAttribute(String(value))}"`);
  const few = entries.length <= 1 && !name.includes('Layout');
  const opened: Doc[] = few
    ? [`${margin}<${[name, ...entries].join(' ')}`]
    : [`${margin}<${name}`, ...entries.flatMap((each): Doc[] => [hardline, `${margin}    ${each}`])];
  if (children.length === 0) return [...opened, ' />'];
  const [words] = children;
  if (children.length === 1 && typeof words === 'string') return [...opened, `>${words}</${name}>`];
  const inner = children.flatMap((child: MarkupNode): Doc[] =>
    typeof child === 'string'
      ? [`${margin}    ${escapeText(child)}`, hardline]
      : elementLines(child, `${margin}    `, from),
  );
  return [...opened, '>', hardline, ...inner, `${margin}</${name}>`];
}

/** The order of attributes in the platform's editor: names of spaces, id, place, style, all others (common practice, no source). */
const RANKS = [/^xmlns:/, /^android:id$/, /^layout$/, /^android:theme$/, /^android:layout_/, /^style$/];

function rankOf(name: string): number {
  const rank = RANKS.findIndex((form) => form.test(name));
  return rank === -1 ? RANKS.length : rank;
}
