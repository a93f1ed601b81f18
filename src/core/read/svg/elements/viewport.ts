import type { Box } from '../../../mockup/box';
import type { Layer, LayerId } from '../../../mockup/layer';
import { meanScale, type Matrix } from '../../../mockup/matrix';
import { NO_RADII } from '../../../mockup/outline';
import type { XmlNode } from '../../xml/node';
import type { Here } from '../context';
import { geometry } from '../outlines';
import { fitViewBox, parseViewBox } from '../viewports';
import { readChildren } from '../elements';
import { readGroup } from './group';

export function readNestedSvg(node: XmlNode, here: Here, id: LayerId): Layer | null {
  const viewport = {
    x: geometry(here, 'x', 'width') ?? 0,
    y: geometry(here, 'y', 'height') ?? 0,
    width: geometry(here, 'width', 'width') ?? here.viewport.width,
    height: geometry(here, 'height', 'height') ?? here.viewport.height,
  };
  return readViewport(node, here, id, viewport);
}

/** A viewport of its own: fitted by its viewBox, and cut unless it says that it may spill. */
export function readViewport(node: XmlNode, here: Here, id: LayerId, viewport: Box): Layer | null {
  if (viewport.width <= 0 || viewport.height <= 0) return null;
  const viewBox = parseViewBox(node.attributes.viewBox);
  const { matrix } = fitViewBox(viewBox, viewport, node.attributes.preserveAspectRatio);
  const scale = here.scale * meanScale(matrix);
  const layers = readChildren(node, { ...here, viewport: viewBox ?? viewport, scale });
  const content = readGroup(node, here, id, matrix, layers);
  if (['visible', 'auto'].includes(here.computed.declared.get('overflow') ?? 'hidden') || content.clip)
    return content;
  const scaled = viewBox ? matrixBox(matrix, viewport) : { ...viewport, x: 0, y: 0 };
  return scaled
    ? { ...content, clip: { kind: 'outline', outline: { kind: 'rect', box: scaled, radii: NO_RADII } } }
    : content;
}

/** The viewport in the coordinates of its content. */
function matrixBox([a, , , d, e, f]: Matrix, viewport: Box): Box {
  return {
    x: (viewport.x - e) / a,
    y: (viewport.y - f) / d,
    width: viewport.width / a,
    height: viewport.height / d,
  };
}
