import type { Report } from '../findings/finding';
import type { Decisions } from '../sort/decision';
import type { Sample } from './samples';

/** Reports samples whose class no layer has, and, in a mockup with samples, classes that no sample defines. */
export function reportSamples(decisions: Decisions, samples: readonly Sample[], report: Report): void {
  if (samples.length === 0) return;
  const defined = new Set(samples.flatMap(({ path }) => path));
  const given = new Set(
    [...decisions.values()].flatMap(({ outcome, classes }) => (outcome === 'sample' ? [] : classes)),
  );
  const told = new Set<string>();
  for (const { layer, path, theme } of samples) {
    const name = path.at(-1) ?? '';
    if (theme !== null || given.has(name) || told.has(name)) continue;
    told.add(name);
    report('sample-unused', layer.id, { name });
  }
  for (const [id, { outcome, classes }] of decisions) {
    if (outcome === 'sample') continue;
    for (const name of classes) {
      if (defined.has(name) || told.has(name)) continue;
      told.add(name);
      report('class-without-sample', id, { name });
    }
  }
}
