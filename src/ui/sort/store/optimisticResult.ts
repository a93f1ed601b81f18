import type { Facet } from '../../../core/sort/facets/facets';
import type { TagEdit } from '../../../server/useCases/editTags';
import type { SortResult } from '../conversion.worker';

/** Predicts the plain results of an edit, so that it shows in the same moment. */
export function optimisticResult(result: SortResult, edits: readonly TagEdit[]): SortResult {
  const decisions = new Map(result.decisions);
  for (const { layer, facet, value } of edits) {
    const decision = decisions.get(layer);
    if (!decision || value === null || !PREDICTABLE.has(facet)) continue;
    const reason = facet === 'outcome' ? `${String(value)}: set by you` : decision.reason;
    decisions.set(layer, { ...decision, [facet]: value, reason });
  }
  return { ...result, decisions };
}

const PREDICTABLE: ReadonlySet<Facet> = new Set(['outcome', 'role', 'classes', 'outputName', 'hidden']);
