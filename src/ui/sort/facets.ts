import type { FacetValue } from '../../core/sort/change';
import type { Decision } from '../../core/sort/decision';
import type { Facet } from '../../core/sort/tag';
import { OUTCOMES, OUTCOME_NAMES, ROLE_NAMES, SCROLLS, STATES } from '../../core/sort/vocabulary';

/**
 * The facets that are set in the worksheet; screens and regions are set on the Read step, merges by an
 * action.
 */
export type HandFacet = Exclude<Facet, 'screen' | 'regions' | 'merge'>;

export interface Choice {
  readonly value: FacetValue | null;
  readonly label: string;
}

/** The editor of a facet: a list of choices, or a text field. */
export interface FacetEntry {
  readonly label: string;
  /** Its current value, in the form of the tag; null for none. */
  readonly now: (decision: Decision) => FacetValue | null;
  readonly choices?: readonly Choice[];
  /** Shown under the text field. */
  readonly hint?: string;
}

const AUTOMATIC: Choice = { value: null, label: 'let Orden decide' };
const SCROLL_WORDS = { x: 'sideways', y: 'up and down', both: 'both ways' } as const;

/** Every facet of the worksheet, in the usual order of work. */
export const HAND_FACETS: Readonly<Record<HandFacet, FacetEntry>> = {
  outcome: {
    label: 'Becomes',
    now: ({ outcome }) => outcome,
    choices: [
      ...OUTCOME_NAMES.map((name) => ({ value: name, label: `${name}: ${OUTCOMES[name].says}` })),
      AUTOMATIC,
    ],
  },
  role: {
    label: 'Role',
    now: ({ role }) => role,
    choices: [...ROLE_NAMES.map((name) => ({ value: name, label: name })), AUTOMATIC],
  },
  classes: {
    label: 'Classes',
    now: ({ classes }) => (classes.length > 0 ? classes : null),
    hint: 'Class names, a space between them. Empty: none.',
  },
  state: {
    label: 'State',
    now: ({ state }) => state?.state ?? null,
    choices: [
      ...STATES.map((state) => ({ value: state, label: `${state}: shows the layer at its place so` })),
      { value: 'none', label: 'none: a thing of its own' },
      AUTOMATIC,
    ],
  },
  outputName: {
    label: 'Output name',
    now: ({ outputName }) => outputName,
    hint: 'Names its class or its picture file; a slash makes a folder. Empty: let Orden decide.',
  },
  hidden: {
    label: 'Starts',
    now: ({ hidden }) => hidden,
    choices: [
      { value: true, label: 'hidden at first' },
      { value: false, label: 'shown at first' },
      AUTOMATIC,
    ],
  },
  slot: {
    label: 'Slot',
    now: ({ slot }) => slot,
    hint: 'The name of what the program fills in at run time.',
  },
  href: {
    label: 'Leads to',
    now: ({ href }) => href,
    hint: 'An address, or # and the name of a screen.',
  },
  scroll: {
    label: 'Scrolls',
    now: ({ scroll }) => scroll,
    choices: [
      ...SCROLLS.map((value) => ({ value, label: SCROLL_WORDS[value] })),
      { value: null, label: 'not at all' },
    ],
  },
  contents: {
    label: 'Inside',
    now: ({ layoutOverride }) => layoutOverride.contents ?? null,
    choices: [
      { value: 'row', label: 'a row: beside each other' },
      { value: 'column', label: 'a column: under each other' },
      { value: 'nested', label: 'nested: at their coordinates' },
      AUTOMATIC,
    ],
  },
  gap: {
    label: 'Gap, px',
    now: ({ layoutOverride }) => layoutOverride.gap ?? null,
    hint: 'Px between what is inside, in a row or column. Empty: as it is drawn.',
  },
  wide: {
    label: 'Wide',
    now: ({ layoutOverride }) => layoutOverride.wide ?? null,
    choices: [
      { value: 'fit', label: 'as its content' },
      { value: 'rest', label: 'what is left of the row or column' },
      { value: 'drawn', label: 'as it is drawn' },
      AUTOMATIC,
    ],
  },
  note: {
    label: 'Note',
    now: ({ note }) => note,
    hint: 'A remark for the developer; it stands in the code as a comment.',
  },
};

export const HAND_FACET_NAMES = Object.keys(HAND_FACETS) as HandFacet[];

/** A text as a tag's value; null removes the tag. */
export function parseLine(facet: HandFacet, text: string): FacetValue | null {
  const written = text.trim();
  if (written === '') return null;
  if (facet === 'gap') return Number.isFinite(Number(written)) ? Number(written) : null;
  return facet === 'classes' ? written.split(/\s+/) : written;
}

/** A tag's value as text. */
export function printLine(value: FacetValue | null): string {
  if (value === null) return '';
  return Array.isArray(value) ? value.join(' ') : String(value);
}

/** The value that all of the layers have; `differs` when they differ. */
export function sharedValue(
  facet: HandFacet,
  decisions: readonly Decision[],
): { readonly value: FacetValue | null; readonly differs: boolean } {
  const [first, ...others] = decisions.map(HAND_FACETS[facet].now);
  const mark = JSON.stringify(first ?? null);
  const differs = others.some((other) => JSON.stringify(other) !== mark);
  return { value: differs ? null : (first ?? null), differs };
}
