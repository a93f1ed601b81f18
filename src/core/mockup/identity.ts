import type { LayerId } from './layer';

/** The identity of a layer: an opaque id for programs, and a path of names for people. */
export interface Identity {
  readonly id: LayerId;
  /** Names from the sheet down, such as `/header/logo`; empty for the sheet itself. */
  readonly path: string;
}

const OFFSET_BASIS = 0x811c9dc5;
const PRIME = 0x01000193;

/** The identity of the sheet that holds all layers of a mockup. */
export const SHEET: Identity = { id: hash('/'), path: '' };

/**
 * The identity of a layer that a reader finds: its id follows from the parent's id and its own name, so that the same
 * file has the same ids. Nothing but this module knows that.
 */
export function childIdentity(parent: Identity, name: string): Identity {
  return { id: hash(`${parent.id}/${name}`), path: `${parent.path}/${name}` };
}

/** The identity that a reader gives to the layer at a path. */
export function identityAt(path: string): Identity {
  return path.split('/').filter(Boolean).reduce(childIdentity, SHEET);
}

/** A layer's name as a part of a path: without white space, slashes and numbering signs. */
export function pathName(name: string): string {
  return (
    name
      .trim()
      .replace(/[\s/~]+/g, '-')
      .slice(0, 60) || 'layer'
  );
}

/** The names of a path, outermost first. */
export function namesInPath(path: string): readonly string[] {
  return path.split('/').filter(Boolean);
}

/**
 * A hash of 64 bits in hexadecimal digits: FNV-1a of 32 bits (draft-eastlake-fnv), and once more from the first result.
 * The SQL function `layer_id` computes the same.
 */
function hash(text: string): string {
  const bytes = new TextEncoder().encode(text);
  const first = fnv1a(bytes, OFFSET_BASIS);
  return hex(first) + hex(fnv1a(bytes, first));
}

function fnv1a(bytes: Uint8Array, basis: number): number {
  let value = basis;
  for (const byte of bytes) value = Math.imul(value ^ byte, PRIME) >>> 0;
  return value;
}

function hex(value: number): string {
  return value.toString(16).padStart(8, '0');
}
