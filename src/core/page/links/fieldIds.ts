import { freeName } from '../../markup/freeName';
import type { LayerId } from '../../mockup/layer';
import { isFieldRole } from '../../sort/vocabulary';
import { safeName } from '../../sort/outputNames';
import type { Page } from '../frame';
import { lineText } from '../node';
import { pageNodes } from '../walk';

/** The page with an id for every field that a text on it labels. */
export function nameFields(page: Page): Page {
  const nodes = pageNodes(page);
  const labels = new Map(
    nodes.flatMap((node) =>
      node.kind === 'text' && node.labelFor !== undefined ? [[node.labelFor, node] as const] : [],
    ),
  );
  if (labels.size === 0) return page;
  const fieldIds = new Map<LayerId, string>();
  const taken = new Set<string>(page.links?.ids.values());
  for (const node of nodes) {
    const label = isFieldRole(node.role) ? labels.get(node.layer) : undefined;
    if (!label) continue;
    const wanted = safeName(label.lines.map(lineText).join(' ')) || 'field';
    const id = freeName(wanted, (each) => taken.has(each));
    taken.add(id);
    fieldIds.set(node.layer, id);
  }
  return { ...page, fieldIds };
}
