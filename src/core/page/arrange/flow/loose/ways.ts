import { SHARE_BEFORE } from '../../../../mockup/type';
import { lineText, type FixedPlace, type TextNode } from '../../../node';
import { STACK } from '../stand';

/** A line of words that lies loose, in the flow of a page. */
export type LooseLine = TextNode & { readonly place: FixedPlace };

/** A way in which a line may get longer: the room that it takes then, px from its corner along its letters. */
export interface Way {
  readonly from: number;
  readonly to: number;
  /** The end that stays where it is; absent for the one that its place says. */
  readonly anchor?: Anchor;
  /** How many lines it becomes, and how many of those come to stand above it. */
  readonly lines: number;
  readonly above: number;
}

type Anchor = keyof typeof SHARE_BEFORE;

/** Common practice, no source: so much longer, as a share and in letters, are words in another language. */
const LONGER = 0.4;
const LETTERS = 2.5;
/** Px, and a share of the width, by which letters may be wider in a browser than they were measured. */
const SLACK = 1;
const UNSURE = 0.005;

/** In how many ways a line may get longer, the plainest first. */
export function waysOf({ place, lines, anchor, drawn }: LooseLine): readonly Way[] {
  const { width, turn, holds } = place;
  const letters = lineText(lines[0]!).trim().length;
  const more = Math.max(LONGER * width, (LETTERS * width) / Math.max(1, letters));
  const grown = (by: number, stays: Anchor): Way => {
    const before = by * SHARE_BEFORE[stays];
    return { from: -before, to: width + by - before, anchor: stays, lines: 1, above: 0 };
  };
  const { x: hold = 'start' } = holds ?? {};
  const { anchor: _, ...asHeld } = grown(more, hold === 'both' ? 'start' : hold);
  const anchored = anchor ? [grown(more, anchor)] : [];
  // What a drawing says of its words holds first.
  const first = drawn === true || turn !== null ? [...anchored, asHeld] : [asHeld, ...anchored];
  const slack = SLACK + UNSURE * width;
  const wider = [0.5, 0].map((share) => ({ ...grown(slack + share * more, anchor ?? 'start'), lines: 2 }));
  // Letters of several looks in a flexible box would each be a line of their own.
  const rises = lines[0]!.spans.length === 1 ? [0, 0.5, 1] : [0];
  const broken = rises.flatMap((above) => wider.map((way) => ({ ...way, above })));
  return [...first, ...broken, ...ANCHORS.map((stays) => grown(more, stays))];
}

const ANCHORS = ['end', 'middle', 'start'] as const;

/** The room that a line takes when it gets longer in a way, px of the screen. */
export function roomOf({ place }: LooseLine, { from, to, lines, above }: Way): FixedPlace {
  const [a, b, c, d] = place.turn ?? [1, 0, 0, 1];
  const up = above * place.height;
  const start = place.x + (place.shift ?? 0) + a * from - c * up;
  // Browsers drop parts of a px before they turn: those are moved by the turn.
  const x = place.shift === undefined ? start : Math.floor(start);
  return {
    ...place,
    x,
    ...(place.shift !== undefined && { shift: start - x }),
    y: place.y + b * from - d * up,
    width: to - from,
    height: place.height * lines,
  };
}

/** The line so that it gets longer in a way. */
export function goingWay(line: LooseLine, way: Way): TextNode {
  const { anchor, lines, above } = way;
  const { holds, height } = line.place;
  if (!holds || !anchor) return line;
  const { wraps, ...free } = line;
  const own = lines > 1 ? free : { ...free, wraps };
  if (anchor === 'start' && above === 0) {
    const place = { ...line.place, width: way.to };
    if (lines > 1) return { ...own, place: { ...place, holds: { ...holds, wide: 'capped' } } };
    return { ...own, place: { ...line.place, holds: { ...holds, x: 'start' } } };
  }
  const room = roomOf(line, way);
  const held = { ...holds, x: 'start', wide: 'set' } as const;
  const type = { ...line.look.type!, align: anchor };
  const aligned = { ...own, look: { ...line.look, type } };
  if (above === 0) return { ...aligned, place: { ...room, height, holds: held } };
  return {
    ...aligned,
    layout: { ...STACK, direction: 'row', align: above === 1 ? 'end' : 'middle', justify: anchor },
    place: { ...room, hugs: false, holds: { ...held, y: 'start', high: 'set' } },
  };
}
