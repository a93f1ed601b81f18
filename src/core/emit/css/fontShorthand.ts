import type { Declaration } from '../../markup/printCss';

/** What stands before the size in the shorthand, in any order (CSS Fonts 4, §2.10). */
const BEFORE_SIZE: readonly string[] = ['font-style', 'font-variant', 'font-weight'];
const PARTS: ReadonlySet<string> = new Set([...BEFORE_SIZE, 'font-size', 'line-height', 'font-family']);

/**
 * Declarations with the parts of a font as its shorthand, where all that it needs are said (CSS Fonts 4, §2.10). The
 * shorthand resets the parts that are not said.
 */
export function withFontShorthand(declarations: readonly Declaration[]): readonly Declaration[] {
  const said = new Map(declarations);
  const [family, size, height] = ['font-family', 'font-size', 'line-height'].map((part) => said.get(part));
  if (!family || !size || !height) return declarations;
  const before = BEFORE_SIZE.flatMap((part) => said.get(part) ?? []).filter(isUnusual);
  const font = [...before, `${size}/${height}`, family].join(' ');
  const at = declarations.findIndex(([property]) => PARTS.has(property));
  return declarations.filter(([property]) => !PARTS.has(property)).toSpliced(at, 0, ['font', font]);
}

/** False for what the shorthand resets anyway. */
function isUnusual(value: string): boolean {
  return value !== 'normal' && value !== '400';
}
