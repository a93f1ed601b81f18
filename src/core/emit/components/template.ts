import type { Origin } from '../../markup/element';

/** A field of a component: something that differs between its uses, or that a program fills in. */
export interface Field {
  readonly name: string;
  readonly type: FieldType;
  /** True where some uses leave it out. */
  readonly isOptional: boolean;
  /** What it is where a use leaves it out; null for nothing. */
  readonly usual: FieldValue | null;
}

/**
 * `text`: words; `classes`: names of classes; `file`: the address of a picture, `files`: addresses with their sizes;
 * `style`: declarations; `flag`: yes or no; `attributes`: several attributes of one element; `rows`: the rows of a list
 * inside.
 */
export type FieldType =
  | { readonly kind: 'text' }
  | { readonly kind: 'classes' }
  | { readonly kind: 'address' }
  | { readonly kind: 'file' }
  | { readonly kind: 'files' }
  | { readonly kind: 'style' }
  | { readonly kind: 'flag' }
  | { readonly kind: 'attributes'; readonly names: readonly string[] }
  | { readonly kind: 'rows'; readonly of: Component };

/** A part of a template that holds what a field says. */
export interface FieldReference {
  readonly field: string;
}

/** The value of a field: words, yes, several attributes, or rows. */
export type FieldValue = string | boolean | AttributeValues | readonly Row[];

export type AttributeValues = Readonly<Record<string, string | true>>;

/** What one use of a component says of its fields. */
export interface Row {
  readonly values: Readonly<Record<string, FieldValue>>;
  /** The layers of its element. Absent for an element without one. */
  readonly origin?: Origin;
}

/** A value that is the same in all uses, or that of a field. */
export type TemplateValue = string | true | FieldReference;

/** A state that a program sets on an element: the attribute says it while the field is yes. */
export interface StateAttribute {
  readonly attribute: string;
  /** The value while the state is on, and while it is off; null for no attribute. */
  readonly on: string | true;
  readonly off: string | null;
  readonly field: string;
}

export interface TemplateElement {
  readonly kind: 'element';
  readonly name: string;
  readonly attributes: Readonly<Record<string, TemplateValue>>;
  /** Class names that all uses have. */
  readonly classes: readonly string[];
  /** The field of further class names; null for none. */
  readonly classField: string | null;
  /** The field of several attributes; null for none. */
  readonly spread: string | null;
  readonly states: readonly StateAttribute[];
  /** The field without which the element is left out; null for an element of every use. */
  readonly shownBy: string | null;
  readonly children: readonly TemplateNode[];
  /** True when white space inside is visible. */
  readonly isInline: boolean;
  readonly note?: string;
  readonly origin?: Origin;
}

export interface TemplateText {
  readonly kind: 'text';
  readonly value: string | FieldReference;
}

/** Like siblings: a component, and a row for each. */
export interface TemplateList {
  readonly kind: 'list';
  readonly component: Component;
  /** The rows themselves, or the field that has them. */
  readonly rows: readonly Row[] | FieldReference;
}

/** One use of a component that several places share. */
export interface TemplateUse {
  readonly kind: 'use';
  readonly component: Component;
  readonly row: Row;
}

/** Content that a program fills in; what is drawn there is its sample. */
export interface TemplateSlot {
  readonly kind: 'slot';
  readonly name: string;
  readonly sample: readonly TemplateNode[];
}

export type TemplateNode = TemplateElement | TemplateText | TemplateList | TemplateUse | TemplateSlot;

/** A component of a page: what is the same in all of its uses, and the fields in which they differ. */
export interface Component {
  /** In PascalCase, unique among all components of a build. */
  readonly name: string;
  readonly fields: readonly Field[];
  readonly root: TemplateElement;
}

/** A screen as a component without rows. */
export interface ScreenComponent extends Component {
  readonly title: string;
  /** Where a router finds it, such as `/` or `/fares`. */
  readonly address: string;
}

/** The components of all pages: parts before those that use them. */
export interface Components {
  readonly parts: readonly Component[];
  readonly screens: readonly ScreenComponent[];
}
