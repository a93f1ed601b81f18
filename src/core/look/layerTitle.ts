import type { GroupLayer, Layer, TextLayer } from '../mockup/layer';
import { splitName } from '../mockup/layerName';
import { walk } from '../mockup/walk';
import { formName } from './formName';

/** What a layer is called, and whether the mockup gave it that name. */
export interface LayerTitle {
  readonly text: string;
  readonly own: boolean;
}

/** The layer's own name without its brackets, else a readable one from what it says or is. */
export function layerTitle(layer: Layer): LayerTitle {
  const own = splitName(layer.sourceName ?? '').bare;
  return own ? { text: own, own: true } : { text: automaticTitle(layer), own: false };
}

/** The text's letters, a space between its lines. */
export function wordsOf(layer: TextLayer): string {
  return layer.lines
    .map((line) => line.runs.map((run) => run.text).join(''))
    .join(' ')
    .replace(/\s+/g, ' ')
    .trim();
}

function automaticTitle(layer: Layer): string {
  switch (layer.kind) {
    case 'text':
      return wordsOf(layer) || 'text';
    case 'shape':
      return formName(layer);
    case 'bitmap':
      return 'photo';
    case 'group':
      return groupTitle(layer);
  }
}

/** A group says what its only text says; one of shapes alone is a drawing; of one layer, it is called as that is. */
function groupTitle(group: GroupLayer): string {
  const [only] = group.layers;
  if (group.layers.length === 1 && only) return layerTitle(only).text;
  const texts: TextLayer[] = [];
  let others = 0;
  for (const layer of walk(group)) {
    if (layer.kind === 'text') texts.push(layer);
    else if (layer.kind === 'bitmap') others += 1;
    if (texts.length > 1) break;
  }
  const [text] = texts;
  if (texts.length === 1 && text) return wordsOf(text) || 'group';
  return texts.length === 0 && others === 0 && group.layers.length > 1 ? 'drawing' : 'group';
}
