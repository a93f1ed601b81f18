import type { GroupLayer, Layer, TextLayer } from '../mockup/layer';
import { splitName } from '../mockup/layerName';
import { walk } from '../mockup/walk';
import { formName } from './formName';

/** A layer's title, and whether the mockup gave it that name. */
export interface LayerTitle {
  readonly text: string;
  readonly own: boolean;
}

/** The layer's own name without its brackets, else a readable name from its words or its kind. */
export function layerTitle(layer: Layer): LayerTitle {
  const own = splitName(layer.sourceName ?? '').bare;
  if (own) return { text: own, own: true };
  // A wrapper has the name of what it wraps.
  const [only, ...more] = layer.kind === 'group' ? layer.layers : [];
  return only && more.length === 0 ? layerTitle(only) : { text: automaticTitle(layer), own: false };
}

/** The text's letters, with a space between lines. */
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

/** A group takes the words of its only text; a group of shapes is a drawing. */
function groupTitle(group: GroupLayer): string {
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
