import type { Layer, LayerId } from '../../../mockup/layer';
import { translation } from '../../../mockup/matrix';
import { LIMITS } from '../../limits';
import type { XmlNode } from '../../xml/node';
import { computeStyle } from '../computed';
import { hrefOf, localId, type Here } from '../context';
import { readIdName, readName } from '../names';
import { geometry } from '../outlines';
import { readElement } from '../elements';
import { readGroup } from './group';
import { readViewport } from './viewport';

export function readUse(node: XmlNode, here: Here, id: LayerId): Layer | null {
  const { context } = here;
  const reference = localId(hrefOf(node));
  const target = reference === null ? undefined : context.byId.get(reference);
  if (reference === null || !target) {
    const href = hrefOf(node) ?? '';
    if (reference === null && href)
      context.report('outside-reference', id, { what: '<use>', target: href.slice(0, 80) });
    else context.report('reference-missing', id, { property: 'use', target: reference ?? '' });
    return null;
  }
  if (here.using.includes(reference) || isAncestor(target, node)) {
    context.report('reference-cycle', id, { target: reference });
    return null;
  }
  if (here.using.length >= LIMITS.references) {
    context.report('too-deep', id, { limit: LIMITS.references });
    return null;
  }
  const computed = { ...here.computed, scope: target };
  const inside: Here = { ...here, computed, using: [...here.using, reference] };
  const move = translation(geometry(here, 'x', 'width') ?? 0, geometry(here, 'y', 'height') ?? 0);
  const layer =
    target.name === 'symbol' || target.name === 'svg'
      ? readSymbol(target, inside, here)
      : readElement(target, inside);
  return layer && { ...readGroup(node, here, id, move, [layer]), instanceOf: reference };
}

/** SVG 2, §5.6: a symbol's viewport has the size that the `use` gives, else its own, else all there is. */
function readSymbol(target: XmlNode, inside: Here, use: Here): Layer | null {
  const computed = computeStyle(target, inside.computed, inside.context.cascade);
  const here = { ...inside, computed };
  const size = (property: 'width' | 'height') =>
    geometry(use, property, property) ?? geometry(here, property, property) ?? use.viewport[property];
  const id = inside.context.ids.next(inside.parent, readName(target), 'symbol', readIdName(target));
  return readViewport(target, { ...here, parent: id }, id, {
    x: 0,
    y: 0,
    width: size('width'),
    height: size('height'),
  });
}

function isAncestor(candidate: XmlNode, node: XmlNode): boolean {
  for (let next: XmlNode | null = node; next; next = next.parent) if (next === candidate) return true;
  return false;
}
