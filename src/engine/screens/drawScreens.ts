import type { Assets, Mockup, Screen } from '../../core/mockup/mockup';
import type { OutputFile } from '../produce';
import { launchChromium } from '../proof/chromium';
import { withProofFolder } from '../proof/proofFolder';
import { fontsIn } from '../proof/sameFonts';
import { writeFiles } from '../writeFiles';
import { screenFiles, type ScreenFormat } from './screenFiles';

interface DrawInput {
  readonly mockup: Mockup;
  readonly assets: Assets;
  /** The screens that are written, in order. */
  readonly screens: readonly Screen[];
  /** The files of a build of the mockup: their fonts are those of the screens. */
  readonly built: readonly OutputFile[];
  readonly formats: readonly ScreenFormat[];
}

/**
 * Whole screens as files, in a Chromium of their own.
 * @throws NoChromium when it is not installed
 */
export async function drawScreens({ built, ...input }: DrawInput): Promise<readonly OutputFile[]> {
  const browser = await launchChromium();
  try {
    return await withProofFolder(async (folder) => {
      await writeFiles(folder, built);
      return screenFiles({ ...input, browser, fonts: await fontsIn(folder) });
    });
  } finally {
    await browser.close();
  }
}
