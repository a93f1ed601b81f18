import { safeName } from '../../sort/outputNames';

/** Words that are no names of variables in a module (ECMA-262, §12.7.2), and names that a module already uses. */
const RESERVED = new Set(
  `arguments await break case catch class const continue debugger default delete do else enum eval export extends
  false finally for function if implements import in instanceof interface let new null package private protected
  public return static super switch this throw true try typeof var void while with yield undefined styles key ref
  props slots`.split(/\s+/),
);

/** The name of a component: `sailing-row` gives `SailingRow`. */
export function pascalCase(name: string): string {
  return safeName(name)
    .split('-')
    .map((word) => word.charAt(0).toUpperCase() + word.slice(1))
    .join('');
}

/** The name of a variable: `sailing-row` gives `sailingRow`. A reserved word gets a word more. */
export function camelCase(name: string): string {
  const pascal = pascalCase(name);
  const camel = pascal.charAt(0).toLowerCase() + pascal.slice(1);
  return RESERVED.has(camel) ? `${camel}Value` : camel;
}

/** The plural of an English noun, by its ending (common practice, no source). */
export function pluralOf(noun: string): string {
  if (/(?:s|x|z|ch|sh)$/.test(noun)) return `${noun}es`;
  if (/[^aeiou]y$/.test(noun)) return `${noun.slice(0, -1)}ies`;
  return `${noun}s`;
}

/** The words of a component's name: `SailingRow` gives `sailing-row`. */
export function kebabCase(name: string): string {
  return name.replace(/([a-z0-9])(?=[A-Z])/g, '$1-').toLowerCase();
}
