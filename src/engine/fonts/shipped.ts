import path from 'node:path';
import type { FontSupport } from '../../core/emit/target';

export interface ShippedFace {
  readonly family: string;
  readonly weight: number;
  readonly italic: boolean;
  /** The WOFF2 file's name, also its name in a page's `fonts/` folder. */
  readonly file: string;
}

/** The families shipped with Orden, from `@fontsource` (SIL Open Font Licence 1.1). */
const FAMILIES = [
  { family: 'Commissioner', slug: 'commissioner', weights: [300, 400, 500, 600, 700, 800], italics: false },
  { family: 'Red Hat Mono', slug: 'red-hat-mono', weights: [400, 500, 600, 700], italics: true },
  { family: 'Aleo', slug: 'aleo', weights: [300, 400, 500, 600, 700], italics: true },
] as const;

export const SHIPPED: readonly ShippedFace[] = FAMILIES.flatMap(({ family, slug, weights, italics }) =>
  weights.flatMap((weight) =>
    (italics ? [false, true] : [false]).map((italic) => ({
      family,
      weight,
      italic,
      file: `${slug}-latin-${weight}-${italic ? 'italic' : 'normal'}.woff2`,
    })),
  ),
);

/** Where a shipped file lies on disk. */
export function shippedPath(file: string): string {
  return pathInPackage(slugOf(file), 'files', file);
}

/** Where the licence of a shipped file lies on disk. */
export function shippedLicence(file: string): string {
  return pathInPackage(slugOf(file), 'LICENSE');
}

/** The file of a shipped font's licence in the folder of licences. */
export function licencePath(file: string, { licences }: Pick<FontSupport, 'licences'>): string {
  return `${licences}/${slugOf(file)}-licence.txt`;
}

function slugOf(file: string): string {
  const family = FAMILIES.find(({ slug }) => file.startsWith(`${slug}-`));
  if (!family || file !== path.basename(file)) throw new Error(`No shipped font is named ${file}.`);
  return family.slug;
}

function pathInPackage(slug: string, ...parts: readonly string[]): string {
  // The server runs in Orden's own folder; the command passes it in a variable.
  const home = process.env.ORDEN_HOME ?? process.cwd();
  return path.join(/* turbopackIgnore: true */ home, 'node_modules', '@fontsource', slug, ...parts);
}
