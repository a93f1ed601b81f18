import { rememberOf } from '../../mockup/remember';
import type { BoxNode, Page, PageNode } from '../node';
import { withStates, type StateNode } from '../states';
import { absorbBars, mergeCoats, roundedBars } from './coats';
import { flowInside } from './flow/inside';
import { mergeBackdrop } from './backdrop';
import { withInnerHalf } from './cutStroke';
import { isPurposeless } from './meaning';
import { ringed } from './ringed';
import { soleText } from './soleText';
import { trimGroups } from './trim';

/** Everything stands in its group; wrappers without a purpose vanish, and a backdrop becomes its group's own. */
export function nested(page: Page, versions: readonly StateNode[] = []): Page {
  return flowInside(groupPage(page, versions));
}

/** The page by its groups: backdrops are their groups' own, wrappers are gone. Places are those of the screen. */
export function groupPage(page: Page, versions: readonly StateNode[] = []): Page {
  const children = mergeCoats(page.children.flatMap(nest));
  const shaped = versions.flatMap(({ node, ...version }) =>
    nest(node).map((each) => ({ ...version, node: each.kind === 'box' ? mergeBackdrop(each, true) : each })),
  );
  return trimGroups({ ...page, children: withStates(children, shaped) });
}

function nest(node: PageNode): readonly PageNode[] {
  return node.kind === 'box' ? nestBox(node) : [node];
}

const nestBox = rememberOf((node: BoxNode): readonly PageNode[] => {
  const children = mergeCoats(node.children.flatMap(nest));
  const kept = absorbBars(mergeBackdrop(withInnerHalf(roundedBars({ ...node, children }))));
  const text = soleText(kept);
  if (text) return [text];
  if (!isWrapper(kept)) return [ringed(kept)];
  const [only, ...more] = kept.children;
  return only && more.length === 0 && kept.named && !only.named ? [named(only, kept)] : kept.children;
});

/** What is alone in a group with a name is what the name means. */
function named(node: PageNode, { name, layer }: BoxNode): PageNode {
  return { ...node, name, named: true, merged: [...(node.merged ?? []), layer] };
}

/** A group around a single node, or one without a name, adds nothing that the code could use. */
function isWrapper(node: BoxNode): boolean {
  return isPurposeless(node) && node.children.length > 0 && (node.children.length === 1 || !node.named);
}
