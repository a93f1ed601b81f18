import { TARGETS } from '../../core/emit/targets';
import type { Finding } from '../../core/findings/finding';
import type { LayerId } from '../../core/mockup/layer';
import type { Mockup } from '../../core/mockup/mockup';
import { readingReport } from '../../core/sort/report/readingReport';
import type { Tag } from '../../core/sort/tag';

export interface ReportJob {
  /** The `Mockup` as JSON. */
  readonly tree: string;
  readonly findings: readonly Finding[];
  readonly tags: readonly (readonly [LayerId, Tag])[];
}

/** The report on a mockup with its tags, a `ReadingReport` as JSON. */
export function reportJob({ tree, findings, tags }: ReportJob): string {
  const mockup = JSON.parse(tree) as Mockup;
  return JSON.stringify(readingReport(mockup, findings, new Map(tags), TARGETS.html.capabilities));
}
