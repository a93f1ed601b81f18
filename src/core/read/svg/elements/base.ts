import { isBlendMode, type BlendMode, type LayerId } from '../../../mockup/layer';
import { IDENTITY, multiply, translation, type Matrix } from '../../../mockup/matrix';
import type { XmlNode } from '../../xml/node';
import { readCutting } from '../clips';
import type { Here } from '../context';
import { readEffects } from '../filters';
import { parseLength, parseShare } from '../lengths';
import { readHints, readName } from '../names';
import type { BoxOfShape } from '../paints';
import { parseTransform } from '../transforms';

export function base(node: XmlNode, here: Here, id: LayerId, box: BoxOfShape, inner: Matrix = IDENTITY) {
  const { style } = here.computed;
  const own = readTransform(here, box);
  const { clip, mask } = readCutting(here, box);
  return {
    ...here.context.ids.identityOf(id),
    sourceName: readName(node),
    transform: multiply(own, inner),
    visible: style.display !== 'none',
    opacity: parseShare(style.opacity),
    blend: readBlend(here),
    clip,
    mask,
    ...readEffects(here),
    hints: readHints(node),
  };
}

function readBlend({ context, computed, parent }: Here): BlendMode {
  const value = computed.style['mix-blend-mode'];
  if (isBlendMode(value)) return value;
  context.report('value-ignored', parent, { property: 'mix-blend-mode', value });
  return 'normal';
}

function readTransform(here: Here, box: BoxOfShape): Matrix {
  const value = here.computed.style.transform;
  const matrix = parseTransform(value);
  if (!matrix) {
    here.context.report('value-ignored', here.parent, { property: 'transform', value });
    return IDENTITY;
  }
  const origin = here.computed.declared.get('transform-origin');
  if (origin === undefined || matrix === IDENTITY) return matrix;
  const bounds = box() ?? { x: 0, y: 0, ...here.viewport };
  const [x = '0', y = '0'] = origin
    .replace(/left|top/g, '0%')
    .replace(/center/g, '50%')
    .replace(/right|bottom/g, '100%')
    .split(/\s+/);
  // `transform-box` is view-box by default, so percentages refer to the viewport (CSS Transforms 1, §7).
  const at = (text: string, percentOf: number) =>
    parseLength(text, { fontSize: here.computed.fontSize, percentOf }) ?? 0;
  const byBox = here.computed.style['transform-box'] === 'fill-box';
  const [ox, oy] = byBox
    ? [bounds.x + at(x, bounds.width), bounds.y + at(y, bounds.height)]
    : [at(x, here.viewport.width), at(y, here.viewport.height)];
  return multiply(multiply(translation(ox, oy), matrix), translation(-ox, -oy));
}
