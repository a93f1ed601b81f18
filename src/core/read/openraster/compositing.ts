import type { BakedOperator } from '../reading';
import type { BlendMode } from '../../mockup/layer';

/** The `composite-op` values of OpenRaster 0.0.5 that CSS has, with their names there (Compositing 1 and 2). */
const BLENDS: Readonly<Record<string, BlendMode>> = {
  'svg:src-over': 'normal',
  'svg:multiply': 'multiply',
  'svg:screen': 'screen',
  'svg:overlay': 'overlay',
  'svg:darken': 'darken',
  'svg:lighten': 'lighten',
  'svg:color-dodge': 'color-dodge',
  'svg:color-burn': 'color-burn',
  'svg:hard-light': 'hard-light',
  'svg:soft-light': 'soft-light',
  'svg:difference': 'difference',
  'svg:color': 'color',
  'svg:luminosity': 'luminosity',
  'svg:hue': 'hue',
  'svg:saturation': 'saturation',
  'svg:plus': 'plus-lighter',
};

/** The CSS blend mode of a `composite-op`; null when CSS has none. */
export function blendOf(operator: string | undefined): BlendMode | null {
  return BLENDS[operator ?? 'svg:src-over'] ?? null;
}

/** The `composite-op` values of OpenRaster 0.0.5 that compose by coverage, which CSS does not. */
const BAKED: Readonly<Record<string, BakedOperator>> = {
  'svg:dst-in': 'dst-in',
  'svg:dst-out': 'dst-out',
  'svg:src-atop': 'src-atop',
  'svg:dst-atop': 'dst-atop',
};

/** The operator of a `composite-op` that has to be drawn before CSS can show it; null for all others. */
export function bakedOperator(operator: string | undefined): BakedOperator | null {
  return BAKED[operator ?? ''] ?? null;
}
