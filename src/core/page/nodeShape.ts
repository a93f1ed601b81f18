import { memoizeByObject } from '../mockup/memoize';
import type { PageNode } from './node';

/** How a node is built: its kinds and roles, without words and looks. */
export const shapeOf = memoizeByObject((node: PageNode): string =>
  node.kind === 'box'
    ? `${node.role}(${node.children.map(shapeOf).join(' ')})`
    : `${node.kind} ${node.role}${node.kind === 'text' && node.lines.length > 1 ? ' lines' : ''}`,
);
