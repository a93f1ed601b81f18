import { gather } from '../../mockup/gather';
import { rememberOf } from '../../mockup/remember';
import type { BoxNode, Page, PageNode } from '../node';
import { withStates, type StateNode } from '../states';
import { absorbBars, mergeCoats, roundedBars } from './coats';
import { flowInside } from './flow/inside';
import { mergeBackdrop } from './backdrop';
import { withoutCutOff } from './cutOff';
import { withInnerHalf } from './cutStroke';
import { tightWindows, withoutIdleClip } from './idleClip';
import { isPurposeless } from './meaning';
import { ringed } from './ringed';
import { overTiles } from './overTiles';
import { isVeil, named, takeWindow, veiled } from './sole';
import { soleText } from './soleText';
import { thrown, wearShadows, withoutCutShadows } from './thrown';
import { trimGroups } from './trim';
import { wearWordShadows } from './wordShadows';

/** Everything stands in its group; wrappers without a purpose vanish, and a backdrop becomes its group's own. */
export function nested(page: Page, versions: readonly StateNode[] = []): Page {
  return flowInside(groupPage(page, versions));
}

/** The page by its groups: backdrops are their groups' own, wrappers are gone. Places are those of the screen. */
export function groupPage(page: Page, versions: readonly StateNode[] = []): Page {
  const children = joined(gather(page.children, nest));
  const shaped = versions.flatMap(({ node, ...version }) =>
    nest(node).map((each) => ({ ...version, node: each.kind === 'box' ? mergeBackdrop(each, true) : each })),
  );
  return trimGroups({ ...page, children: withStates(children, shaped) });
}

/** Things beside each other in a group: what several of them make together is one. */
function joined(children: readonly PageNode[]): readonly PageNode[] {
  return mergeCoats(wearWordShadows(wearShadows(overTiles(tightWindows(children)))));
}

function nest(node: PageNode): readonly PageNode[] {
  return node.kind === 'box' ? nestBox(node) : [node];
}

const nestBox = rememberOf((node: BoxNode): readonly PageNode[] => {
  const seen = thrown(withoutCutShadows({ ...node, children: gather(node.children, nest) }));
  const coated = roundedBars({ ...seen, children: joined(seen.children) });
  const backed = absorbBars(mergeBackdrop(withoutCutOff(withInnerHalf(coated))));
  const kept = withoutIdleClip(takeWindow(backed));
  const text = soleText(kept);
  if (text) return [text];
  if (isVeil(kept)) return [veiled(kept)];
  if (!isWrapper(kept)) return [ringed(kept)];
  return kept.children.length === 1 ? [named(kept)] : kept.children;
});

/** A group around a single node, or one without a name, adds nothing that the code could use. */
function isWrapper(node: BoxNode): boolean {
  return isPurposeless(node) && node.children.length > 0 && (node.children.length === 1 || !node.named);
}
