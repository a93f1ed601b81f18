import type { Layer } from '../mockup/layer';
import { layerTitle, wordsOf, type LayerTitle } from './layerTitle';

/** A layer's name for people, the same everywhere: its own name, the words of a text, else its kind. */
export function layerLabel(layer: Layer): LayerTitle {
  if (layer.kind === 'text') {
    const { text, own } = layerTitle(layer);
    const words = shorten(wordsOf(layer));
    return { text: own && text !== words ? `${text} “${words}”` : words, own: true };
  }
  const { text, own } = layerTitle(layer);
  if (own || layer.kind !== 'group') return { text: own ? (layer.sourceName ?? text) : shorten(text), own };
  const count = layer.layers.length;
  return { text: text === 'group' ? `group of ${count}` : `${shorten(text)} (group of ${count})`, own };
}

function shorten(words: string): string {
  return words.length > 60 ? `${words.slice(0, 60)}…` : words;
}
