import { group, indent, join, line, softline, ifBreak, hardline, type Doc } from './printing';

/** A string literal, in the quotes that need fewer escapes (ECMA-262, §12.9.4). */
export function stringLiteral(text: string): string {
  const isSingle = text.split('"').length > text.split("'").length;
  const escaped = JSON.stringify(text).replace(
    /[\u2028\u2029]/g,
    (sign) => `\\u${sign.charCodeAt(0).toString(16)}`,
  );
  return isSingle ? `'${escaped.slice(1, -1).replaceAll('\\"', '"').replaceAll("'", "\\'")}'` : escaped;
}

/** A key of an object: quoted unless it is a plain identifier. */
function objectKey(key: string): string {
  return /^[A-Za-z_$][\w$]*$/.test(key) ? key : stringLiteral(key);
}

/** The keys up to this length have their value on their own line however long it is, as formatters print it. */
const SHORT_KEY = 4;

/** An object on one line, or with a line for each key where it has no room. */
export function objectLiteral(entries: readonly (readonly [key: string, value: Doc])[]): Doc {
  if (entries.length === 0) return '{}';
  const printed = entries.map(([key, value]): Doc => {
    const shown = objectKey(key);
    const isString = typeof value === 'string' && /^["']/.test(value);
    return isString && shown.length > SHORT_KEY
      ? group([`${shown}:`, indent([line, value])])
      : [`${shown}: `, value];
  });
  return group(['{', indent([line, join([',', line], printed)]), ifBreak(','), line, '}']);
}

/** A list; one of several objects has a line for each. */
export function arrayLiteral(entries: readonly Doc[], areObjects: boolean): Doc {
  if (entries.length === 0) return '[]';
  const isOpen = areObjects && entries.length > 1;
  const between = isOpen ? hardline : line;
  return group([
    '[',
    indent([isOpen ? hardline : softline, join([',', between], [...entries])]),
    ifBreak(','),
    isOpen ? hardline : softline,
    ']',
  ]);
}
