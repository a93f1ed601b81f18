import { align } from './align';
import { alt } from './alt';
import { classes } from './classes';
import { contents } from './contents';
import type { FacetEntry } from './facet';
import { forbidden } from './forbidden';
import { gap } from './gap';
import { hidden } from './hidden';
import { holds } from './holds';
import { href } from './href';
import { inputType } from './inputType';
import { labels } from './labels';
import { lookName } from './lookName';
import { looksLike } from './looksLike';
import { merge } from './merge';
import { note } from './note';
import { outcome } from './outcome';
import { ownClass } from './ownClass';
import { outputName } from './outputName';
import { pictureBox } from './pictureBox';
import { pictureContents } from './pictureContents';
import { pictureGround } from './pictureGround';
import { recipes } from './recipes';
import { regions } from './regions';
import { role } from './role';
import { screen } from './screen';
import { scroll } from './scroll';
import { slot } from './slot';
import { state } from './state';
import { values } from './values';
import { width } from './width';

/** Every facet of a tag, in the usual order of work. Adding one is a file and a line here. */
export const FACETS = {
  outcome,
  role,
  classes,
  state,
  outputName,
  lookName,
  hidden,
  slot,
  href,
  labels,
  alt,
  scroll,
  contents,
  gap,
  width,
  note,
  // Only some layers can have these: they stand last, so that no other field moves.
  inputType,
  recipes,
  pictureBox,
  pictureContents,
  pictureGround,
  align,
  holds,
  merge,
  screen,
  regions,
  values,
  ownClass,
  looksLike,
  forbidden,
};

export type Facet = keyof typeof FACETS;
type ValueOf<Entry> = Entry extends FacetEntry<infer Value> ? Value : never;
export type FacetValues = { readonly [F in Facet]: ValueOf<(typeof FACETS)[F]> };
export type FacetValue = FacetValues[Facet];

export const FACET_NAMES = Object.keys(FACETS) as readonly Facet[];

/** The entry of a facet, typed by the facet's name. */
export function facetEntry<F extends Facet>(facet: F): FacetEntry<FacetValues[F]> {
  return FACETS[facet] as unknown as FacetEntry<FacetValues[F]>;
}

/** The facets that like-built layers share. */
export const SHARED_FACETS = FACET_NAMES.filter((facet) => FACETS[facet].isShared);
/** The facets that pasting tags copies. */
export const COPIED_FACETS = FACET_NAMES.filter((facet) => FACETS[facet].isCopied);

/** A value that a facet's schema accepts, or what is wrong with it, in a sentence. */
export type CheckedFacet = { readonly value: FacetValue } | { readonly problem: string };

/** Checks a value of a facet, in the interface and on the server alike. */
export function checkFacet(facet: Facet, raw: unknown): CheckedFacet {
  const { value, error } = facetEntry(facet).schema.validate(raw, { errors: { label: false } });
  if (!error) return { value: value as FacetValue };
  const [first] = error.details;
  return { problem: `${plainMessage(first?.message ?? '')}.` };
}

/** A library's message without its quotation marks; its own ends with no full stop. */
function plainMessage(message: string): string {
  const plain = message.replaceAll('"', '').trim();
  return plain.charAt(0).toUpperCase() + plain.slice(1);
}

/** The value that the facet's schema makes of a raw one; undefined for an invalid value. */
export function parseFacet<F extends Facet>(facet: F, raw: unknown): FacetValues[F] | undefined {
  const { value, error } = facetEntry(facet).schema.validate(raw);
  return error ? undefined : value;
}
