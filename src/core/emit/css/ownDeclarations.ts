import type { Declaration } from '../../markup/printCss';
import { isWrapped, type PageNode } from '../../page/node';
import type { Scroll } from '../../sort/vocabulary';
import type { StyleSheet } from '../../style/styleSheet';
import { ownPlacement } from './sharedPlacement';

const NEVER: readonly Declaration[] = [['white-space', 'nowrap']];

const OVERFLOWS: Readonly<Record<Scroll, Declaration>> = {
  x: ['overflow', 'auto hidden'],
  y: ['overflow', 'hidden auto'],
  both: ['overflow', 'auto'],
};

/** What only one element of a class says: its place as far as the class does not hold it, how it wraps and scrolls. */
export function ownDeclarations(node: PageNode, sheet: StyleSheet): readonly Declaration[] {
  // The attributes of a picture's element give its size.
  const isSized = node.kind === 'picture' && !isWrapped(node);
  return [...ownPlacement(node, sheet.classOf(node), isSized), ...othersOf(node)];
}

function othersOf(node: PageNode): readonly Declaration[] {
  if (node.kind === 'text') return node.wraps === 'never' ? NEVER : [];
  const scrolls = node.kind === 'box' && node.children.length > 0 && node.scroll !== undefined;
  return scrolls ? [OVERFLOWS[node.scroll]] : [];
}
