import type { Layer } from '../../core/mockup/layer';

/** What the tree calls a layer: its own name, else what it says or is. */
export function layerLabel(layer: Layer): { readonly text: string; readonly own: boolean } {
  if (layer.kind === 'text') {
    const words = layer.lines.map((line) => line.runs.map((run) => run.text).join('')).join(' ');
    return { text: words.length > 60 ? `${words.slice(0, 60)}…` : words, own: true };
  }
  if (layer.sourceName !== null) return { text: layer.sourceName, own: true };
  return { text: plainName(layer), own: false };
}

function plainName(layer: Layer): string {
  switch (layer.kind) {
    case 'group':
      return layer.layers.length === 1 ? 'group of one' : `group of ${layer.layers.length}`;
    case 'shape':
      return { rect: 'box', ellipse: 'ellipse', line: 'line', path: 'free shape' }[layer.outline.kind];
    case 'bitmap':
      return 'bitmap';
    case 'text':
      return 'text';
  }
}
