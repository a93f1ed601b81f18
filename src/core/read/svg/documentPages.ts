import { transformBox } from '../../mockup/box';
import type { Matrix } from '../../mockup/matrix';
import type { DocumentPage } from '../../mockup/mockup';
import { LIMITS } from '../limits';
import { descendants, type XmlNode } from '../xml/node';
import { PROGRAM_LABEL } from '../xml/parseXml';

/** The most pages that are read. */
const MOST = 400;

/**
 * The pages that a drawing program notes in the file: elements called `page` of its own namespace, with a place
 * and a size in the coordinates of the drawing.
 * @param matrix from those coordinates to px of the sheet
 */
export function readDocumentPages(root: XmlNode, matrix: Matrix): readonly DocumentPage[] {
  const pages: DocumentPage[] = [];
  for (const node of descendants(root)) {
    if (!/^[^:]+:page$/.test(node.name) || pages.length === MOST) continue;
    const [x, y, width, height] = ['x', 'y', 'width', 'height'].map((side) => Number(node.attributes[side]));
    const box = transformBox(matrix, { x: x!, y: y!, width: width!, height: height! });
    const isUsable = [box.width, box.height].every((side) => side >= 1 && side <= LIMITS.screen);
    if (!isUsable || !Number.isFinite(box.x + box.y)) continue;
    const name = node.attributes[PROGRAM_LABEL] ?? node.attributes.id ?? '';
    pages.push({ name: name || `page ${pages.length + 1}`, box });
  }
  return pages;
}
