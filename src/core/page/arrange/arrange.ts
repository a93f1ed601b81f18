import type { LayerKey } from '../../mockup/layer';
import type { Arrangement, Page } from '../node';
import type { StateNode } from '../states';
import { fixed } from './fixed';
import { flow } from './flow/flow';
import { itemsInLists } from './items';
import { nested } from './nested';
import { withOwnWords } from './ownWords';
import { relate } from './relate';

/** How each arrangement shapes the tree; adding one is a file and a line here. */
const ARRANGE: Readonly<
  Record<Arrangement, (page: Page, versions: readonly StateNode[], waiting: ReadonlySet<LayerKey>) => Page>
> = {
  fixed,
  nested,
  flow,
};

/**
 * Arranges a page whose places are those of the screen; afterwards they are those of the node around.
 * @param waiting layers that are about to become otherwise: they need not be arranged anew yet
 */
export function arrange(
  page: Page,
  arrangement: Arrangement,
  versions: readonly StateNode[] = [],
  waiting: ReadonlySet<LayerKey> = new Set(),
): Page {
  return relate(withOwnWords(itemsInLists(ARRANGE[arrangement](page, versions, waiting))));
}
