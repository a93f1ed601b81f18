import type { LayerId } from '../mockup/layer';
import type { Decisions } from '../sort/decision';
import type { Page } from './frame';
import type { PageNode } from './node';
import { pageNodes } from './walk';

interface FoundNode {
  readonly node: PageNode;
  readonly page: Page;
}

/** The node of a layer, or the node that absorbed the layer; null for a layer without one. */
export function findNode(pages: readonly Page[], decisions: Decisions, layer: LayerId): FoundNode | null {
  let wanted = layer;
  // A part of a merged group lies in both.
  for (let within = decisions.get(layer)?.within; within; within = decisions.get(within)?.within)
    wanted = within;
  for (const page of pages) {
    for (const node of pageNodes(page)) {
      if (node.layer === wanted || node.merged?.includes(wanted)) return { node, page };
    }
  }
  return null;
}
