import type { Report } from '../../findings/finding';
import type { Decisions } from '../decision';
import type { Tags } from '../tag';

/** Reports layers named as a state of a layer that does not exist. */
export function reportStates(decisions: Decisions, tags: Tags, report: Report): void {
  for (const [key, { state }] of tags) {
    if (state !== undefined && state !== 'none' && decisions.get(key)?.state === null)
      report('state-alone', key, { state });
  }
}
