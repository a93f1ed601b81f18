import { flatMap } from '../../mockup/flatMap';
import { memoizeByObject } from '../../mockup/memoize';
import type { BoxNode, PageNode } from '../node';
import type { Page } from '../frame';
import { withStates, type StateNode } from '../states';
import { edgeBarsToBorders, mergeDecorations, clippedBarsToBorders } from './mergeDecorations';
import { layOutOverrides } from './flow/overrides';
import { mergeBackdrop } from './backdrop';
import { dropClippedBorders } from './dropClippedBorders';
import { clippedStrokeToBorder } from './clippedStroke';
import { shrinkClips, dropIneffectiveClip } from './ineffectiveClip';
import { isPurposeless } from './semantics';
import { borderAsShadow } from './borderAsShadow';
import { distributeOverlay } from './distributeOverlay';
import { isOpacityGroup, unwrapSingleChild, adoptChildClip, applyGroupOpacity } from './singleChild';
import { unwrapTextGroup } from './unwrapTextGroup';
import { shadowFromClippedShape, attachShadows, dropClippedShadows } from './clippedShadows';
import { trimGroupBounds } from './trimGroupBounds';
import { duplicateTextToShadow } from './duplicateText';

/**
 * Every node stands in its group. Wrappers without a purpose are dropped, and a backdrop becomes its group's
 * own look.
 */
export function nested(page: Page, versions: readonly StateNode[] = []): Page {
  return layOutOverrides(groupPage(page, versions));
}

/** The page by its groups, with backdrops merged and wrappers dropped. Places are px of the screen. */
export function groupPage(page: Page, versions: readonly StateNode[] = []): Page {
  const children = mergeSiblings(flatMap(page.children, nest));
  const shaped = versions.flatMap(({ node, ...version }) =>
    nest(node).map((each) => ({ ...version, node: each.kind === 'box' ? mergeBackdrop(each, true) : each })),
  );
  return trimGroupBounds({ ...page, children: withStates(children, shaped) });
}

/** Merges siblings that draw one thing together. */
function mergeSiblings(children: readonly PageNode[]): readonly PageNode[] {
  return mergeDecorations(duplicateTextToShadow(attachShadows(distributeOverlay(shrinkClips(children)))));
}

function nest(node: PageNode): readonly PageNode[] {
  return node.kind === 'box' ? nestBox(node) : [node];
}

const nestBox = memoizeByObject((node: BoxNode): readonly PageNode[] => {
  const seen = shadowFromClippedShape(
    dropClippedShadows({ ...node, children: flatMap(node.children, nest) }),
  );
  const coated = clippedBarsToBorders({ ...seen, children: mergeSiblings(seen.children) });
  const backed = edgeBarsToBorders(mergeBackdrop(dropClippedBorders(clippedStrokeToBorder(coated))));
  const kept = dropIneffectiveClip(adoptChildClip(backed));
  const text = unwrapTextGroup(kept);
  if (text) return [text];
  if (isOpacityGroup(kept)) return [applyGroupOpacity(kept)];
  if (!isWrapper(kept)) return [borderAsShadow(kept)];
  return kept.children.length === 1 ? [unwrapSingleChild(kept)] : kept.children;
});

/** True for a group around a single node, or one without a name: it adds nothing to the code. */
function isWrapper(node: BoxNode): boolean {
  return isPurposeless(node) && node.children.length > 0 && (node.children.length === 1 || !node.named);
}
