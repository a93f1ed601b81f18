import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { convert, type ConvertInput } from '../../core/convert';
import { createFontBook } from '../../engine/fonts/fontBook';
import { givenFonts } from '../../engine/fonts/givenFonts';
import { outlinerOf, type OutputFile } from '../../engine/produce';
import { launchChromium } from '../../engine/proof/chromium';
import { proofSheet, pullProof } from '../../engine/proof/proof';
import { writeFiles } from '../../engine/writeFiles';
import type { ProofScreen } from '../proofTypes';

export interface ProofJob extends Omit<ConvertInput, 'outliner'> {
  /** The mockup's original file. */
  readonly source: Uint8Array;
  /** The files of the build. */
  readonly files: readonly OutputFile[];
}

export interface ProofOutput {
  readonly screens: readonly ProofScreen[];
  readonly pictures: readonly OutputFile[];
}

/** Compares the pages of a build with the mockup in Chromium. */
export async function prove({
  mockup,
  assets,
  tags,
  options,
  source,
  files,
}: ProofJob): Promise<ProofOutput> {
  const browser = await launchChromium();
  const folder = await mkdtemp(path.join(tmpdir(), 'orden-proof-'));
  try {
    await writeFiles(folder, files);
    const { book } = createFontBook().withFonts(givenFonts(mockup, assets));
    const conversion = convert({ mockup, assets, tags, options, outliner: outlinerOf(book) });
    const sheet = proofSheet(source, { mockup, assets, book });
    const proofs = await pullProof({ browser, conversion, folder, sheet });
    const pictures: OutputFile[] = [];
    const screens = proofs.map(({ pictures: pulled, worst, ...proof }, at): ProofScreen => {
      const nameOf = (what: keyof typeof pulled) => `${at}/${what}.png`;
      for (const what of ['mockup', 'page', 'difference'] as const)
        pictures.push({ path: nameOf(what), bytes: pulled[what] });
      const key = conversion.mockup.screens[at]?.key ?? '';
      const boxOf = (layer: string) => conversion.measures.get(key)?.get(layer)?.painted ?? null;
      return {
        ...proof,
        worst: worst.map((each) => ({ ...each, box: boxOf(each.layer) })),
        pictures: { mockup: nameOf('mockup'), page: nameOf('page'), difference: nameOf('difference') },
      };
    });
    return { screens, pictures };
  } finally {
    await browser.close();
    await rm(folder, { recursive: true, force: true });
  }
}
