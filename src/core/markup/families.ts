/** Words of CSS that name no family (CSS Values 4, §3.1.1, and CSS Fonts 4, §2.1). */
const KEYWORDS = /^(?:inherit|initial|unset|revert|revert-layer|default)$/i;

/** A family's name as CSS and SVG write it in a list: quoted unless it is a plain identifier. */
export function quoteFamily(family: string): string {
  return /^-?[a-zA-Z][\w-]*$/.test(family) && !KEYWORDS.test(family) ? family : cssString(family);
}

/** A text as a CSS string (CSSOM, §2.1 "serialize a string"): no character of it ends the string. */
function cssString(text: string): string {
  const escaped = text
    .replaceAll('\0', '\ufffd')
    .replace(/["\\]/g, '\\$&')
    // eslint-disable-next-line no-control-regex
    .replace(/[\u0001-\u001f\u007f\u2028\u2029]/g, (sign) => `\\${sign.codePointAt(0)!.toString(16)} `);
  return `"${escaped}"`;
}
