import type { BoxNode, PageNode } from '../node';
import { isPurposeless } from '../semantics';
import { borderAsShadow } from './borderAsShadow';
import { attachShadows, dropClippedShadows, isShadowOnly, shadowFromClippedShape } from './clippedShadows';
import { clippedStrokeToBorder } from './clippedStroke';
import { distributeOverlay } from './distributeOverlay';
import { dropClippedBorders } from './dropClippedBorders';
import { duplicateTextToShadow } from './duplicateText';
import { clippedBarsToBorders, edgeBarsToBorders } from './edgeBars';
import { frameBarsToBorder } from './frameBars';
import { dropIneffectiveClip, shrinkClips } from './ineffectiveClip';
import { mergeBackdrop } from './mergeBackdrop';
import { mergeDecorations } from './mergeDecorations';
import type { Rewrite } from './rewrite';
import { adoptChildClip, applyGroupOpacity, isOpacityGroup, unwrapSingleChild } from './singleChild';
import { unwrapTextGroup } from './unwrapTextGroup';

const isUpright = ({ place }: BoxNode): boolean => place.linear === null;
const clipsToBox = ({ look }: BoxNode): boolean => look.clip?.kind === 'box';
const clipsToPath = ({ look }: BoxNode): boolean => look.clip?.kind === 'path';
const hasTexts = (siblings: readonly PageNode[]): boolean => siblings.some(({ kind }) => kind === 'text');
const hasContent = ({ children }: BoxNode): boolean => children.length > 0;

/** True for a group around a single node, or one without a name: it adds nothing to the code. */
const isWrapper = (group: BoxNode): boolean =>
  isPurposeless(group) && hasContent(group) && (group.children.length === 1 || !group.named);

/**
 * All rewrites in the order in which they run on a group whose children are rewritten already. The page's own
 * children meet those for siblings. Adding a rewrite is a file and an entry here.
 */
export const REWRITES: readonly Rewrite[] = [
  {
    name: 'drop-clipped-shadows',
    scope: 'group',
    effect: 'Shadows of which the clip leaves nothing visible are dropped.',
    guard: (group) => clipsToBox(group) && isUpright(group),
    apply: dropClippedShadows,
  },
  {
    name: 'shadow-from-clipped-shape',
    scope: 'group',
    effect: 'A blurred shape, clipped to the outside of a box, is the shadow of that box.',
    guard: (group) => clipsToPath(group) && isUpright(group),
    apply: shadowFromClippedShape,
  },
  {
    name: 'shrink-clips',
    scope: 'siblings',
    effect: 'A clip shrinks to the content that it cuts, where it would lie over other nodes.',
    guard: (siblings) => siblings.length > 1,
    apply: shrinkClips,
  },
  {
    name: 'distribute-overlay',
    scope: 'siblings',
    effect: 'An overlay across adjacent boxes is painted by each of the boxes.',
    guard: (siblings) => siblings.length > 2,
    apply: distributeOverlay,
  },
  {
    name: 'attach-shadows',
    scope: 'siblings',
    effect: 'A shadow drawn as a layer belongs to the box that casts it.',
    guard: (siblings) => siblings.some(isShadowOnly),
    apply: attachShadows,
  },
  {
    name: 'duplicate-text-to-shadow',
    scope: 'siblings',
    effect: 'The same words drawn beneath, offset or blurred, are the shadow of the words.',
    guard: hasTexts,
    apply: duplicateTextToShadow,
  },
  {
    name: 'frame-bars-to-border',
    scope: 'siblings',
    effect: 'Four bars along the edges of a box are its border.',
    guard: (siblings) => siblings.length > 3,
    apply: frameBarsToBorder,
  },
  {
    name: 'merge-decorations',
    scope: 'siblings',
    effect: 'Shapes that draw one box together are that box with its shadow, border or single side.',
    guard: (siblings) => siblings.length > 1,
    apply: mergeDecorations,
  },
  {
    name: 'clipped-bars-to-borders',
    scope: 'group',
    effect: 'Bars clipped at rounded corners are borders of single sides.',
    guard: clipsToBox,
    apply: clippedBarsToBorders,
  },
  {
    name: 'clipped-stroke-to-border',
    scope: 'group',
    effect: 'A stroke of which the clip leaves the inner half is a border inside the box.',
    guard: clipsToBox,
    apply: clippedStrokeToBorder,
  },
  {
    name: 'drop-clipped-borders',
    scope: 'group',
    effect: 'Borders and shadows that the clip cuts off are dropped.',
    guard: (group) => clipsToBox(group) && isUpright(group),
    apply: dropClippedBorders,
  },
  {
    name: 'merge-backdrop',
    scope: 'group',
    effect: 'The lowest box, around all the others, is the background of its group.',
    guard: hasContent,
    apply: (group) => mergeBackdrop(group),
  },
  {
    name: 'edge-bars-to-borders',
    scope: 'group',
    effect: 'Thin bars along whole edges of a group are its borders.',
    guard: (group) => group.children.length > 1 && isUpright(group),
    apply: edgeBarsToBorders,
  },
  {
    name: 'adopt-child-clip',
    scope: 'group',
    effect: 'A box whose only child clips to the same box clips by itself.',
    guard: (group) => group.children.length === 1 && isUpright(group),
    apply: adoptChildClip,
  },
  {
    name: 'drop-ineffective-clip',
    scope: 'group',
    effect: 'A clip that cuts nothing off is dropped.',
    guard: (group) => clipsToBox(group) && isUpright(group),
    apply: dropIneffectiveClip,
  },
  {
    name: 'unwrap-text-group',
    scope: 'unwrap',
    effect: 'A group with one text is that text.',
    guard: (group) => group.children.length === 1 && isUpright(group),
    apply: (group) => {
      const text = unwrapTextGroup(group);
      return text && [text];
    },
  },
  {
    name: 'apply-group-opacity',
    scope: 'unwrap',
    effect: 'A group that only makes its child translucent is that child.',
    guard: isOpacityGroup,
    apply: (group) => [applyGroupOpacity(group)],
  },
  {
    name: 'unwrap-single-child',
    scope: 'unwrap',
    effect: 'A group without a purpose around one node is that node.',
    guard: (group) => isWrapper(group) && group.children.length === 1,
    apply: (group) => [unwrapSingleChild(group)],
  },
  {
    name: 'dissolve-group',
    scope: 'unwrap',
    effect: 'A group without a name or a purpose has no element.',
    guard: isWrapper,
    apply: ({ children }) => children,
  },
  {
    name: 'border-as-shadow',
    isFor: 'browsers',
    scope: 'group',
    effect: 'A border at fractions of a px is drawn as a shadow, since browsers move borders to whole px.',
    guard: (group) => hasContent(group) && isUpright(group),
    apply: borderAsShadow,
  },
];
