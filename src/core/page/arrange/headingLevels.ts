import type { Page } from '../frame';
import { withChildren } from '../mapBoxes';
import type { PageNode } from '../node';
import { isHeading, type Role } from '../../sort/vocabulary';
import { walkNodes } from '../walk';

/**
 * The headings of a page without gaps (WCAG 2.2, technique G141): one is the first, and none is more than a level below
 * the one before it. What a person said stays.
 */
export function closeHeadingGaps(page: Page): Page {
  const headings = walkNodes(page.children).filter(({ role, hidden }) => isHeading(role) && !hidden);
  if (headings.length === 0) return page;
  const levels = new Map<PageNode, number>();
  const used = [...new Set(headings.map(levelOf))].toSorted((one, other) => one - other);
  const top = headings.find((heading) => levelOf(heading) === used[0])!;
  let before = 0;
  for (const heading of headings) {
    const rank = used.indexOf(levelOf(heading)) + 1;
    // Only one is the first of the page.
    const wanted = heading === top ? 1 : Math.max(2, rank);
    const level = heading.roleSaid ? levelOf(heading) : before === 0 ? wanted : Math.min(wanted, before + 1);
    levels.set(heading, level);
    before = level;
  }
  return { ...page, children: page.children.map((node) => withLevels(node, levels)) };
}

function levelOf({ role }: PageNode): number {
  return Number(role.slice(-1));
}

function withLevels(node: PageNode, levels: ReadonlyMap<PageNode, number>): PageNode {
  const level = levels.get(node);
  const isOther = level !== undefined && level !== levelOf(node);
  const own = isOther ? { ...node, role: `heading-${level}` as Role } : node;
  if (own.kind !== 'box') return own;
  return withChildren(
    own,
    own.children.map((child) => withLevels(child, levels)),
  );
}
