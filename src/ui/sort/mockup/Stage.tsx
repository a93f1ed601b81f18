'use client';
import { Box } from '@mui/material';
import { useCallback, useEffect, useLayoutEffect, useRef, useState } from 'react';
import type { KeyboardEvent, PointerEvent, ReactNode } from 'react';
import { union, type Box as Rectangle } from '../../../core/mockup/box';
import type { Point } from '../../../core/mockup/matrix';
import { wheelFactor } from '../../shared/zoomSteps';
import { paintMarks, type Marks } from './overlay';
import { boxScale, clampScale, MARGIN, steppedScale, wholeScale, type Zoom, type ZoomCommand } from './zoom';

const KEYS: Readonly<Record<string, ZoomCommand>> = {
  '+': 'closer',
  '=': 'closer',
  '-': 'farther',
  '0': 'whole',
  '1': 'actual',
  '2': 'chosen',
};
/** The largest movement of a click, px. */
const CLICK = 4;

interface StageProps {
  /** Px. */
  readonly screen: { readonly width: number; readonly height: number };
  readonly marks: Pick<Marks, 'found' | 'chosen' | 'pointed'>;
  /** Has later commands for the view answered, until the function it gives is called. */
  readonly followZoom: (answer: (kind: ZoomCommand) => void) => () => void;
  readonly onZoomKey: (kind: ZoomCommand) => void;
  readonly onScale: (scale: number) => void;
  /** The point of the screen under the pointer; null when it has left. */
  readonly onPoint: (point: Point | null) => void;
  readonly onClick: (point: Point) => void;
  /** @param adds true while Shift is held */
  readonly onDrag: (area: Rectangle, adds: boolean) => void;
  readonly children: ReactNode;
}

/**
 * The picture of the screen with pan and zoom: the wheel pans, Control with the wheel zooms, the middle
 * button or Space drags the view, any other drag selects the layers inside.
 */
export function Stage({
  screen,
  marks,
  followZoom,
  onZoomKey,
  onScale,
  onPoint,
  onClick,
  onDrag,
  children,
}: StageProps) {
  const view = useRef<HTMLDivElement>(null);
  const stage = useRef<HTMLDivElement>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  const [size, setSize] = useState({ width: 0, height: 0 });
  const [zoom, setZoom] = useState<Zoom>('whole');
  const [dragged, setDragged] = useState<Rectangle | null>(null);
  const drag = useRef<{ readonly from: Point; readonly pans: boolean; readonly at: Point } | null>(null);
  const holdsSpace = useRef(false);
  /** A point of the screen that keeps its position in the view at the next change of scale. */
  const keep = useRef<{ readonly point: Point; readonly at: Point } | null>(null);

  const scale = zoom === 'whole' ? wholeScale(screen, size) : zoom;
  useEffect(() => onScale(scale), [scale, onScale]);

  useLayoutEffect(() => {
    const element = view.current;
    if (!element) return undefined;
    const measure = () => setSize({ width: element.clientWidth, height: element.clientHeight });
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    return () => observer.disconnect();
  }, []);

  const zoomTo = useCallback((next: Zoom, kept: { readonly point: Point; readonly at: Point } | null) => {
    keep.current = kept;
    setZoom(next);
  }, []);

  useLayoutEffect(() => {
    const element = view.current;
    if (!element || !keep.current) return;
    const { point, at } = keep.current;
    keep.current = null;
    element.scrollTo(MARGIN + point.x * scale - at.x, MARGIN + point.y * scale - at.y);
  }, [scale, zoom]);

  useEffect(
    () =>
      followZoom((kind) => {
        const element = view.current;
        if (!element) return;
        const middle = { x: element.clientWidth / 2, y: element.clientHeight / 2 };
        const there = {
          x: (element.scrollLeft + middle.x - MARGIN) / scale,
          y: (element.scrollTop + middle.y - MARGIN) / scale,
        };
        const box = marks.chosen.reduce<Rectangle | null>(union, null);
        if (kind === 'whole') zoomTo('whole', { point: { x: 0, y: 0 }, at: { x: MARGIN, y: MARGIN } });
        else if (kind === 'actual') zoomTo(1, { point: box ? centre(box) : there, at: middle });
        else if (kind === 'chosen' && box) zoomTo(boxScale(box, size), { point: centre(box), at: middle });
        else if (kind !== 'chosen')
          zoomTo(steppedScale(scale, kind === 'closer' ? 1 : -1), { point: there, at: middle });
      }),
    [followZoom, marks.chosen, scale, size, zoomTo],
  );

  const paint = useCallback(() => {
    const element = view.current;
    if (!element || !canvas.current) return;
    paintMarks(
      canvas.current,
      { scale, left: MARGIN - element.scrollLeft, top: MARGIN - element.scrollTop },
      { ...marks, dragged, screen },
    );
  }, [scale, marks, dragged, screen]);
  useLayoutEffect(paint, [paint, size]);

  useEffect(() => {
    const element = view.current;
    if (!element) return undefined;
    const onWheel = (event: WheelEvent) => {
      if (!event.ctrlKey && !event.metaKey) return;
      // Only a listener that is not passive can prevent the browser's zoom.
      event.preventDefault();
      const frame = element.getBoundingClientRect();
      const at = { x: event.clientX - frame.left, y: event.clientY - frame.top };
      const point = {
        x: (element.scrollLeft + at.x - MARGIN) / scale,
        y: (element.scrollTop + at.y - MARGIN) / scale,
      };
      zoomTo(clampScale(scale * wheelFactor(event)), { point, at });
    };
    element.addEventListener('wheel', onWheel, { passive: false });
    return () => element.removeEventListener('wheel', onWheel);
  }, [scale, zoomTo]);

  const pointOf = (event: PointerEvent): Point => {
    const frame = stage.current?.getBoundingClientRect();
    return {
      x: (event.clientX - (frame?.left ?? 0)) / scale,
      y: (event.clientY - (frame?.top ?? 0)) / scale,
    };
  };
  const begin = (event: PointerEvent) => {
    if (event.button > 1) return;
    const pans = event.button === 1 || holdsSpace.current;
    event.currentTarget.setPointerCapture(event.pointerId);
    drag.current = { from: pointOf(event), pans, at: { x: event.clientX, y: event.clientY } };
  };
  const move = (event: PointerEvent) => {
    const point = pointOf(event);
    const { current } = drag;
    if (!current) {
      onPoint(point);
      return;
    }
    if (current.pans) {
      view.current?.scrollBy(current.at.x - event.clientX, current.at.y - event.clientY);
      drag.current = { ...current, at: { x: event.clientX, y: event.clientY } };
      return;
    }
    const far = Math.hypot(event.clientX - current.at.x, event.clientY - current.at.y) > CLICK;
    if (far || dragged) setDragged(between(current.from, point));
  };
  const end = (event: PointerEvent) => {
    const { current } = drag;
    drag.current = null;
    if (!current || current.pans) return;
    if (!dragged) {
      onClick(current.from);
      return;
    }
    setDragged(null);
    onDrag(dragged, event.shiftKey);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === ' ') holdsSpace.current = true;
    const asked = event.ctrlKey || event.metaKey ? undefined : KEYS[event.key];
    if (asked) onZoomKey(asked);
    else if (event.key !== ' ') return;
    event.preventDefault();
  };
  return (
    <Box
      ref={view}
      tabIndex={0}
      role="group"
      aria-label="Mockup"
      aria-keyshortcuts="+ - 0 1 2"
      onKeyDown={onKeyDown}
      onKeyUp={(event) => {
        if (event.key === ' ') holdsSpace.current = false;
      }}
      onBlur={() => {
        holdsSpace.current = false;
      }}
      onScroll={paint}
      sx={{ flex: 1, minHeight: 0, overflow: 'auto', bgcolor: 'background.default' }}
    >
      <Box
        onPointerDown={begin}
        onPointerMove={move}
        onPointerUp={end}
        onPointerLeave={() => onPoint(null)}
        style={{
          width: screen.width * scale + 2 * MARGIN,
          height: screen.height * scale + 2 * MARGIN,
          minWidth: '100%',
          minHeight: '100%',
        }}
        sx={{ position: 'relative', cursor: 'crosshair' }}
      >
        <canvas
          ref={canvas}
          style={{
            ...size,
            position: 'sticky',
            left: 0,
            top: 0,
            zIndex: 1,
            display: 'block',
            pointerEvents: 'none',
          }}
        />
        <Box
          ref={stage}
          style={{ left: MARGIN, top: MARGIN, width: screen.width * scale, height: screen.height * scale }}
          sx={{ position: 'absolute', bgcolor: '#fff', boxShadow: '0 0 0 1px rgb(0 0 0 / 18%)' }}
        >
          {children}
        </Box>
      </Box>
    </Box>
  );
}

function centre({ x, y, width, height }: Rectangle): Point {
  return { x: x + width / 2, y: y + height / 2 };
}

function between(one: Point, other: Point): Rectangle {
  return {
    x: Math.min(one.x, other.x),
    y: Math.min(one.y, other.y),
    width: Math.abs(one.x - other.x),
    height: Math.abs(one.y - other.y),
  };
}
