import type { Report } from '../findings/finding';
import type { LayerKey } from '../mockup/layer';
import type { Decisions } from './decision';

/**
 * Reports pictures that would have the same name. Like-built ones are likely the same picture, and may share
 * it.
 */
export function reportSharedNames(decisions: Decisions, report: Report): void {
  /** The first layer by name and pattern. */
  const byName = new Map<string, Map<string, LayerKey>>();
  for (const [key, { outcome, within, named, outputName, repeat, furniture }] of decisions) {
    if (outcome !== 'picture' || within !== null || !named) continue;
    const patterns = byName.get(outputName) ?? new Map<string, LayerKey>();
    byName.set(outputName, patterns);
    const pattern = repeat?.pattern ?? furniture?.pattern ?? patternAround(key, decisions) ?? key;
    if (!patterns.has(pattern)) patterns.set(pattern, key);
  }
  for (const [name, patterns] of byName) {
    if (patterns.size < 2) continue;
    for (const key of patterns.values()) report('picture-name-shared', key, { name, count: patterns.size });
  }
}

/** The pattern of the nearest repeat around a layer, and the path below it. */
function patternAround(key: LayerKey, decisions: Decisions): string | null {
  for (let end = key.lastIndexOf('/'); end > 0; end = key.lastIndexOf('/', end - 1)) {
    const around = decisions.get(key.slice(0, end));
    const pattern = around?.repeat?.pattern ?? around?.furniture?.pattern;
    if (pattern !== undefined) return pattern + key.slice(end);
  }
  return null;
}
