/** What is compared in a proof, for people: a screen, perhaps in a theme. */
export function proofName({ name, theme }: { readonly name: string; readonly theme?: string }): string {
  return theme === undefined ? name : `${name}, theme ${theme}`;
}
