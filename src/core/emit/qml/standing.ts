import type { Layout } from '../../page/layout';
import { hasGreatestWidth, type FixedPlace, type FlowPlace, type Pin, type Place } from '../../page/place';
import { qmlNumber } from './values';

export type Properties = Readonly<Record<string, string | null>>;

interface Corner {
  readonly x: number;
  readonly y: number;
}

/**
 * The place of an object among the children of an item.
 * @param corner where coordinates begin in that item, px
 */
export function fixedProperties({ x, y, width, height, pins }: FixedPlace, corner: Corner): Properties {
  if (!pins)
    return {
      x: qmlNumber(corner.x + x),
      y: qmlNumber(corner.y + y),
      width: qmlNumber(width),
      height: qmlNumber(height),
    };
  return {
    ...alongAxis(pins.x, ['left', 'right', 'horizontalCenter', 'x', 'width'], {
      before: x,
      after: pins.right,
      start: corner.x,
      length: pins.widthMode === 'drawn' ? width : null,
    }),
    ...alongAxis(pins.y, ['top', 'bottom', 'verticalCenter', 'y', 'height'], {
      before: y,
      after: pins.bottom,
      start: corner.y,
      length: pins.heightMode === 'drawn' ? height : null,
    }),
  };
}

interface Span {
  readonly before: number;
  readonly after: number;
  /** Where coordinates begin, px. */
  readonly start: number;
  /** Null for that of the content. */
  readonly length: number | null;
}

function alongAxis(
  pin: Pin,
  [first, last, middle, place, size]: readonly [string, string, string, string, string],
  { before, after, start, length }: Span,
): Properties {
  const sized = { [size]: length === null ? null : qmlNumber(length) };
  const near = {
    [`anchors.${first}`]: `parent.${first}`,
    [`anchors.${first}Margin`]: marginOf(before + start),
  };
  const far = { [`anchors.${last}`]: `parent.${last}`, [`anchors.${last}Margin`]: marginOf(after + start) };
  switch (pin) {
    case 'start':
      return { [place]: qmlNumber(before + start), ...sized };
    case 'end':
      return { ...far, ...sized };
    case 'middle':
      return {
        [`anchors.${middle}`]: `parent.${middle}`,
        [`anchors.${middle}Offset`]: marginOf((before - after) / 2),
        ...sized,
      };
    case 'both':
      return { ...near, ...far };
  }
}

/** A distance; none is left out. */
function marginOf(length: number): string | null {
  const number = qmlNumber(length);
  return number === '0' ? null : number;
}

/** The properties of an object in a layout, and the room that it takes beside itself. */
export interface LayoutStanding {
  readonly properties: Properties;
  /** True where free room lies before or after it. */
  readonly isPushed: { readonly before: boolean; readonly after: boolean };
}

/** The place of an object in a layout (Qt Quick Layouts, the attached properties of `Layout`). */
export function layoutStanding(place: FlowPlace, layout: Layout): LayoutStanding {
  const { widthMode, heightMode, margin, width, height, fitsContent } = place;
  const isRow = layout.direction === 'row' || layout.direction === 'words';
  const isColumn = layout.direction === 'column';
  const align = place.align ?? layout.align;
  const isStretched = isColumn && align === 'stretch' && widthMode === 'fit';
  const fills = isStretched || widthMode === 'rest' || widthMode === 'full' || hasGreatestWidth(widthMode);
  // Free room on both sides, or before it.
  const pushed = isColumn && margin.left === null ? (margin.right === null ? 'middle' : 'end') : null;
  const isHigh = isRow && align === 'stretch' && heightMode !== 'drawn';
  const isDrawn = (widthMode === 'drawn' || widthMode === 'rigid') && !(fitsContent && widthMode === 'drawn');
  return {
    properties: {
      'Layout.fillWidth': fills ? 'true' : null,
      'Layout.preferredWidth': isDrawn ? qmlNumber(width) : null,
      'Layout.maximumWidth': hasGreatestWidth(widthMode) ? qmlNumber(width) : null,
      'Layout.fillHeight': isHigh ? 'true' : null,
      'Layout.preferredHeight': heightMode === 'drawn' ? qmlNumber(height) : null,
      'Layout.minimumHeight': heightMode === 'min' ? qmlNumber(height) : null,
      'Layout.alignment':
        fills && !hasGreatestWidth(widthMode) && isColumn ? null : alignmentOf(pushed ?? align, !isColumn),
      'Layout.topMargin': marginOf(margin.top),
      'Layout.rightMargin': marginOf(margin.right ?? 0),
      'Layout.bottomMargin': marginOf(margin.bottom),
      'Layout.leftMargin': marginOf(margin.left ?? 0),
    },
    isPushed: { before: margin.left === null, after: margin.right === null },
  };
}

/** Across the direction of a layout; objects stand at its left, and in its middle from top to bottom, by themselves. */
function alignmentOf(align: Layout['align'], isRow: boolean): string | null {
  const inRow = {
    start: 'Qt.AlignTop',
    middle: null,
    end: 'Qt.AlignBottom',
    stretch: null,
    baseline: 'Qt.AlignBaseline',
  };
  const inColumn = {
    start: null,
    middle: 'Qt.AlignHCenter',
    end: 'Qt.AlignRight',
    stretch: null,
    baseline: null,
  };
  return (isRow ? inRow : inColumn)[align];
}

/** The turn of a node about its top left corner. */
export function turnProperties({ linear, subpixelShift = 0 }: Place): Properties {
  if (!linear) return {};
  const [a, b, c, d] = linear.map((value) => qmlNumber(value));
  const shift = qmlNumber(subpixelShift);
  return {
    transform: `Matrix4x4 { matrix: Qt.matrix4x4(${a}, ${c}, 0, ${shift}, ${b}, ${d}, 0, 0, 0, 0, 1, 0, 0, 0, 0, 1) }`,
  };
}
