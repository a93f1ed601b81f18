import { nodeWords, type PageNode } from '../node';
import type { Page } from '../frame';
import { walkNodes } from '../walk';
import { withChildren } from '../mapBoxes';
import { wordsOfName } from '../alternativeText';
import { isHeading, roleEntry, type Role } from '../../sort/vocabulary';

/** Roles that are landmarks wherever they stand (ARIA, landmark roles). */
const LANDMARKS: ReadonlySet<Role> = new Set(['navigation', 'complementary']);

/**
 * Landmarks of one kind have names that tell them apart: of their headings, else of their layers (WAI-ARIA Authoring
 * Practices, landmark regions, from memory).
 */
export function nameLandmarks(page: Page): Page {
  const all = walkNodes(page.children).filter(({ role, hidden }) => LANDMARKS.has(role) && !hidden);
  const several = all.filter((node) => all.some((other) => other !== node && other.role === node.role));
  if (several.length === 0) return page;
  const names = new Map<PageNode, string>();
  for (const node of several) {
    if (node.label !== undefined) continue;
    const taken = new Set(several.flatMap((each) => each.label ?? names.get(each) ?? []));
    const wanted = headingOf(node) ?? nameOf(node);
    let name = wanted;
    for (let count = 2; taken.has(name); count++) name = `${wanted} ${count}`;
    names.set(node, name);
  }
  return { ...page, children: page.children.map((node) => withNames(node, names)) };
}

function withNames(node: PageNode, names: ReadonlyMap<PageNode, string>): PageNode {
  const label = names.get(node);
  const named = label === undefined ? node : { ...node, label };
  if (node.kind !== 'box' || named.kind !== 'box') return named;
  return withChildren(
    named,
    node.children.map((child) => withNames(child, names)),
  );
}

/** The longest heading that is a name, in letters. */
const LONGEST = 40;

function headingOf(node: PageNode): string | null {
  const heading = walkNodes([node]).find(({ role }) => isHeading(role));
  const words = heading?.kind === 'text' ? nodeWords(heading).trim() : '';
  return words === '' || words.length > LONGEST ? null : words;
}

/** Words for kinds of navigation: they tell one from another. */
const KINDS = /^(?:breadcrumbs?|tabs?|pagination)$/;

/** The telling words of its name, apart from those for what it is. */
function nameOf(node: PageNode): string {
  const { words: said = [] } = roleEntry(node.role);
  const words = node.named ? wordsOfName(node.name, true).toLowerCase().split(' ') : [];
  const telling = words
    .map((word) => word.replace(/\d+$/, ''))
    .filter((word) => word !== '' && (!said.includes(word) || KINDS.test(word)));
  const name = telling.length > 0 ? telling.join(' ') : node.role === 'navigation' ? 'pages' : 'more';
  return name.charAt(0).toUpperCase() + name.slice(1);
}
