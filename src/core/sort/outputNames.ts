import anyAscii from 'any-ascii';
import { layerTitle } from '../look/layerTitle';
import type { Layer } from '../mockup/layer';
import { memoizeText, memoizeByObject } from '../mockup/memoize';

/** A name for files and classes, from any script: lower case ASCII letters, digits and hyphens, beginning with a letter. */
export const safeName = memoizeText(writeSafely);

function writeSafely(text: string): string {
  // Diacritics are dropped; letters of other scripts are transliterated.
  const ascii = anyAscii(text.normalize('NFKD').replace(/\p{M}/gu, ''))
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 48)
    .replace(/-+$/, '');
  return /^[0-9]/.test(ascii) ? `n-${ascii}` : ascii;
}

/** Names of devices, which no file may have on some systems (common practice, no source). */
const RESERVED = /^(?:con|prn|aux|nul|com\d|lpt\d)$/;

/** The name of a file: a safe name, with a word more where systems keep the name for a device. */
export function fileName(name: string, kind: string): string {
  return RESERVED.test(name) ? `${name}-${kind}` : name;
}

/** Words that no resource may be called, since its name becomes a field of Java (Java Language Specification, §3.9). */
const RESERVED_WORDS = new Set(
  `abstract assert boolean break byte case catch char class const continue default do double else enum extends final
  finally float for goto if implements import instanceof int interface long native new package private protected public
  return short static strictfp super switch synchronized this throw throws transient try void volatile while true false
  null`.split(/\s+/),
);

/** The name of a resource: lower case letters, digits and underscores, beginning with a letter (Android, App resources). */
export function resourceName(name: string): string {
  const plain = safeName(name).replaceAll('-', '_') || 'part';
  return RESERVED_WORDS.has(plain) ? `${plain}_part` : plain;
}

/** A safe name with folders: the parts between slashes are safe names. */
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

const nameWithFolders = memoizeByObject((layer: Layer) => named(layer, safePath));
const bareName = memoizeByObject((layer: Layer) => named(layer, safeName));

function named(layer: Layer, safe: (text: string) => string): ProposedName {
  const { text, own } = layerTitle(layer);
  // A name may end like a file.
  const name = own ? safe(text.replace(/\.(?:svg|png|jpe?g|webp|gif|avif|pdf)$/i, '')) : '';
  if (name) return { name, named: true };
  const words = text.split(/\s+/).slice(0, 3).join(' ');
  return { name: safeName(words) || layer.kind, named: false };
}
