import type { Arrangement, Page } from '../frame';
import type { StateNode } from '../states';
import { fixed } from './fixed';
import { flow } from './flow/flow';
import { wrapListItems } from './listItems';
import { nested } from './nested';
import { inlineTextIntoBoxes } from './inlineText';
import { toLocalCoordinates } from './toLocalCoordinates';

/** The function for each arrangement. Adding one is a file and a line here. */
const ARRANGE: Readonly<Record<Arrangement, (page: Page, versions: readonly StateNode[]) => Page>> = {
  fixed,
  nested,
  flow,
};

/** Arranges a page. Places are px of the screen before, and px of the parent's padding box afterwards. */
export function arrange(page: Page, arrangement: Arrangement, versions: readonly StateNode[] = []): Page {
  return toLocalCoordinates(inlineTextIntoBoxes(wrapListItems(ARRANGE[arrangement](page, versions))));
}
