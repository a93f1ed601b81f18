/** The words of a layer's name in lower case, whatever stands between them: `navBar_main-2` is nav, bar, main, 2. */
export function nameWords(name: string): string[] {
  return name
    .replace(/(\p{Ll})(\p{Lu})/gu, '$1 $2')
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter((word) => word !== '');
}
