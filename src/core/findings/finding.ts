import type { LayerId } from '../mockup/layer';
import { WORDING, type FindingCode, type Severity } from './wording';

export type FindingData = Readonly<Record<string, string | number>>;

/** A fact that a person should know or mend. Plain data; `sayFinding` makes the sentence. */
export interface Finding {
  readonly code: FindingCode;
  readonly layer: LayerId | null;
  readonly data: FindingData;
}

export type Report = (code: FindingCode, layer: LayerId | null, data?: FindingData) => void;

/** A growing list of findings. The same finding at the same place is kept once. */
export function findingList(): { readonly findings: Finding[]; readonly report: Report } {
  const findings: Finding[] = [];
  const seen = new Set<string>();
  return {
    findings,
    report(code, layer, data = {}) {
      const mark = JSON.stringify([code, layer, data]);
      if (seen.has(mark)) return;
      seen.add(mark);
      findings.push({ code, layer, data });
    },
  };
}

export function severityOf(finding: Finding): Severity {
  return WORDING[finding.code].severity;
}

/** The finding in one plain sentence. */
export function sayFinding(finding: Finding): string {
  return fill(WORDING[finding.code].text, finding.data);
}

/** Replaces each `{name}` by the value of that name in `data`. */
export function fill(text: string, data: FindingData): string {
  return text.replace(/\{(\w+)\}/g, (whole, name: string) => String(data[name] ?? whole));
}
