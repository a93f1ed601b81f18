import type { GivenFont } from '../../type/fontBook';
import type { FontFaceRule } from './cascade';
import type { Report } from '../../findings/finding';
import { readDataUri } from './dataUri';

/** The fonts inside the file's `@font-face` rules. Addresses that point outside are said, never fetched. */
export function readEmbeddedFonts(rules: readonly FontFaceRule[], report: Report): GivenFont[] {
  const fonts: GivenFont[] = [];
  for (const rule of rules) {
    const family = (rule['font-family'] ?? '').replace(/^["']|["']$/g, '');
    const addresses = [...(rule.src ?? '').matchAll(/url\(\s*(?:"([^"]*)"|'([^']*)'|([^)]*))\s*\)/g)].map(
      (match) => match[1] ?? match[2] ?? match[3] ?? '',
    );
    const embedded = addresses.map((address) => readDataUri(address)).find((data) => data !== null);
    if (!family || !embedded) {
      const target = (addresses[0] ?? '').slice(0, 80);
      if (target) report('outside-reference', null, { what: `The font ${family}`, target });
      continue;
    }
    fonts.push({
      family,
      weight:
        { normal: 400, bold: 700 }[rule['font-weight'] ?? 'normal'] ??
        (parseInt(rule['font-weight'] ?? '', 10) || 400),
      italic: /italic|oblique/.test(rule['font-style'] ?? ''),
      source: 'embedded',
      asset: `font-${fonts.length + 1}`,
      bytes: embedded.bytes,
    });
  }
  return fonts;
}
