import type { LayerTree } from '../mockup/tree';
import type { Report } from '../findings/finding';
import type { LayerId } from '../mockup/layer';
import type { Decisions } from './decision';
import { partLike } from './partLike';

/**
 * Reports pictures that would have the same name. Like-built ones are likely the same picture, and may share
 * it.
 */
export function reportSharedNames(decisions: Decisions, tree: LayerTree, report: Report): void {
  /** The first layer by name and pattern. */
  const byName = new Map<string, Map<string, LayerId>>();
  for (const [id, { outcome, within, named, outputName, repeat, furniture }] of decisions) {
    if (outcome !== 'picture' || within !== null || !named) continue;
    const patterns = byName.get(outputName) ?? new Map<string, LayerId>();
    byName.set(outputName, patterns);
    const pattern = repeat?.pattern ?? furniture?.pattern ?? patternAround(id, decisions, tree) ?? id;
    if (!patterns.has(pattern)) patterns.set(pattern, id);
  }
  for (const [name, patterns] of byName) {
    if (patterns.size < 2) continue;
    for (const id of patterns.values()) report('picture-name-shared', id, { name, count: patterns.size });
  }
}

/** The layer's counterpart in the first member of the nearest repeat around it. */
function patternAround(id: LayerId, decisions: Decisions, tree: LayerTree): LayerId | null {
  for (const ancestor of tree.ancestors(id)) {
    const around = decisions.get(ancestor);
    const pattern = around?.repeat?.pattern ?? around?.furniture?.pattern;
    if (pattern !== undefined) return partLike(tree, ancestor, id, pattern) ?? id;
  }
  return null;
}
