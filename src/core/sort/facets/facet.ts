import type Joi from 'joi';
import type { Decision } from '../decision';
import { safeName } from '../outputNames';

/** How a facet is written as an attribute: between brackets, and on elements of an SVG. */
export interface FacetAttribute<Value> {
  readonly name: string;
  /** The attribute's value; quotes are added where they are needed. */
  readonly print: (value: Value) => string;
  /** The value in the form that the schema checks. */
  readonly parse: (text: string) => unknown;
  /** True for a `data-*` attribute that elements of an SVG may carry too. */
  readonly isOnElements: boolean;
  /** An earlier spelling, which is still read. */
  readonly earlier?: { readonly name: string; readonly parse: (text: string) => unknown };
}

/** One value to choose in the worksheet; null removes the tag. */
export interface FacetChoice<Value> {
  readonly value: Value | null;
  /** Words for it; what stands after a dash explains them in the list. */
  readonly label: string;
}

/** The groups in which the worksheet shows facets. */
export const FACET_GROUPS = { meaning: 'Meaning', states: 'States', layout: 'Layout' } as const;
export type FacetGroup = keyof typeof FACET_GROUPS;

/** How the worksheet edits a facet: a list of choices, or a text field. */
export interface FacetEditor<Value> {
  readonly label: string;
  readonly group: FacetGroup;
  readonly choices?: readonly FacetChoice<Value>[];
  /** Shown with the text field. */
  readonly hint?: string;
  /** Shown where there is no value. */
  readonly none: string;
  /** Whether a layer can have it; absent for every layer. */
  readonly isFor?: (decision: Decision) => boolean;
  readonly print: (value: Value) => string;
  /** A trimmed text that is not empty, in the form that the schema checks. */
  readonly parse: (text: string) => unknown;
  /** The nearest text that the schema accepts, for one that it refuses; null when there is none. Absent for none ever. */
  readonly nearest?: (text: string) => string | null;
}

/** How a query finds layers by a facet. */
export interface FacetSearch {
  readonly field: string;
  readonly values: (decision: Decision) => readonly string[];
}

/** Everything that Orden knows about one facet of a tag. Its code on the page is elsewhere. */
export interface FacetEntry<Value> {
  /** Checks a value at every border: interface, files, database, brackets. */
  readonly schema: Joi.Schema<Value>;
  /** Null for a facet without an attribute of its own. */
  readonly attribute: FacetAttribute<Value> | null;
  /** True when like-built layers share it. Facets that name one layer are not shared. */
  readonly isShared: boolean;
  /** True when pasting tags copies it. */
  readonly isCopied: boolean;
  /** The value after tags and rules, in the form of the tag; null for none. */
  readonly current: (decision: Decision) => Value | null;
  /** Null for a facet that no query asks for. */
  readonly search: FacetSearch | null;
  /** Null for a facet that the worksheet does not edit. */
  readonly editor: FacetEditor<Value> | null;
}

/** What a facet is that is said elsewhere than in the worksheet, and of one layer alone. */
export const SAID_ELSEWHERE = {
  isShared: false,
  isCopied: false,
  current: () => null,
  search: null,
  editor: null,
} as const;

/** The choice that removes a tag. */
export const AUTOMATIC = { value: null, label: 'Automatic' } as const;

/** A text as a name of letters, digits and hyphens; null when nothing of it is left. */
export function nearestName(text: string): string | null {
  return safeName(text) || null;
}

/** An attribute whose text is the value itself. */
export function textAttribute<Value extends string | number>(
  name: string,
  { isOnElements = false, most = Infinity }: { isOnElements?: boolean; most?: number } = {},
): FacetAttribute<Value> {
  return {
    name,
    print: String,
    parse: (text) => (text === '' ? undefined : text.slice(0, most)),
    isOnElements,
  };
}

/** An attribute that is true unless its text is `false`. */
export function flagAttribute(name: string, isOnElements = false): FacetAttribute<boolean> {
  return { name, print: String, parse: (text) => text !== 'false', isOnElements };
}

/** A text field whose text is the value itself. */
export function textEditor<Value extends string | number>(label: string, hint: string): FacetEditor<Value> {
  return { label, group: 'meaning', hint, none: 'none', print: String, parse: (text) => text };
}

/** A list of choices. */
export function choiceEditor<Value extends string | boolean>(
  label: string,
  choices: readonly FacetChoice<Value>[],
  none = 'none',
): FacetEditor<Value> {
  return {
    label,
    group: 'meaning',
    choices,
    none,
    print: (value) =>
      choices.find((choice) => choice.value === value)?.label.split(' – ')[0] ?? String(value),
    parse: (text) => text,
  };
}

/** A query field with the facet's current value. */
export function searchBy<Value extends string>(
  field: string,
  current: (decision: Decision) => Value | null,
): FacetSearch {
  return {
    field,
    values: (decision) => {
      const value = current(decision);
      return value === null ? [] : [value];
    },
  };
}
