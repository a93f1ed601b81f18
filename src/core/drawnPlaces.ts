import { isEdgeLine, isPlain } from './look/look';
import { grow, type Box } from './mockup/box';
import type { LayerId } from './mockup/layer';
import type { Conversion } from './convert';
import { plainFrame } from './page/frame';
import { lower } from './page/lower';
import type { PageNode } from './page/node';
import { placedBox } from './page/placed';
import { rewritePage } from './page/rewrite/rewritePage';
import { trimGroupBounds } from './page/rewrite/trimGroupBounds';
import { walkNodes } from './page/walk';

/** Where the element of a layer must stand to be where the mockup draws it, px of the screen. */
export interface DrawnPlace {
  /** The border box with the lines around it; of a text, the box of its first line. */
  readonly box: Box;
  readonly isText: boolean;
}

/** The nodes of a screen at the places where they were drawn, before anything is arranged. */
function drawnNodes(
  { mockup, measures, decisions, plan }: Pick<Conversion, 'mockup' | 'measures' | 'decisions' | 'plan'>,
  at: number,
): readonly PageNode[] {
  const screen = mockup.screens[at]!;
  const context = { screen, mockup, measures: measures.get(screen.id)!, decisions, plan, flows: false };
  return walkNodes(trimGroupBounds(rewritePage(lower(context, plainFrame('nested')))).children);
}

/** The places of a page's elements as drawn; what shows nothing of its own has none. */
export function drawnPlaces(conversion: Conversion, at: number): ReadonlyMap<LayerId, DrawnPlace> {
  const drawn = new Map(drawnNodes(conversion, at).map((node) => [node.layer, node]));
  const page = conversion.pages.find(({ screen }) => screen === conversion.mockup.screens[at]?.id);
  for (const node of walkNodes(page?.children ?? [])) {
    // Of words that were joined, the first ones begin the line.
    const texts = [node.layer, ...(node.merged ?? [])].flatMap((layer) => drawn.get(layer) ?? []);
    const first = texts.find((text) => text.kind === 'text');
    if (node.kind === 'text' && first) drawn.set(node.layer, texts.reduce(firstText, first));
  }
  return new Map(
    [...drawn].flatMap(([layer, node]): [LayerId, DrawnPlace][] => {
      if ((node.kind === 'box' && isPlain(node.look)) || node.hidden) return [];
      if (node.kind === 'text') {
        // How high several lines are together says nothing of where the letters stand.
        return node.lines.length > 1 ? [] : [[layer, { box: placedBox(node.place), isText: true }]];
      }
      const rings = (node.look.shadows ?? []).filter((shadow) => isEdgeLine(shadow) && !shadow.inset);
      const ring = Math.max(0, ...rings.map(({ spread }) => spread));
      return [[layer, { box: grow(placedBox(node.place), ring), isText: false }]];
    }),
  );
}

/** Px by which texts of one line may stand above each other: sizes and fonts differ. */
const SAME_LINE = 4;

function firstText(one: PageNode, other: PageNode): PageNode {
  if (other.kind !== 'text' || one.kind !== 'text') return one;
  const isAbove = other.place.y + other.baseline < one.place.y + one.baseline - 1;
  const isBeside = Math.abs(other.place.y - one.place.y) <= SAME_LINE && other.place.x < one.place.x;
  return isAbove || isBeside ? other : one;
}
