import type { Page } from '../frame';
import type { StateNode } from '../states/stateNode';

/** One pass of an arrangement over a page. */
export interface Pass {
  readonly name: string;
  /** What the page is after it, in one sentence. */
  readonly gives: string;
  /** Absent for every target; `browsers`: only for targets whose output a browser shows. */
  readonly isFor?: 'browsers';
  /**
   * @param versions the states of layers, for the pass that makes them looks of their nodes
   * @param fitsBrowsers whether a browser shows the page
   */
  readonly apply: (page: Page, versions: readonly StateNode[], fitsBrowsers: boolean) => Page;
}
