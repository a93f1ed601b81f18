import type { LayerId } from '../mockup/layer';

/** The layers that an element comes from. */
export interface Origin {
  readonly layer: LayerId;
  readonly merged: readonly LayerId[];
}

/** A node of markup as a tree; text is escaped by the printer of its context. */
export interface MarkupElement {
  readonly name: string;
  readonly attributes: Readonly<Record<string, string | true>>;
  readonly children: readonly MarkupNode[];
  /** True when white space inside is visible: the printer keeps the element on one line. */
  readonly inline?: true;
  /** A comment for the reader of the code. It stands before the element. */
  readonly note?: string;
  /** Recorded by the printer in the source map; absent for an element without a layer of its own. */
  readonly origin?: Origin;
}

export type MarkupNode = MarkupElement | string;

export type Attributes = Readonly<Record<string, AttributeValue>>;

type AttributeValue = string | number | boolean | null | undefined;

/** Builds an element; absent and false attributes are left out. */
export function element(
  name: string,
  attributes: Attributes = {},
  children: readonly MarkupNode[] = [],
): MarkupElement {
  const kept: Record<string, string | true> = {};
  for (const key in attributes) {
    const value = attributes[key];
    if (value === null || value === undefined || value === false) continue;
    kept[key] = value === true ? true : String(value);
  }
  return { name, attributes: kept, children };
}

/** Builds an element that holds inline content. */
export function inlineElement(...parts: Parameters<typeof element>): MarkupElement {
  return { ...element(...parts), inline: true };
}
