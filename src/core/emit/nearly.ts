import type { Report } from '../findings/finding';
import type { Page } from '../page/frame';
import type { PageNode } from '../page/node';
import { pageNodes } from '../page/walk';
import type { Target } from './target';

/**
 * Reports what a target says only nearly of a layer, one finding for each thing.
 * @param themes those that are to be written
 */
export function reportNearly(
  { pages, themes }: { readonly pages: readonly Page[]; readonly themes: readonly string[] },
  target: Target,
  report: Report,
): void {
  const { nearly } = target;
  if (!nearly) return;
  const named = { target: target.label };
  if (themes.length > 0)
    report('said-nearly', null, { ...named, what: 'everything looks as it does without a theme' });
  for (const node of pages.flatMap(pageNodes))
    for (const what of nearly(node)) report('said-nearly', node.layer, { ...named, what });
}

/** How a look comes out on a platform without filters, round clips and shadows of letters, each in words for a finding. */
export function withoutEffects({ look }: PageNode): readonly string[] {
  const { clip, filters = [], radii, type } = look;
  const isRound = clip?.kind === 'box' && radii !== undefined;
  return [
    ...(filters.some(({ kind }) => kind === 'drop-shadow') ? ['all that is in it throws no shadow'] : []),
    ...(isRound || clip?.kind === 'path' ? ['its clip is a plain box'] : []),
    ...(type?.shadows ? ['its letters throw no shadow'] : []),
  ];
}
