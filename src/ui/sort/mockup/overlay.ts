import type { Box } from '../../../core/mockup/box';

/** Px of the window for one px of the screen, and the position of the screen's corner in the view. */
export interface Viewport {
  readonly scale: number;
  readonly left: number;
  readonly top: number;
}

/** The marks over the picture. Boxes are px of the screen. */
export interface Marks {
  readonly found: readonly Box[];
  readonly chosen: readonly Box[];
  readonly pointed: Box | null;
  /** The area of the current drag. */
  readonly dragged: Box | null;
  readonly screen: { readonly width: number; readonly height: number };
}

const INK = '#22201c';
const PAPER = 'rgb(255 250 242 / 85%)';
const SPOT = '#a63a1e';
/** The scale from which single px are visible. */
const GRID_FROM = 8;

/** Draws the marks on a canvas; a few thousand take a few milliseconds. */
export function paintMarks(canvas: HTMLCanvasElement, sight: Viewport, marks: Marks): void {
  const context = canvas.getContext('2d');
  if (!context) return;
  const density = window.devicePixelRatio;
  const { clientWidth: width, clientHeight: height } = canvas;
  if (canvas.width !== width * density || canvas.height !== height * density) {
    canvas.width = width * density;
    canvas.height = height * density;
  }
  context.setTransform(density, 0, 0, density, 0, 0);
  context.clearRect(0, 0, width, height);
  const place = (box: Box): Box => ({
    x: sight.left + box.x * sight.scale,
    y: sight.top + box.y * sight.scale,
    width: box.width * sight.scale,
    height: box.height * sight.scale,
  });
  const isSeen = ({ x, y, width: w, height: h }: Box) => x < width && y < height && x + w > 0 && y + h > 0;
  const frame = (box: Box, colour: string, line: number, dash: readonly number[] = []) => {
    context.lineWidth = line;
    context.strokeStyle = colour;
    context.setLineDash([...dash]);
    context.strokeRect(box.x, box.y, box.width, box.height);
  };
  if (sight.scale >= GRID_FROM)
    paintGrid(context, sight, place({ x: 0, y: 0, ...marks.screen }), width, height);
  // Dotted, so that results differ from the selection without colour.
  for (const box of marks.found.map(place).filter(isSeen)) {
    frame(box, PAPER, 4);
    frame(box, INK, 2, [2, 2]);
  }
  for (const box of marks.chosen.map(place).filter(isSeen)) {
    frame(box, PAPER, 5);
    frame(box, SPOT, 2.5);
  }
  for (const box of [marks.pointed, marks.dragged].flatMap((one) => (one ? [place(one)] : []))) {
    context.fillStyle = 'rgb(34 32 28 / 15%)';
    context.fillRect(box.x, box.y, box.width, box.height);
    frame(box, PAPER, 3);
    frame(box, INK, 1);
  }
}

function paintGrid(
  context: CanvasRenderingContext2D,
  { scale, left, top }: Viewport,
  screen: Box,
  width: number,
  height: number,
): void {
  context.beginPath();
  const [x0, x1] = [Math.max(0, screen.x), Math.min(width, screen.x + screen.width)];
  const [y0, y1] = [Math.max(0, screen.y), Math.min(height, screen.y + screen.height)];
  for (let x = left + Math.ceil((x0 - left) / scale) * scale; x <= x1; x += scale) {
    context.moveTo(Math.round(x) + 0.5, y0);
    context.lineTo(Math.round(x) + 0.5, y1);
  }
  for (let y = top + Math.ceil((y0 - top) / scale) * scale; y <= y1; y += scale) {
    context.moveTo(x0, Math.round(y) + 0.5);
    context.lineTo(x1, Math.round(y) + 0.5);
  }
  context.setLineDash([]);
  context.lineWidth = 1;
  context.strokeStyle = 'rgb(34 32 28 / 14%)';
  context.stroke();
}
