import { browserStrokes } from '../browserFit/browserStrokes';
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
  const drawn = fitsBrowsers
    ? versions.map((version) => ({ ...version, node: browserStrokes(version.node) }))
    : versions;
  return PASSES[arrangement]
    .filter(({ isFor }) => isFor !== 'browsers' || fitsBrowsers)
    .reduce((made, pass) => pass.apply(made, drawn, fitsBrowsers), page);
}
