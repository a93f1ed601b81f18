import type { Box } from '../../../core/mockup/box';
import { ZOOM_STEP } from '../../shared/zoomSteps';

/** The scale of the mockup: whole, or px of the window for one px of the screen. */
export type Zoom = 'whole' | number;

/** The commands of the mockup's view. */
export type ZoomCommand = 'whole' | 'actual' | 'chosen' | 'closer' | 'farther';

interface Size {
  readonly width: number;
  readonly height: number;
}

const SMALLEST = 1 / 16;
const LARGEST = 32;
/** Px of the window around the screen. */
export const MARGIN = 14;

export function clampScale(scale: number): number {
  return Math.min(LARGEST, Math.max(SMALLEST, scale));
}

/** The scale that shows the whole screen; for one longer than two views, its whole width. */
export function wholeScale(screen: Size, view: Size): number {
  const across = (view.width - 2 * MARGIN) / screen.width;
  const down = (view.height - 2 * MARGIN) / screen.height;
  return clampScale(Math.min(across, Math.max(down, across / 2)));
}

/** The scale that shows a box with a margin. */
export function boxScale(box: Box, view: Size): number {
  const room = 0.8;
  const across = (view.width * room) / Math.max(1, box.width);
  const down = (view.height * room) / Math.max(1, box.height);
  return clampScale(Math.min(across, down, 8));
}

/** The next step of the scale. */
export function steppedScale(scale: number, by: 1 | -1): number {
  const steps = Math.log(scale) / Math.log(ZOOM_STEP) + by;
  return clampScale(ZOOM_STEP ** (by > 0 ? Math.floor(steps + 1e-6) : Math.ceil(steps - 1e-6)));
}
