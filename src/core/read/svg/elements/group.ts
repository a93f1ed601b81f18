import type { Box } from '../../../mockup/box';
import { geometryBox } from '../../../mockup/bounds';
import type { GroupLayer, Layer, LayerId } from '../../../mockup/layer';
import { IDENTITY, type Matrix } from '../../../mockup/matrix';
import { elementsIn, type XmlNode } from '../../xml/node';
import type { Here } from '../context';
import { readChildren, readElement } from '../elements';
import { base } from './base';
import { SILENT } from './unread';

export function readGroup(
  node: XmlNode,
  here: Here,
  id: LayerId,
  inner: Matrix,
  layers = readChildren(node, here),
): GroupLayer {
  const box = () => boxOfLayers(layers, here);
  return {
    kind: 'group',
    ...base(node, here, id, box, inner),
    isolated: here.computed.style.isolation === 'isolate',
    instanceOf: null,
    layers,
  };
}

function boxOfLayers(layers: readonly Layer[], here: Here): Box | null {
  const faces = Object.fromEntries(here.context.faces);
  const group = { kind: 'group', transform: IDENTITY, layers } as unknown as GroupLayer;
  return geometryBox(group, IDENTITY, faces);
}

/** SVG 2, §5.9: the first child whose conditions hold; ours are those of an English reader without extensions. */
export function readSwitch(node: XmlNode, here: Here, id: LayerId): GroupLayer {
  const chosen = elementsIn(node).find(({ name, attributes }) => {
    const language = attributes.systemLanguage;
    const speaks = language === undefined || /(^|[\s,])en/i.test(language);
    return (
      speaks && attributes.requiredExtensions === undefined && !SILENT.has(name) && name !== 'foreignObject'
    );
  });
  const layer = chosen ? readElement(chosen, here) : null;
  return readGroup(node, here, id, IDENTITY, layer ? [layer] : []);
}
