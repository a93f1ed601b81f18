import type { BuildRecord } from '../../core/buildRecord';
import type { Mockup } from '../../core/mockup/mockup';
import type { OutputFile } from '../../engine/produce';
import type { OnProgress } from '../../core/read/reading';
import { launchChromium } from '../../engine/proof/chromium';
import { proofSheet, pullProof, type ProofSheet, type ScreenProof } from '../../engine/proof/proof';
import { themedSheets, type ThemedSheet } from '../../engine/proof/themedSheets';
import { withProofFolder } from '../../engine/proof/proofFolder';
import { writeFiles } from '../../engine/writeFiles';
import type { BuildJob } from './buildJob';
import type { ProofScreen } from '../proofTypes';

export interface ProofJob {
  /** The `BuildRecord` as JSON. */
  readonly record: Uint8Array;
  /** The whole mockup as SVG or SVGZ, with its size in px. */
  readonly sheet: ProofSheet;
  /** What the screens are drawn from in the themes of the build; null for a build without themes. */
  readonly themed: Themed | null;
  /** The files of the build. */
  readonly files: readonly OutputFile[];
}

/** A mockup as it was built. */
export interface Themed extends Pick<BuildJob, 'tree' | 'assets' | 'tags'> {
  readonly themes: readonly string[];
}

export interface ProofOutput {
  readonly screens: readonly ProofScreen[];
  readonly pictures: readonly OutputFile[];
}

/** Compares the pages of a build with the mockup in Chromium. */
export async function prove(
  { record: text, sheet, themed, files }: ProofJob,
  onProgress: OnProgress,
): Promise<ProofOutput> {
  const record = JSON.parse(new TextDecoder().decode(text)) as BuildRecord;
  const browser = await launchChromium();
  try {
    return await withProofFolder(async (folder) => {
      await writeFiles(folder, files);
      const proofs = await pullProof({
        browser,
        record,
        folder,
        sheet: proofSheet(sheet.svg, sheet),
        themed: themed ? sheetsOf(themed) : [],
        onProgress,
      });
      return outputOf(proofs);
    });
  } finally {
    await browser.close();
  }
}

function sheetsOf({ tree, assets, tags, themes }: Themed): readonly ThemedSheet[] {
  return themedSheets(JSON.parse(tree) as Mockup, assets, tags, themes);
}

function outputOf(proofs: readonly ScreenProof[]): ProofOutput {
  const pictures: OutputFile[] = [];
  const screens = proofs.map(({ pictures: pulled, ...proof }, at): ProofScreen => {
    const nameOf = (what: keyof typeof pulled) => `${at}/${what}.png`;
    for (const what of ['mockup', 'page', 'difference'] as const)
      pictures.push({ path: nameOf(what), bytes: pulled[what] });
    return {
      ...proof,
      pictures: { mockup: nameOf('mockup'), page: nameOf('page'), difference: nameOf('difference') },
    };
  });
  return { screens, pictures };
}
