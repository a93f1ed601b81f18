import type { Box } from '../../../mockup/box';
import type { Layer, LayerId } from '../../../mockup/layer';
import type { XmlNode } from '../../xml/node';
import { takeBitmap } from '../bitmaps';
import { hrefOf, type Here } from '../context';
import { geometry } from '../outlines';
import { fitViewBox } from '../viewports';
import { base } from './base';

export function readImage(node: XmlNode, here: Here, id: LayerId): Layer | null {
  const rendering = here.computed.style['image-rendering'];
  if (!/^(auto|smooth|optimizequality)$/i.test(rendering)) {
    here.context.report('value-ignored', id, { property: 'image-rendering', value: rendering });
  }
  const bitmap = takeBitmap(hrefOf(node), id, here.context);
  if (!bitmap) return null;
  const width = geometry(here, 'width', 'width');
  const height = geometry(here, 'height', 'height');
  const ratio = bitmap.width / bitmap.height;
  const frame: Box = {
    x: geometry(here, 'x', 'width') ?? 0,
    y: geometry(here, 'y', 'height') ?? 0,
    width: width ?? (height === null ? bitmap.width : height * ratio),
    height: height ?? (width === null ? bitmap.height : width / ratio),
  };
  if (frame.width <= 0 || frame.height <= 0) return null;
  const natural = { x: 0, y: 0, width: bitmap.width, height: bitmap.height };
  const { matrix, cut } = fitViewBox(natural, frame, node.attributes.preserveAspectRatio);
  const box: Box = {
    x: matrix[4],
    y: matrix[5],
    width: bitmap.width * matrix[0],
    height: bitmap.height * matrix[3],
  };
  const seen = cut ? frame : box;
  return { kind: 'bitmap', ...base(node, here, id, () => seen), box, bitmap: bitmap.id, frame: seen };
}
