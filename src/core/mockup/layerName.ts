/** A layer's name without its brackets, and the content of the brackets. */
export interface NameParts {
  readonly bare: string;
  readonly brackets: string | null;
}

/** Splits `Save pressed [button.primary:active]` (see `sort/names` for what the brackets say). */
export function splitName(name: string): NameParts {
  const match = /^(.*?)\s*\[([^[\]]{1,200})\]\s*$/s.exec(name);
  return match
    ? { bare: (match[1] ?? '').trim(), brackets: (match[2] ?? '').trim() }
    : { bare: name.trim(), brackets: null };
}

/** Words that drawing programs give by themselves, and that carry no meaning even without a number. */
const BARE =
  'group|gruppe|groupe|grupo|path|pfad|compound path|rect|rectangle|rounded rectangle|ellipse|oval|polygon|polyline|tspan|use|svg|layer|ebene|calque|shape|vector|node|clip path|clippath|untitled|unnamed|new layer|svgid|xmlid|pasted layer';
/** Words that carry meaning alone, and none with a number. */
const COUNTED =
  'g|circle|line|star|text|image|bitmap|object|frame|mask|clip|symbol|union|subtract|component|instance|tile';
const NUMBER = '[-_ #.]*(?:\\d+[a-z]?|copy)';
const NUMBERED = new RegExp(`^(?:(?:${BARE})?(?:${NUMBER})*|(?:${COUNTED})(?:${NUMBER})+)[-_]*$`, 'i');
const HASH = /^(?:[0-9a-f]{8,}|[0-9a-f]{8}-[0-9a-f-]{27}|_x?\d.*|\d[\d.,:x×-]*)$/i;

/**
 * False for automatic names of drawing programs: `g12`, `path-3`, `Rectangle 4 copy`, `SVGID_1_`, a bare
 * hash.
 */
export function isTelling(name: string): boolean {
  const plain = name.trim();
  return plain !== '' && !NUMBERED.test(plain) && !HASH.test(plain);
}
