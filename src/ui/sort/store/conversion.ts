import { USUAL_OPTIONS } from '../../../core/usualOptions';
import { keepOptions } from '../../shared/buildOptions';
import { sentence } from '../../shared/request';
import type { Finding } from '../../../core/findings/finding';
import type { LayerId } from '../../../core/mockup/layer';
import { refind } from './search';
import type { ConversionSlice, MakeSlice } from './state';

export const conversionSlice: MakeSlice<ConversionSlice> = (set, get, opened) => ({
  findings: findingsByLayer(opened.findings),
  result: null,
  code: { code: null, explanations: [], candidates: [], page: null },
  visibleArea: null,
  arrangement: (opened.options ?? USUAL_OPTIONS).arrangement,
  settle: (result) =>
    set(refind({ result, findings: findingsByLayer([...opened.findings, ...result.findings]) })),
  take: (code) => set({ code }),
  setVisibleArea: (visibleArea) => set({ visibleArea }),
  arrangeBy(arrangement) {
    set({ arrangement });
    const { frame: _, join: __, ...others } = opened.options ?? USUAL_OPTIONS;
    keepOptions(opened.id, { ...others, arrangement }).catch((error: unknown) =>
      set({ problem: sentence(error) }),
    );
  },
});

function findingsByLayer(all: readonly Finding[]): ReadonlyMap<LayerId, readonly Finding[]> {
  const findings = new Map<LayerId, Finding[]>();
  for (const finding of all) {
    if (finding.layer === null) continue;
    const known = findings.get(finding.layer);
    if (known) known.push(finding);
    else findings.set(finding.layer, [finding]);
  }
  return findings;
}
