import type { ConvertOptions } from '../../core/convert';
import type { LayerId } from '../../core/mockup/layer';
import type { Assets, Mockup } from '../../core/mockup/mockup';
import type { Tag } from '../../core/sort/tag';
import { createFontBook } from '../../engine/fonts/fontBook';
import { givenFonts } from '../../engine/fonts/givenFonts';
import { produce, type OutputFile } from '../../engine/produce';
import { drawScreens } from '../../engine/screens/drawScreens';
import type { ScreenFormat } from '../../engine/screens/screenFiles';

export interface ScreensJob {
  /** The `Mockup` as JSON. */
  readonly tree: string;
  readonly assets: Assets;
  readonly tags: readonly (readonly [LayerId, Tag])[];
  readonly options: ConvertOptions;
  readonly formats: readonly ScreenFormat[];
  /** The ids of the screens that are written; null for the whole sheet as it was read. */
  readonly screens: readonly LayerId[] | null;
}

export interface ScreensOutput {
  readonly files: readonly OutputFile[];
}

/** Whole screens as pictures and PDFs. */
export async function screensJob({
  tree,
  assets,
  tags,
  options,
  formats,
  screens: asked,
}: ScreensJob): Promise<ScreensOutput> {
  const read = JSON.parse(tree) as Mockup;
  const { book } = createFontBook().withFonts(givenFonts(read, assets));
  const { conversion, files } = await produce({
    mockup: read,
    assets,
    tags: new Map(tags),
    options,
    book,
    readFindings: [],
    only: new Set(),
  });
  const { mockup } = asked === null ? { mockup: read } : conversion;
  const screens = mockup.screens.filter(({ id }) => asked === null || asked.includes(id));
  return { files: await drawScreens({ mockup, assets, screens, built: files, formats }) };
}
