import anyAscii from 'any-ascii';
import { layerTitle } from '../look/layerTitle';
import type { Layer } from '../mockup/layer';
import { remember, rememberOf } from '../mockup/remember';

/** A name for files and classes, from any script: lower case ASCII letters, digits and hyphens, beginning with a letter. */
export const safeName = remember(writeSafely);

function writeSafely(text: string): string {
  // Marks that stand on letters are dropped; letters of other scripts are written as they sound.
  const ascii = anyAscii(text.normalize('NFKD').replace(/\p{M}/gu, ''))
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 48)
    .replace(/-+$/, '');
  return /^[0-9]/.test(ascii) ? `n-${ascii}` : ascii;
}

/** A safe name with folders: what stands between slashes is a name of its own. */
export function safePath(text: string): string {
  return text
    .split('/')
    .map(safeName)
    .filter((part) => part !== '')
    .join('/');
}

/** A name for a layer, and whether the mockup gave it. */
interface ProposedName {
  readonly name: string;
  readonly named: boolean;
}

/**
 * The name that Orden proposes for a layer.
 * @param withFolders whether slashes in it stay: pictures have folders, classes have none
 */
export function proposeName(layer: Layer, withFolders = false): ProposedName {
  return withFolders ? nameWithFolders(layer) : bareName(layer);
}

const nameWithFolders = rememberOf((layer: Layer) => named(layer, safePath));
const bareName = rememberOf((layer: Layer) => named(layer, safeName));

function named(layer: Layer, safe: (text: string) => string): ProposedName {
  const { text, own } = layerTitle(layer);
  const name = own ? safe(text) : '';
  if (name) return { name, named: true };
  const words = text.split(/\s+/).slice(0, 3).join(' ');
  return { name: safeName(words) || layer.kind, named: false };
}
