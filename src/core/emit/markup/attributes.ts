import type { MarkupElement } from '../../markup/element';
import type { NodeFurniture } from '../../page/meaning';
import { sayDifferences } from '../../sort/differences';
import { isButton, roleEntry } from '../../sort/vocabulary';
import type { PageNode } from '../../page/node';
import { widthClass } from '../../page/join/names';
import { isShownByState } from '../css/stateRules';
import { ownDeclarations } from '../css/ownDeclarations';
import { placedClasses } from '../css/placedClasses';
import { wornClasses } from '../css/wornClasses';
import { addressOf, type MarkupContext, inline } from './context';

export function withNote({ note, furniture }: PageNode, markup: MarkupElement): MarkupElement {
  const shared = furniture && sayFurniture(furniture);
  const notes = [note, shared].filter((each) => each !== undefined);
  return notes.length === 0 ? markup : { ...markup, note: notes.join(' ') };
}

function sayFurniture({ screens, differences }: NodeFurniture): string {
  const shared = `Furniture: on ${screens} screens.`;
  return differences.length === 0 ? shared : `${shared} Unlike on the first: ${sayDifferences(differences)}.`;
}

/** The element of a node, with its layers as origin. */
export function ofNode(node: PageNode, markup: MarkupElement): MarkupElement {
  if (node.kind === 'box' && node.anonymous) return markup;
  return { ...markup, origin: { layer: node.layer, merged: node.merged ?? [] } };
}

export function sharedAttributes(node: PageNode, context: MarkupContext) {
  const { sheet, keyed, placed, idOf } = context;
  const isAnonymous = node.kind === 'box' && node.anonymous === true;
  const flows = placed && node.kind === 'box' && node.layout !== undefined;
  const width = widthClass(node.shared);
  const classes = [
    ...new Set([
      ...node.classes,
      ...(isAnonymous ? [] : [sheet.nameClassOf(node)].filter((name) => name !== null)),
      ...lookClasses(node, context),
      ...(flows ? ['flow'] : []),
      ...(width === null ? [] : [width]),
    ]),
  ];
  const isLink = node.role === 'link' || node.kind === 'picture';
  const link = isLink && node.href !== undefined ? addressOf(node.href, context) : undefined;
  return {
    id: isAnonymous ? undefined : idOf?.(node.layer),
    class: classes.length > 0 ? classes.join(' ') : null,
    href: node.role === 'link' ? (link ?? '#') : link,
    type: isButton(node.role) && node.href === undefined ? 'button' : null,
    'data-slot': node.slot,
    'data-layer': keyed && !isAnonymous ? node.layer : undefined,
    hidden: node.hidden && !isShownByState({ states: node.states ?? [] }),
    ...stateAttributes(node),
  };
}

/** The names of an element's classes for its looks and its place. */
export function lookClasses(node: PageNode, context: MarkupContext): readonly string[] {
  const { sheet, pages } = context;
  const looks = wornClasses(sheet, pages)
    .of(node)
    .map(({ name }) => name);
  const placed = placedClassOf(node, context);
  return placed === null ? looks : [...looks, placed];
}

/** The state at rest of a button that a program switches (ARIA, `aria-pressed` and `aria-expanded`). */
function stateAttributes({ role, href, states = [] }: PageNode) {
  const own = new Set(states.filter(({ isControl }) => isControl).map(({ state }) => state));
  const isPressed = isButton(role) && href === undefined;
  const isSwitch = role === 'switch' || own.has('checked') || own.has('unchecked');
  return {
    'aria-pressed': isPressed && isSwitch ? String(own.has('unchecked')) : undefined,
    'aria-expanded':
      isPressed && (own.has('open') || own.has('closed')) ? String(own.has('closed')) : undefined,
  };
}

/** Elements without a role may have no accessible name; a box with one becomes a group (ARIA in HTML, §4). */
const NAMELESS: ReadonlySet<string> = new Set(['div', 'span', 'p', 'label']);

export function nameAttributes({ label, kind, role }: PageNode, name: string) {
  const { aria } = roleEntry(role);
  if (name === 'th') return { scope: 'col' };
  if (aria !== undefined && NAMELESS.has(name))
    return { role: aria, ...(label !== undefined && { 'aria-label': label }) };
  if (label === undefined) return {};
  if (!NAMELESS.has(name)) return { 'aria-label': label };
  return kind === 'box' && name !== 'label' ? { role: 'group', 'aria-label': label } : {};
}

/** The place of a node, as far as no class holds it; null for nothing. */
export function placeStyle(node: PageNode, context: MarkupContext): string | null {
  return placedClassOf(node, context) === null ? inline(ownDeclarations(node, context.sheet), context) : null;
}

/** The class that holds a place of its own on a page in the flow. */
function placedClassOf(node: PageNode, { sheet, pages }: MarkupContext): string | null {
  return pages ? placedClasses({ sheet, pages }).classOf(node) : null;
}
