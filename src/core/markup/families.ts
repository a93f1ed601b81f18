/** A family's name as CSS and SVG write it in a list: quoted unless it is a plain identifier. */
export function quoteFamily(family: string): string {
  return /^-?[a-zA-Z][\w-]*$/.test(family) ? family : `"${family.replace(/["\\]/g, '')}"`;
}
