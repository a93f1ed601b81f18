import type { Look, LookFill } from '../look/look';
import { isPlain } from '../look/look';
import { memoizeByObject } from '../mockup/memoize';
import { onNarrow } from '../page/join/narrow';
import type { Layout } from '../page/layout';
import type { PageNode, StateLook, ThemeLook } from '../page/node';
import { sharedPlacementOf } from '../page/sharedPlacement';
import type { StyleClass } from './styleSheet';

/** The parts of a class. */
export type Parts = Pick<StyleClass, 'look' | 'layout' | 'states' | 'themes' | 'narrow'>;

/** What a node needs of its class. */
export function partsOf(node: PageNode): Parts {
  return {
    look: node.look,
    layout: layoutOf(node),
    states: node.states ?? NONE,
    themes: node.themes ?? NO_THEMES,
    narrow: narrowOf(node),
  };
}

export const NONE: readonly StateLook[] = [];
export const NO_THEMES: readonly ThemeLook[] = [];

/** The narrow version of a node on a page for two screens; null for a node that is the same on both. */
function narrowOf(node: PageNode): Parts['narrow'] {
  const other = onNarrow(node);
  if (!other) return null;
  const [wide, narrow] = [node, other].map((each) => ({
    look: each.look,
    layout: layoutOf(each),
    placements: [{ placement: sharedPlacementOf(each), count: 1 }],
  }));
  return JSON.stringify(narrow) === JSON.stringify(wide) ? null : narrow!;
}

function layoutOf(node: PageNode): Layout | null {
  return (node.kind === 'picture' ? null : node.layout) ?? null;
}

/** The text of a look with its layout, states and themes: equal texts share a class. Null for nothing to hold. */
export function lookKey(
  look: Look,
  layout: Layout | null = null,
  states: readonly StateLook[] = NONE,
  themes: readonly ThemeLook[] = NO_THEMES,
): string | null {
  const isAlone = !layout && states.length === 0 && themes.length === 0;
  if (isAlone) return isPlain(look) ? null : lookText(look);
  return `${lookText(look)} ${JSON.stringify(themes.length > 0 ? [layout, states, themes] : [layout, states])}`;
}

/** Memoized: an edit changes few looks and many places. */
const lookText = memoizeByObject((look: Look) =>
  JSON.stringify(look.fills ? { ...look, fills: look.fills.map(relative) } : look),
);

/** A gradient along an axis is the same in boxes of other sizes: CSS gives its stops in shares of the box. */
function relative(fill: LookFill): object {
  if (fill.kind !== 'linear' || fill.repeating) return fill;
  const { from, to, width, height, stops } = fill;
  const share = (value: number, of: number) => Math.round((value / of) * 1e4) / 1e4;
  if (from.x === to.x) return { along: 'y', from: share(from.y, height), to: share(to.y, height), stops };
  if (from.y === to.y) return { along: 'x', from: share(from.x, width), to: share(to.x, width), stops };
  return fill;
}
