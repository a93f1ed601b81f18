import { FACET_NAMES, facetEntry, type Facet, type FacetValue } from '../../core/sort/facets/facets';
import type { FacetEditor } from '../../core/sort/facets/facet';
import type { Decision } from '../../core/sort/decision';

/** The facets that the worksheet edits, in the usual order of work. */
export const EDITED_FACETS: readonly Facet[] = FACET_NAMES.filter(
  (facet) => facetEntry(facet).editor !== null,
);

/** The editor of a facet that the worksheet edits. */
export function editorOf(facet: Facet): FacetEditor<FacetValue> {
  const { editor } = facetEntry(facet);
  if (!editor) throw new Error(`The worksheet does not edit ${facet}.`);
  return editor as FacetEditor<FacetValue>;
}

/** True for a facet that one of the layers can have, or has. */
export function canHave(facet: Facet, decisions: readonly Decision[]): boolean {
  const { isFor } = editorOf(facet);
  const { current } = facetEntry(facet);
  return !isFor || decisions.some((decision) => isFor(decision) || current(decision) !== null);
}

/** The facet's name for people. */
export function facetLabel(facet: Facet): string {
  return facetEntry(facet).editor?.label ?? facet;
}

/** A text as a tag's value; null removes the tag. */
export function parseLine(facet: Facet, text: string): FacetValue | null {
  const written = text.trim();
  return written === '' ? null : (editorOf(facet).parse(written) as FacetValue);
}

/** A tag's value as text; empty for none. */
export function printLine(facet: Facet, value: FacetValue | null): string {
  return value === null ? '' : editorOf(facet).print(value);
}

/** The value that all of the layers have; `differs` when they differ. */
export function sharedValue(
  facet: Facet,
  decisions: readonly Decision[],
): { readonly value: FacetValue | null; readonly differs: boolean } {
  const { current } = facetEntry(facet);
  const [first, ...others] = decisions.map(current);
  const mark = JSON.stringify(first ?? null);
  const differs = others.some((other) => JSON.stringify(other) !== mark);
  return { value: differs ? null : (first ?? null), differs };
}
