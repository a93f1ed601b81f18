import { BY_HAND, MEASURED, SNAPPED } from '../../tolerances';
import { bottom, boxAround, right } from '../../../mockup/box';
import type { Layout } from '../../layout';
import { alignLine } from './crossAxis';
import { wrapTexts } from './textWrapping';
import { layOutGrid } from './grid';
import type { Content, Part } from './parts';
import { hasWords } from './nodePredicates';
import {
  roundedDownLength,
  commonGap,
  roundedLength,
  heightModeOf,
  insets,
  padded,
  spaceOut,
  overhangMargin,
} from './spacing';
import { centreTolerance, type LayoutResult, type LayOut } from './sizing';
import { rigidWidthMode, paddingBox } from './widths';
import {
  gapsOf,
  withPlainGap,
  justifyRow,
  freeGap,
  LARGER_GAP,
  PLAIN_GAP,
  isStretched,
  offCentrePadding,
} from './rowGaps';
import { haveEvenSteps, areEquallyWide, areCells, rowWidthModes } from './rowWidths';

/** Lays out parts as a row. */
export function layOutRow(part: Part, content: Content, given: boolean, layOut: LayOut): LayoutResult {
  const drawn = content.parts;
  const inner = paddingBox(part);
  const inside = boxAround(drawn.map(({ box }) => box));
  const [before, after] = [inside.x - inner.x, right(inner) - right(inside)];
  const said = part.node.layoutOverride;
  const drawnGaps = gapsOf(drawn);
  const pitch = haveEvenSteps(drawn, drawnGaps);
  const isSaid =
    said?.contents === 'row' ||
    said?.gap !== undefined ||
    drawn.some(({ node }) => node.layoutOverride?.width);
  // A part that overlaps its predecessor shares no columns with it.
  const isFanned = drawnGaps.some((gap) => gap < -BY_HAND.step);
  const isEven = () =>
    areEquallyWide(drawn, drawnGaps, inner, before, after) || areCells(drawn, drawnGaps, before, after);
  if (!isSaid && !isFanned && (pitch || (given && isEven())))
    return layOutGrid(part, { direction: 'grid', parts: drawn, rows: [drawn], pitch }, given, layOut);
  // Where content continues past the edge, nothing shrinks.
  const isFull = after < -1;
  const widthModes = given
    ? rowWidthModes(drawn, inner, before, after)
    : drawn.map((each) => rigidWidthMode(each));
  const parts = said?.gap === undefined ? withPlainGap(drawn, widthModes) : drawn;
  const gaps = gapsOf(parts);
  const filled = widthModes.includes('rest');
  const justify = given && !filled ? justifyRow(gaps, before, after, inner, centreTolerance(part)) : 'start';
  const free =
    justify === 'start' && given && !filled && !isFull && said?.gap === undefined
      ? freeGap(gaps, before, after)
      : null;
  const common = commonGap(gaps.filter((_, at) => at !== free && justify !== 'between'));
  // The free gap must be able to shrink, too.
  const isNarrow = free !== null && gaps[free]! < common * LARGER_GAP;
  const gap = said?.gap ?? (isNarrow ? Math.min(PLAIN_GAP, ...gaps) : common);
  const { align, line, owns } = alignLine(parts, inside);
  const vertical = insets(part, line);
  const spaces = said?.gap === undefined ? spaceOut(gaps, gap, SNAPPED) : gaps.map(() => 0);
  const last = parts.at(-1);
  const isFilled = !filled && after < MEASURED.width;
  // Extra width would move the last part of a row that has room.
  const isUnsure = free === null && last && (isStretched(last) || (isFilled && hasWords(last.node)));
  const more = isUnsure && given && !isFull && justify === 'start' ? MEASURED.width : 0;
  const children = parts.map((each, at) => {
    const widthMode = isFull && widthModes[at] === 'drawn' ? 'rigid' : widthModes[at]!;
    const own = owns[at]!;
    const left =
      at === 0
        ? Math.min(0, roundedDownLength(before))
        : justify === 'between'
          ? 0
          : at - 1 === free
            ? null
            : spaces[at - 1]!;
    const { over } = vertical;
    const end = each === last ? overhangMargin(after) - more : 0;
    // A part aligned at the top overhangs by itself; any other alignment needs the overhang of all parts.
    const hangs = (own.align ?? align) === 'start';
    const below = hangs
      ? Math.max(over.bottom, Math.min(0, roundedLength(bottom(inner) - bottom(each.box))))
      : over.bottom;
    const margin = { top: own.top + over.top, left, right: end, bottom: below };
    return layOut(each, {
      widthMode,
      heightMode: heightModeOf(
        each,
        own.align === 'stretch' || (own.align === null && align === 'stretch'),
        line.height,
      ),
      align: own.align,
      margin,
      isWidthGiven: widthMode !== 'fit',
    });
  });
  const sides =
    justify === 'middle'
      ? { left: offCentrePadding(before - after), right: offCentrePadding(after - before) }
      : justify === 'end'
        ? { left: 0, right: after }
        : {
            left: before,
            right:
              !given || filled || free !== null || justify === 'between'
                ? after
                : // A row without any room to spare would wrap its words.
                  Math.max(0, Math.min(after - MEASURED.width, before)),
          };
  // However long words get, they do not touch.
  const least = justify === 'between' ? PLAIN_GAP : gap;
  const layout: Layout = {
    direction: 'row',
    tracks: [],
    gap: least,
    rowGap: least,
    padding: padded(vertical, sides),
    align,
    justify,
  };
  // Words may grow where the row is not full.
  const slack =
    given && !filled
      ? Math.max(0.5, before + after - sides.left - sides.right, ...gaps.filter((_, at) => at === free))
      : 0.5;
  const of = (each: Part) => (isFull ? 0 : each.box.width + slack + (each === last ? more : 0));
  const isUnconstrained = !given || filled;
  const room = {
    of,
    narrowed: 'drawn',
    begins: () => false,
    isGiven: false,
    isRigid: () => false,
    isUnconstrained,
  } as const;
  return { layout, children: wrapTexts(children, parts, room) };
}
