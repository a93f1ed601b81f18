/** The outcomes of a layer. */
export const OUTCOMES = {
  element: { letter: 'E', says: 'an element of the page, styled by CSS' },
  picture: { letter: 'P', says: 'one picture of it and all inside it' },
  sample: { letter: 'S', says: 'a sample that defines a shared class' },
  aside: { letter: '–', says: 'stays in the mockup, off the page' },
} as const;
export type Outcome = keyof typeof OUTCOMES;

interface RoleEntry {
  /** The HTML element. */
  readonly element: string;
  /** True when HTML allows only letters and inline elements inside (HTML, §3.2.5.2.5 phrasing content). */
  readonly phrasing: boolean;
  /**
   * Elements that it must not stand in (HTML, §4.3, §4.4 and §3.2.5.2.7: sections, main, interactive
   * content).
   */
  readonly neverInside?: readonly string[];
  /** The ARIA role that the element has not by itself (ARIA in HTML, §4). */
  readonly aria?: string;
  /** Words in a layer's name that suggest this role. */
  readonly words?: readonly string[];
}

/** The states of an element, by the names of CSS and HTML: pseudo-classes and attributes. */
export const STATES = [
  'hover',
  'active',
  'focus',
  'disabled',
  'checked',
  'unchecked',
  'selected',
  'open',
  'closed',
] as const;
export type State = (typeof STATES)[number];

/** The states that a thing leaves for another one; where it rests in the first, the second is a version. */
export const OPPOSITES: Readonly<Partial<Record<State, State>>> = { checked: 'unchecked', open: 'closed' };

/** The direction in which a layer's content scrolls, as in CSS `overflow-x` and `overflow-y`. */
export const SCROLLS = ['x', 'y', 'both'] as const;
export type Scroll = (typeof SCROLLS)[number];

/**
 * The layout of a container's content: a row, a column, a grid, its parts at fixed coordinates, or all inside of it exactly
 * as drawn.
 */
export const CONTENTS = ['row', 'column', 'grid', 'nested', 'exact'] as const;
export type Contents = (typeof CONTENTS)[number];

/** True for contents that the flow places. */
export function isFlowing(contents: Contents | undefined): contents is 'row' | 'column' | 'grid' {
  return contents === 'row' || contents === 'column' || contents === 'grid';
}

/** The width of a layer in a row or column: of its content, the rest, or as drawn. */
export const WIDTHS = ['fit', 'rest', 'drawn'] as const;
export type PartWidth = (typeof WIDTHS)[number];

/** Headings and paragraphs hold no further ones (HTML, §4.3.6 and §4.4.1: their content is phrasing). */
const NOT_AROUND_HEADINGS = ['h1', 'h2', 'h3', 'h4', 'h5', 'h6', 'p', 'button'];

/** The semantic elements, by the words of HTML (https://html.spec.whatwg.org/multipage/semantics.html) and ARIA. */
export const ROLES = {
  box: { element: 'div', phrasing: false },
  text: { element: 'span', phrasing: true },
  paragraph: { element: 'p', phrasing: true, neverInside: NOT_AROUND_HEADINGS, words: ['p', 'paragraph'] },
  'heading-1': { element: 'h1', phrasing: true, neverInside: NOT_AROUND_HEADINGS },
  'heading-2': { element: 'h2', phrasing: true, neverInside: NOT_AROUND_HEADINGS },
  'heading-3': { element: 'h3', phrasing: true, neverInside: NOT_AROUND_HEADINGS },
  'heading-4': { element: 'h4', phrasing: true, neverInside: NOT_AROUND_HEADINGS },
  'heading-5': { element: 'h5', phrasing: true, neverInside: NOT_AROUND_HEADINGS },
  'heading-6': { element: 'h6', phrasing: true, neverInside: NOT_AROUND_HEADINGS },
  button: {
    element: 'button',
    phrasing: true,
    neverInside: ['a', 'button'],
    words: ['button', 'btn', 'cta'],
  },
  /** A button that stays pressed (ARIA, `aria-pressed`). */
  switch: {
    element: 'button',
    phrasing: true,
    neverInside: ['a', 'button'],
    words: ['switch', 'toggle'],
  },
  /** A form control; its text becomes the input's placeholder (HTML, §4.10.4 the label element). */
  field: {
    element: 'label',
    phrasing: true,
    neverInside: ['a', 'button', 'label'],
    words: ['field', 'input', 'textbox', 'textarea', 'searchbox', 'textfield', 'formcontrol'],
  },
  /** A list to choose from; its text is the choice (HTML, §4.10.7). */
  select: {
    element: 'label',
    phrasing: true,
    neverInside: ['a', 'button', 'label'],
    words: ['select', 'dropdown', 'combobox'],
  },
  /** A box to check with its label (HTML, §4.10.5.1.15). */
  checkbox: {
    element: 'label',
    phrasing: true,
    neverInside: ['a', 'button', 'label'],
    words: ['checkbox'],
  },
  /** One of several choices, with its label (HTML, §4.10.5.1.16). */
  radio: { element: 'label', phrasing: true, neverInside: ['a', 'button', 'label'] },
  link: { element: 'a', phrasing: false, neverInside: ['a', 'button'], words: ['link'] },
  list: { element: 'ul', phrasing: false, words: ['list', 'ul', 'tbody'] },
  /** A list whose order counts (HTML, §4.4.5). */
  'ordered-list': { element: 'ol', phrasing: false, words: ['ol'] },
  item: { element: 'li', phrasing: false, words: ['item', 'li', 'tr'] },
  /** Terms with what is said of each, such as names and values (HTML, §4.4.9 to §4.4.11). */
  'description-list': { element: 'dl', phrasing: false, words: ['dl'] },
  term: { element: 'dt', phrasing: true, words: ['dt'] },
  description: { element: 'dd', phrasing: false, words: ['dd'] },
  navigation: {
    element: 'nav',
    neverInside: ['nav'],
    phrasing: false,
    words: ['nav', 'navigation', 'menu', 'navbar', 'breadcrumb', 'breadcrumbs', 'tab', 'tabs', 'pagination'],
  },
  header: {
    element: 'header',
    phrasing: false,
    neverInside: ['header', 'footer'],
    words: ['header', 'masthead', 'topbar', 'appbar'],
  },
  footer: { element: 'footer', phrasing: false, neverInside: ['header', 'footer'], words: ['footer'] },
  main: {
    element: 'main',
    phrasing: false,
    neverInside: ['main', 'article', 'nav', 'header', 'footer'],
    words: ['main'],
  },
  section: { element: 'section', phrasing: false, words: ['section'] },
  article: { element: 'article', phrasing: false, words: ['article', 'card', 'ticket'] },
  figure: { element: 'figure', phrasing: false, words: ['figure'] },
  /** What stands beside the main content (ARIA, `complementary`). */
  complementary: {
    element: 'aside',
    phrasing: false,
    neverInside: ['aside', 'main'],
    words: ['sidebar', 'complementary'],
  },
  form: { element: 'form', phrasing: false, neverInside: ['form'], words: ['form'] },
  /** A table keeps its layout: its parts are named by ARIA (§5.3.3: table, row, cell, columnheader). */
  table: { element: 'div', phrasing: false, aria: 'table' },
  row: { element: 'div', phrasing: false, aria: 'row' },
  cell: { element: 'div', phrasing: false, aria: 'cell' },
  'header-cell': { element: 'div', phrasing: false, aria: 'columnheader' },
  picture: { element: 'img', phrasing: true },
} as const satisfies Record<string, RoleEntry>;
export type Role = keyof typeof ROLES;

export function isState(value: string): value is State {
  return (STATES as readonly string[]).includes(value);
}

/** True for an element that people press or fill in (HTML, §3.2.5.2.7 interactive content). */
export function isInteractiveElement(name: string): boolean {
  return name === 'a' || name === 'button' || name === 'label';
}

export function isInteractiveRole(role: Role): boolean {
  return isInteractiveElement(ROLES[role].element);
}

/** What can be typed into a field (HTML, §4.10.5.1; those that look like a field). */
export const INPUT_TYPES = [
  'text',
  'email',
  'password',
  'tel',
  'url',
  'search',
  'number',
  'date',
  'time',
  'month',
] as const;
export type InputType = (typeof INPUT_TYPES)[number];

/** True for a role whose text is the value of an input. */
export function isFieldRole(role: Role): role is 'field' | 'select' {
  return role === 'field' || role === 'select';
}

/** True for a role with a native control that is on or off. */
export function isCheckRole(role: Role): role is 'checkbox' | 'radio' {
  return role === 'checkbox' || role === 'radio';
}

/** Regions that stand beside the main one (ARIA, landmark roles). */
const BESIDE_MAIN: ReadonlySet<Role> = new Set<Role>(['header', 'footer', 'navigation', 'complementary']);

/** True for a region that stands beside the main one. */
export function isBesideMain(role: Role): boolean {
  return BESIDE_MAIN.has(role);
}

/** True for a role that holds items. */
export function isListRole(role: Role): role is 'list' | 'ordered-list' {
  return role === 'list' || role === 'ordered-list';
}

/** True for an element that holds items. */
export function isListElement(name: string | null | undefined): boolean {
  return name === 'ul' || name === 'ol';
}

/** True for a part of a table's row. */
export function isCellRole(role: Role): boolean {
  return role === 'cell' || role === 'header-cell';
}

/** True for a role whose element is a button. */
export function isButton(role: Role): boolean {
  return ROLES[role].element === 'button';
}

/** True for the role of a heading of any level. */
export function isHeading(role: Role): boolean {
  return role.startsWith('heading-');
}

export const ROLE_NAMES = Object.keys(ROLES) as Role[];
export const OUTCOME_NAMES = Object.keys(OUTCOMES) as Outcome[];

export function roleEntry(role: Role): RoleEntry {
  return ROLES[role];
}
