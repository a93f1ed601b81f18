import type { Report } from '../../findings/finding';
import type { Decisions } from '../decision';

/** Reports input types of layers that are no field. */
export function reportInputTypes(decisions: Decisions, report: Report): void {
  for (const [layer, { inputType, role }] of decisions)
    if (inputType !== null && role !== 'field') report('type-without-field', layer, { type: inputType });
}
