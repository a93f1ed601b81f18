import type { ConvertOptions } from '../../core/convert';
import type { LayerId } from '../../core/mockup/layer';
import type { Assets, Mockup } from '../../core/mockup/mockup';
import type { Tag } from '../../core/sort/tag';
import { createFontBook } from '../../engine/fonts/fontBook';
import { givenFonts } from '../../engine/fonts/givenFonts';
import { produce, type OutputFile } from '../../engine/produce';
import { launchChromium } from '../../engine/proof/chromium';
import { withProofFolder } from '../../engine/proof/proofFolder';
import { fontsIn } from '../../engine/proof/sameFonts';
import { screenFiles, type ScreenFormat } from '../../engine/screens/screenFiles';
import { writeFiles } from '../../engine/writeFiles';

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
  const browser = await launchChromium();
  try {
    return await withProofFolder(async (folder) => {
      await writeFiles(folder, files);
      const fonts = await fontsIn(folder);
      return { files: await screenFiles({ browser, mockup, assets, screens, fonts, formats }) };
    });
  } finally {
    await browser.close();
  }
}
