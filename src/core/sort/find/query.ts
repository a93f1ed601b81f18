import { layerTitle, wordsOf } from '../../look/layerTitle';
import type { Finding } from '../../findings/finding';
import type { Layer, LayerId } from '../../mockup/layer';
import type { Decision } from '../decision';
import { FACETS } from '../facets/facets';

/** The searchable properties of a layer. */
export interface Candidate {
  readonly layer: Layer;
  readonly decision: Decision;
  /** The titles of the groups around. */
  readonly around: readonly string[];
  /** The codes of the findings that lead to it. */
  readonly findings: readonly string[];
  /** True when a person tagged it. */
  readonly tagged: boolean;
}

export type Test = (candidate: Candidate) => boolean;

/** A parsed query, or the sentence that explains its mistake. */
export type Query =
  { readonly test: Test; readonly problem: null } | { readonly test: null; readonly problem: string };

/** The fields of a query with their values on a layer. `none` matches no value, `any` matches one. */
const FIELDS: Readonly<Record<string, (candidate: Candidate) => readonly string[]>> = {
  kind: ({ layer }) => [layer.kind],
  ...facetFields(),
  name: ({ layer }) => (layer.sourceName === null ? [] : [layer.sourceName]),
  under: ({ around }) => around,
  finding: ({ findings }) => findings,
  furniture: ({ decision }) => (decision.furniture ? [`${decision.furniture.count}`] : []),
  repeat: ({ decision }) => (decision.repeat ? [decision.repeat.pattern, `${decision.repeat.count}`] : []),
  by: ({ decision }) => [decision.origin],
  tagged: ({ tagged }) => (tagged ? ['yes'] : []),
};

function facetFields(): Readonly<Record<string, (candidate: Candidate) => readonly string[]>> {
  return Object.fromEntries(
    Object.values(FACETS).flatMap(({ search }) =>
      search ? [[search.field, ({ decision }: Candidate) => search.values(decision)] as const] : [],
    ),
  );
}

export const FIELD_NAMES = Object.keys(FIELDS);

/**
 * Parses words and `field:value` pairs, all of which must match: `kind:text role:heading under:header
 * class:none`. A minus negates, quotes keep spaces. Values match as prefixes, words anywhere.
 */
export function parseQuery(text: string): Query {
  const tests: Test[] = [];
  for (const [, minus, field, quoted, plain] of text.matchAll(/(-?)(?:([a-z]+):)?(?:"([^"]*)"?|(\S+))/gi)) {
    const value = (quoted ?? plain ?? '').toLowerCase();
    if (field !== undefined && !Object.hasOwn(FIELDS, field.toLowerCase()))
      return {
        test: null,
        problem: `"${field}" cannot be asked for; ask for ${FIELD_NAMES.slice(0, -1).join(', ')} or ${FIELD_NAMES.at(-1)}.`,
      };
    const test = field === undefined ? says(value) : has(field.toLowerCase(), value);
    tests.push(minus ? (candidate) => !test(candidate) : test);
  }
  return { test: (candidate) => tests.every((test) => test(candidate)), problem: null };
}

function has(field: string, value: string): Test {
  const valuesOf = FIELDS[field];
  return (candidate) => {
    const values = valuesOf?.(candidate) ?? [];
    if (value === 'none') return values.length === 0;
    if (value === 'any') return values.length > 0;
    return values.some((one) => one.toLowerCase().startsWith(value));
  };
}

function says(word: string): Test {
  return ({ layer, decision }) => {
    const letters = layer.kind === 'text' ? wordsOf(layer) : '';
    return [layerTitle(layer).text, letters, decision.outputName].some((text) =>
      text.toLowerCase().includes(word),
    );
  };
}

/** A built-in view, by its query. */
export interface ReadyView {
  readonly name: string;
  readonly query: string;
}

export const READY_VIEWS: readonly ReadyView[] = [
  { name: 'Undecided', query: 'by:default' },
  { name: 'Code', query: 'becomes:element' },
  { name: 'Pictures', query: 'becomes:picture -by:within' },
  { name: 'Findings', query: 'finding:any' },
  { name: 'Repeats', query: 'repeat:any' },
  { name: 'States', query: 'state:any' },
  { name: 'Settled', query: 'tagged:yes' },
];

/** The layers of a screen that a query finds, in drawing order. */
export function findLayers(
  root: Layer,
  test: Test,
  known: {
    readonly decisions: ReadonlyMap<LayerId, Decision>;
    readonly findings: ReadonlyMap<LayerId, readonly Finding[]>;
    readonly isTagged: (key: LayerId) => boolean;
  },
): readonly LayerId[] {
  const found: LayerId[] = [];
  const visit = (layer: Layer, around: readonly string[]) => {
    const decision = known.decisions.get(layer.id);
    const findings = (known.findings.get(layer.id) ?? []).map(({ code }) => code);
    if (decision && test({ layer, decision, around, findings, tagged: known.isTagged(layer.id) }))
      found.push(layer.id);
    if (layer.kind !== 'group') return;
    const inside = [...around, layerTitle(layer).text];
    for (const child of layer.layers) visit(child, inside);
  };
  if (root.kind === 'group') for (const child of root.layers) visit(child, []);
  return found;
}
