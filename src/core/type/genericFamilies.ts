/** Families that browsers resolve by themselves: generic ones (CSS Fonts 4, §2.1.3), and older names for `system-ui`. */
const GENERIC =
  /^(?:(?:sans-)?serif|monospace|cursive|fantasy|system-ui|ui-[\w-]+|-apple-system|blinkmacsystemfont)$/i;

/** True for a name that stands for a font of the reader's system. */
export function isGenericFamily(family: string): boolean {
  return GENERIC.test(family);
}
