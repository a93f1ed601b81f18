import type { PageNode } from '../../page/node';
import type { StyleSheet } from '../../style/styleSheet';

/** The names of a node's classes, for targets without any: they name components, and tell what is alike; null for none. */
export function classNamesOf(node: PageNode, sheet: StyleSheet): string | null {
  const style = sheet.classOf(node);
  const names = [sheet.nameClassOf(node), style?.lead ?? null, style?.name ?? null].filter(
    (each) => each !== null,
  );
  return names.length > 0 ? [...new Set(names)].join(' ') : null;
}
