import type { Arrangement, Page } from '../frame';
import type { StateNode } from '../states/stateNode';
import { PASSES } from './passes';

/**
 * Arranges a page. Places are px of the screen before, and px of the parent's padding box afterwards.
 * @param fitsBrowsers whether a browser shows the page
 */
export function arrange(
  page: Page,
  arrangement: Arrangement,
  versions: readonly StateNode[],
  fitsBrowsers: boolean,
): Page {
  return PASSES[arrangement]
    .filter(({ isFor }) => isFor !== 'browsers' || fitsBrowsers)
    .reduce((made, pass) => pass.apply(made, versions), page);
}
