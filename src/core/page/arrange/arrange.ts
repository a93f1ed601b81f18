import type { Arrangement, Page } from '../node';
import { fixed } from './fixed';
import { flow } from './flow/flow';
import { nested } from './nested';
import { relate } from './relate';

/** How each arrangement shapes the tree; adding one is a file and a line here. */
const ARRANGE: Readonly<Record<Arrangement, (page: Page) => Page>> = { fixed, nested, flow };

/** Arranges a page whose places are those of the screen; afterwards they are those of the node around. */
export function arrange(page: Page, arrangement: Arrangement): Page {
  return relate(ARRANGE[arrangement](page));
}
