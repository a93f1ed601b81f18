import type { LayerId } from '../../mockup/layer';
import type { BoxNode, PageNode } from '../node';

interface RewriteBase {
  readonly name: string;
  /** What it does, in one sentence for people. */
  readonly effect: string;
  /** Absent for every target; `browsers`: only for targets whose output a browser shows. */
  readonly isFor?: 'browsers';
}

/** Changes a group itself, and perhaps its children. */
interface GroupRewrite extends RewriteBase {
  readonly scope: 'group';
  /** Where it may apply. Absent for any group. */
  readonly guard?: (group: BoxNode) => boolean;
  /** The same group where nothing changes. */
  readonly apply: (group: BoxNode) => BoxNode;
}

/** Changes the siblings in a group or on the page, in drawing order. */
interface SiblingRewrite extends RewriteBase {
  readonly scope: 'siblings';
  /** Where it may apply. Absent for any siblings. */
  readonly guard?: (siblings: readonly PageNode[]) => boolean;
  readonly apply: (siblings: readonly PageNode[]) => readonly PageNode[];
}

/** Puts nodes in the place of a group; no further rewrite sees the group. */
interface UnwrapRewrite extends RewriteBase {
  readonly scope: 'unwrap';
  readonly guard?: (group: BoxNode) => boolean;
  /** Null where the group stays. */
  readonly apply: (group: BoxNode) => readonly PageNode[] | null;
}

/**
 * A change of the page tree before it is arranged: what designers draw with several layers becomes what a
 * developer writes as one element. The page looks the same before and after. Places are px of the screen.
 */
export type Rewrite = GroupRewrite | SiblingRewrite | UnwrapRewrite;

/** One application of a rewrite. */
export interface RewriteTrace {
  readonly rewrite: string;
  /** The layer whose node was changed. */
  readonly layer: LayerId;
  /** The layers that have no node of their own any more. */
  readonly absorbed: readonly LayerId[];
}
