import type { MarkupElement } from '../../src/core/markup/element';
import type { Box } from '../../src/core/mockup/box';
import type { LayerId } from '../../src/core/mockup/layer';

interface Size {
  readonly width: number;
  readonly height: number;
}

/** The size of the content of a view without children, as it was drawn. */
type Drawn = (view: MarkupElement) => Size;

/**
 * Where views stand by their sizes, margins, paddings and weights, as `FrameLayout` and `LinearLayout` of the Android
 * framework lay them out (Android, `LinearLayout` and `ViewGroup.MarginLayoutParams`; from memory): what a device would
 * do without its own letters.
 */
export function androidBoxes(root: MarkupElement, screen: Size, drawn: Drawn): ReadonlyMap<LayerId, Box> {
  const boxes = new Map<LayerId, Box>();
  new Layouter(drawn, boxes).place(root, { x: 0, y: 0, ...screen });
  return boxes;
}

class Layouter {
  constructor(
    private readonly drawn: Drawn,
    private readonly boxes: Map<LayerId, Box>,
  ) {}

  place(view: MarkupElement, box: Box): void {
    if (view.origin && !this.boxes.has(view.origin.layer)) this.boxes.set(view.origin.layer, box);
    const [top, right, bottom, left] = ['Top', 'End', 'Bottom', 'Start'].map(
      (side) => dpOf(view, `padding${side}`) ?? 0,
    ) as [number, number, number, number];
    const inner = {
      x: box.x + left,
      y: box.y + top,
      width: box.width - left - right,
      height: box.height - top - bottom,
    };
    if (view.name === 'LinearLayout') this.placeLine(view, inner);
    else for (const child of viewsIn(view)) this.placeInFrame(child, inner);
  }

  private placeInFrame(child: MarkupElement, around: Box): void {
    const margin = marginsOf(child);
    const room = {
      width: around.width - margin.left - margin.right,
      height: around.height - margin.top - margin.bottom,
    };
    const size = this.measure(child, room);
    const gravity = String(child.attributes['android:layout_gravity'] ?? '');
    const x = gravity.includes('end')
      ? around.x + around.width - margin.right - size.width
      : gravity.includes('center_horizontal')
        ? around.x + (around.width - size.width) / 2
        : around.x + margin.left;
    const y = gravity.includes('bottom')
      ? around.y + around.height - margin.bottom - size.height
      : gravity.includes('center_vertical')
        ? around.y + (around.height - size.height) / 2
        : around.y + margin.top;
    this.place(child, { x, y, ...size });
  }

  private placeLine(view: MarkupElement, inner: Box): void {
    const isRow = view.attributes['android:orientation'] === 'horizontal';
    const children = viewsIn(view);
    const along = children.map((child) => this.lengthAlong(child, inner, isRow));
    const used = children.reduce((sum, child, at) => sum + along[at]! + marginAlong(child, isRow), 0);
    const free = Math.max(0, (isRow ? inner.width : inner.height) - used);
    const weights = children.map((child) => Number(child.attributes['android:layout_weight'] ?? 0));
    const all = weights.reduce((sum, weight) => sum + weight, 0);
    const gravity = String(view.attributes['android:gravity'] ?? '');
    const before =
      all > 0
        ? 0
        : gravity.startsWith('center')
          ? free / 2
          : gravity === 'end' || gravity === 'bottom'
            ? free
            : 0;
    let at = (isRow ? inner.x : inner.y) + before;
    for (const [index, child] of children.entries()) {
      const margin = marginsOf(child);
      const length = along[index]! + (all > 0 ? (free * weights[index]!) / all : 0);
      const start = at + (isRow ? margin.left : margin.top);
      const own = String(child.attributes['android:layout_gravity'] ?? '');
      if (isRow) {
        const { height } = this.measure(child, {
          width: length,
          height: inner.height - margin.top - margin.bottom,
        });
        const y =
          own === 'bottom'
            ? inner.y + inner.height - margin.bottom - height
            : own === 'center_vertical'
              ? inner.y + (inner.height - height + margin.top - margin.bottom) / 2
              : inner.y + margin.top;
        this.place(child, { x: start, y, width: length, height });
      } else {
        const { width } = this.measure(child, {
          width: inner.width - margin.left - margin.right,
          height: length,
        });
        const x =
          own === 'end'
            ? inner.x + inner.width - margin.right - width
            : own === 'center_horizontal'
              ? inner.x + (inner.width - width + margin.left - margin.right) / 2
              : inner.x + margin.left;
        this.place(child, { x, y: start, width, height: length });
      }
      at = start + length + (isRow ? margin.right : margin.bottom);
    }
  }

  private lengthAlong(child: MarkupElement, inner: Box, isRow: boolean): number {
    if (Number(child.attributes['android:layout_weight'] ?? 0) > 0) return 0;
    const margin = marginsOf(child);
    const room = {
      width: inner.width - margin.left - margin.right,
      height: inner.height - margin.top - margin.bottom,
    };
    const size = this.measure(child, room);
    return isRow ? size.width : size.height;
  }

  /** The size of a view in a room. */
  private measure(view: MarkupElement, room: Size): Size {
    const said = (name: string) => String(view.attributes[`android:layout_${name}`] ?? 'wrap_content');
    const of = (name: 'width' | 'height', content: () => number): number => {
      const value = said(name);
      if (value === 'match_parent') return Math.max(0, room[name]);
      return value === 'wrap_content' ? content() : Number.parseFloat(value);
    };
    const width = of('width', () => Math.min(this.content(view, room).width, Math.max(room.width, 0)));
    const least = dpOf(view, 'minHeight') ?? 0;
    const height = of('height', () => Math.max(least, this.content(view, { ...room, width }).height));
    return { width, height };
  }

  private content(view: MarkupElement, room: Size): Size {
    const children = viewsIn(view);
    if (children.length === 0) return this.drawn(view);
    const pad = (one: string, other: string) =>
      (dpOf(view, `padding${one}`) ?? 0) + (dpOf(view, `padding${other}`) ?? 0);
    const [across, down] = [pad('Start', 'End'), pad('Top', 'Bottom')];
    const inner = { width: room.width - across, height: room.height - down };
    const sizes = children.map((child) => {
      const margin = marginsOf(child);
      const fills = child.attributes['android:layout_width'] === 'match_parent';
      const size = this.measure(child, {
        width: inner.width - margin.left - margin.right,
        height: inner.height,
      });
      const isHigh = child.attributes['android:layout_height'] === 'match_parent';
      const natural = fills || isHigh ? this.content(child, inner) : size;
      return {
        width: (fills ? natural.width : size.width) + margin.left + margin.right,
        height: (isHigh ? natural.height : size.height) + margin.top + margin.bottom,
      };
    });
    const sum = (side: 'width' | 'height') => sizes.reduce((all, size) => all + size[side], 0);
    const most = (side: 'width' | 'height') => Math.max(...sizes.map((size) => size[side]));
    const isLine = view.name === 'LinearLayout';
    const isRow = view.attributes['android:orientation'] === 'horizontal';
    return {
      width: (isLine && isRow ? sum('width') : most('width')) + across,
      height: (isLine && !isRow ? sum('height') : most('height')) + down,
    };
  }
}

function viewsIn({ children }: MarkupElement): readonly MarkupElement[] {
  return children.filter((child) => typeof child !== 'string');
}

function dpOf({ attributes }: MarkupElement, name: string): number | null {
  const value = attributes[`android:${name}`];
  return typeof value === 'string' && value.endsWith('dp') ? Number.parseFloat(value) : null;
}

function marginsOf(view: MarkupElement) {
  const side = (name: string) => dpOf(view, `layout_margin${name}`) ?? 0;
  return { top: side('Top'), right: side('End'), bottom: side('Bottom'), left: side('Start') };
}

function marginAlong(view: MarkupElement, isRow: boolean): number {
  const { top, right, bottom, left } = marginsOf(view);
  return isRow ? left + right : top + bottom;
}
