import type { FieldType } from './template';

/** Attributes that hold an address, files or declarations; all others hold words. */
const TYPES: Readonly<Record<string, FieldType>> = {
  href: { kind: 'address' },
  src: { kind: 'file' },
  srcset: { kind: 'files' },
  style: { kind: 'style' },
};

/** The type of what an attribute says. */
export function typeOfAttribute(name: string): FieldType {
  return TYPES[name] ?? { kind: 'text' };
}
