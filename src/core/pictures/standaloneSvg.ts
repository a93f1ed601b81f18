import type { Box } from '../mockup/box';
import type { Layer } from '../mockup/layer';
import { IDENTITY, multiply, translation, type Matrix } from '../mockup/matrix';
import type { Screen } from '../mockup/mockup';
import { element } from '../markup/element';
import { formatNumber } from '../markup/numbers';
import { printXml } from '../markup/printXml';
import type { StandaloneOptions } from './standaloneOptions';
import { SvgWriter } from './svgWriter';
import { settle } from './settle';

/** One layer with the transform from its parent's coordinates to the screen's. */
export interface PlacedLayer {
  readonly layer: Layer;
  readonly matrix: Matrix;
}

/** The layer without the parts that the matrix includes, shown even if it is hidden. */
export function bare(layer: Layer): Layer {
  return { ...layer, visible: true, transform: IDENTITY };
}

/** The layer as a picture holds it: opacity and blending stay properties of the page. */
export function asPicture(layer: Layer): Layer {
  return { ...bare(layer), opacity: 1, blend: 'normal' };
}

/** A self-contained SVG document of a whole screen. */
export function screenSvg({ root, width, height }: Screen, options: StandaloneOptions): string {
  return standaloneSvg([{ layer: root, matrix: IDENTITY }], { x: 0, y: 0, width, height }, options);
}

/**
 * A self-contained SVG document of the layers inside `box` (px of the screen). Gradients, clips and effects
 * are written anew; masks, patterns and other filters as they were drawn.
 */
export function standaloneSvg(layers: readonly PlacedLayer[], box: Box, options: StandaloneOptions): string {
  const writer = new SvgWriter(options);
  const move = translation(-box.x, -box.y);
  const content = layers.map(({ layer, matrix }) => {
    return writer.layer(settle(layer, multiply(move, matrix)));
  });
  const definitions = writer.definitions();
  const [width, height] = [formatNumber(box.width, 5), formatNumber(box.height, 5)];
  const attributes = {
    xmlns: 'http://www.w3.org/2000/svg',
    width,
    height,
    viewBox: `0 0 ${width} ${height}`,
  };
  return printXml(
    element(
      'svg',
      attributes,
      definitions.length > 0 ? [element('defs', {}, definitions), ...content] : content,
    ),
  );
}
