import type { Layer } from '../mockup/layer';
import { splitName } from '../mockup/layerName';

/** A name for files and classes: lower case ASCII letters, digits and hyphens, beginning with a letter. */
export function safeName(text: string): string {
  const ascii = text
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .replace(/ß/g, 'ss')
    .replace(/æ/gi, 'ae')
    .replace(/ø/gi, 'o')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 48)
    .replace(/-+$/, '');
  return /^[0-9]/.test(ascii) ? `n-${ascii}` : ascii;
}

/** The name that Orden proposes for a layer, and whether the mockup gave it. */
export function proposeName(layer: Layer): { readonly name: string; readonly named: boolean } {
  const own = layer.sourceName === null ? '' : safeName(splitName(layer.sourceName).bare);
  return own ? { name: own, named: true } : { name: automaticName(layer), named: false };
}

function automaticName(layer: Layer): string {
  switch (layer.kind) {
    case 'text': {
      const words = layer.lines.flatMap((line) => line.runs.map((run) => run.text)).join(' ');
      return safeName(words.split(/\s+/).slice(0, 3).join(' ')) || 'text';
    }
    case 'shape':
      return { rect: 'box', ellipse: 'disc', line: 'rule', path: 'shape' }[layer.outline.kind];
    case 'bitmap':
      return 'photo';
    case 'group':
      return layer.layers.length === 1 && layer.layers[0] ? proposeName(layer.layers[0]).name : 'group';
  }
}
