import { lightness } from '../../look/contrast';
import { element, type Attributes, type MarkupElement } from '../../markup/element';
import { contains } from '../../mockup/box';
import { controlOf, hasSeveralLines } from '../../page/fieldParts';
import { placedBox } from '../../page/placed';
import { lineText, type BoxNode, type PageNode, type TextNode } from '../../page/node';
import type { Inside } from './elementNames';
import type { MarkupContext } from './context';
import { sharedAttributes, placeStyle, ofNode } from './attributes';

/** A field that a text elsewhere labels is no label itself. */
export function fieldElementName(node: BoxNode, { fieldIdOf }: MarkupContext, inside: Inside): string | null {
  return fieldIdOf?.(node.layer) === undefined ? null : inside.phrasing ? 'span' : 'div';
}

/**
 * The control in a field's box: an input, a text area or a list, with the drawn words as its value or, where they
 * are faint, as its placeholder. It extends to the right edge with the same inset as on the left (HTML,
 * §4.10.5.3.10 the placeholder attribute).
 */
export function controlMarkup(field: BoxNode, text: TextNode, context: MarkupContext): MarkupElement {
  const words = text.lines.map(lineText).join(text.lines.length > 1 ? '\n' : ' ');
  const control = controlOf(field) ?? text;
  const shared = {
    ...sharedAttributes(control, context),
    ...nameOf(field, text.label ?? words, context),
    style: placeStyle(control, context),
  };
  return ofNode(text, controlElement(field, shared, words, isFaint(text)));
}

/** The control of a field without words: all of its box. */
export function emptyControlMarkup(field: BoxNode, context: MarkupContext): MarkupElement {
  const shared = { ...nameOf(field, field.label ?? field.name, context), class: 'control' };
  return controlElement(field, shared, '', true);
}

function controlElement(
  field: BoxNode,
  shared: Attributes,
  words: string,
  isPlaceholder: boolean,
): MarkupElement {
  if (field.role === 'select') return element('select', shared, [element('option', {}, [words])]);
  const type = field.inputType ?? typeOf(field, words, String(shared.id ?? ''));
  const isValue = !isPlaceholder && (VALUES[type ?? 'text']?.test(words) ?? true);
  const said = words === '' ? {} : isValue ? { value: words } : { placeholder: words };
  if (!hasSeveralLines(field))
    return element('input', { ...shared, type: type === 'text' ? null : type, ...said });
  return element('textarea', { ...shared, placeholder: said.placeholder }, isPlaceholder ? [] : [words]);
}

/** The id that its label refers to, else a name by its words. */
function nameOf(field: BoxNode, words: string, { fieldIdOf }: MarkupContext) {
  const id = fieldIdOf?.(field.layer);
  return id === undefined ? { 'aria-label': words } : { id };
}

/** Placeholders are neither as dark as text nor as bright as the background. */
function isFaint({ look, name }: TextNode): boolean {
  if (name.includes('placeholder')) return true;
  const colour = look.type?.colour;
  if (!colour) return false;
  const seen = lightness(colour) * colour.alpha + (1 - colour.alpha);
  return seen > 0.38 && seen < 0.85;
}

/** The kinds of inputs by the names of fields and their words (common practice of naming, no source). */
const TYPES: readonly (readonly [type: string, name: RegExp])[] = [
  ['password', /\b(?:password|passphrase|passcode|pin)\b/i],
  ['email', /\be[- ]?mail\b/i],
  ['tel', /\b(?:phone|tel|telephone|mobile)\b/i],
  ['search', /\bsearch\b/i],
  ['url', /\b(?:url|website)\b/i],
];

/** What a control keeps as its value: it drops other words (HTML, §2.3.4.3, §2.3.5 and §4.10.5.1). */
const VALUES: Readonly<Partial<Record<string, RegExp>>> = {
  number: /^-?\d+(?:\.\d+)?$/,
  date: /^\d{4}-\d{2}-\d{2}$/,
  month: /^\d{4}-\d{2}$/,
  time: /^\d{2}:\d{2}$/,
};

function typeOf({ name, label = '', path }: BoxNode, words: string, id: string): string | null {
  if (/^[•●∙*·]{3,}$/.test(words.trim())) return 'password';
  const said = [id, label, words, ...path.split('/').slice(-2), name].map((each) =>
    each.replace(/[-_]+/g, ' '),
  );
  return TYPES.find(([, pattern]) => said.some((each) => pattern.test(each)))?.[0] ?? null;
}

/** The native control of a checkbox or a radio button, over all that is drawn. */
export function checkMarkup(node: BoxNode): MarkupElement {
  return element('input', {
    type: node.role === 'radio' ? 'radio' : 'checkbox',
    name: node.choiceOf,
    checked: isChecked(node) ? '' : null,
  });
}

/** True for a control that is drawn with a mark in its box. */
function isChecked({ states = [], children }: BoxNode): boolean {
  const own = new Set(states.map(({ state }) => state));
  if (own.has('unchecked')) return true;
  if (own.has('checked')) return false;
  const drawn = children.filter((child) => child.kind !== 'text' && !child.hidden);
  const lies = (one: PageNode, other: PageNode) =>
    one !== other && contains(placedBox(other.place), placedBox(one.place), 1);
  return drawn.some((one) => holdsMark(one) || drawn.some((other) => lies(one, other)));
}

function holdsMark(node: PageNode): boolean {
  return node.kind === 'box' && node.children.some((child) => child.kind !== 'text' && !child.hidden);
}
