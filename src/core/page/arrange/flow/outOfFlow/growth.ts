import { MEASURED } from '../../../tolerances';
import { SHARE_BEFORE } from '../../../../mockup/type';
import { lineText, type TextNode } from '../../../node';
import type { FixedPlace } from '../../../place';
import { COLUMN_LAYOUT } from '../sizing';

/** An out-of-flow line of words in a page that flows. */
export type OutOfFlowLine = TextNode & { readonly place: FixedPlace };

/**
 * A direction in which a line may grow: the area that it then takes, px from its corner along its letters.
 */
export interface Growth {
  readonly from: number;
  readonly to: number;
  /** The fixed end; absent for the end that its place pins. */
  readonly anchor?: Anchor;
  /** The number of lines that it becomes, and how many of them stand above it. */
  readonly lines: number;
  readonly above: number;
}

type Anchor = keyof typeof SHARE_BEFORE;

/** Common practice, no source: the extra length of words in another language, as a share and in letters. */
const LONGER_SHARE = 0.4;
const LONGER_LETTERS = 2.5;

/** The ways in which a line may grow, the plainest first. */
export function growthsOf({ place, lines, anchor, keepsPlace }: OutOfFlowLine): readonly Growth[] {
  const { width, linear, pins } = place;
  const letters = lineText(lines[0]!).trim().length;
  const more = Math.max(LONGER_SHARE * width, (LONGER_LETTERS * width) / Math.max(1, letters));
  const grown = (by: number, stays: Anchor): Growth => {
    const before = by * SHARE_BEFORE[stays];
    return { from: -before, to: width + by - before, anchor: stays, lines: 1, above: 0 };
  };
  const { x: hold = 'start' } = pins ?? {};
  const { anchor: _, ...asHeld } = grown(more, hold === 'both' ? 'start' : hold);
  const anchored = anchor ? [grown(more, anchor)] : [];
  // The anchor in the drawing comes first.
  const first = keepsPlace === true || linear !== null ? [...anchored, asHeld] : [asHeld, ...anchored];
  const slack = MEASURED.width + MEASURED.share * width;
  const wider = [0.5, 0].map((share) => ({ ...grown(slack + share * more, anchor ?? 'start'), lines: 2 }));
  // Spans in a flexible box would each become a line of their own.
  const rises = lines[0]!.spans.length === 1 ? [0, 0.5, 1] : [0];
  const broken = rises.flatMap((above) => wider.map((way) => ({ ...way, above })));
  return [...first, ...broken, ...ANCHORS.map((stays) => grown(more, stays))];
}

const ANCHORS = ['end', 'middle', 'start'] as const;

/** The area that a line takes when it grows, px of the screen. */
export function grownPlace({ place }: OutOfFlowLine, { from, to, lines, above }: Growth): FixedPlace {
  const [a, b, c, d] = place.linear ?? [1, 0, 0, 1];
  const up = above * place.height;
  const start = place.x + (place.subpixelShift ?? 0) + a * from - c * up;
  // Browsers truncate fractions of a px before a transform; the transform moves the node by them.
  const x = place.subpixelShift === undefined ? start : Math.floor(start);
  return {
    ...place,
    x,
    ...(place.subpixelShift !== undefined && { subpixelShift: start - x }),
    y: place.y + b * from - d * up,
    width: to - from,
    height: place.height * lines,
  };
}

/** The line with the declarations that make it grow. */
export function applyGrowth(line: OutOfFlowLine, way: Growth): TextNode {
  const { anchor, lines, above } = way;
  const { pins, height } = line.place;
  if (!pins || !anchor) return line;
  const { wraps, ...free } = line;
  const own = lines > 1 ? free : { ...free, wraps };
  if (anchor === 'start' && above === 0) {
    const place = { ...line.place, width: way.to };
    if (lines > 1) return { ...own, place: { ...place, pins: { ...pins, widthMode: 'max' } } };
    return { ...own, place: { ...line.place, pins: { ...pins, x: 'start' } } };
  }
  const room = grownPlace(line, way);
  const held = { ...pins, x: 'start', widthMode: 'drawn' } as const;
  const type = { ...line.look.type!, align: anchor };
  const aligned = { ...own, look: { ...line.look, type } };
  if (above === 0) return { ...aligned, place: { ...room, height, pins: held } };
  return {
    ...aligned,
    layout: { ...COLUMN_LAYOUT, direction: 'row', align: above === 1 ? 'end' : 'middle', justify: anchor },
    place: { ...room, fitsContent: false, pins: { ...held, y: 'start', heightMode: 'drawn' } },
  };
}
