import { buildRecord } from '../core/buildRecord';
import type { Browser } from 'playwright-core';
import { safeName } from '../core/sort/outputNames';
import { launchChromium } from '../engine/proof/chromium';
import { proofSheet, pullProof, type ProofSheet, type ScreenProof } from '../engine/proof/proof';
import { proofName } from '../core/proofName';
import { themedSheets } from '../engine/proof/themedSheets';
import { writtenThemes } from '../core/style/themes/writtenThemes';
import { withProofFolder } from '../engine/proof/proofFolder';
import { writeFiles } from '../engine/writeFiles';
import { sheetSvg } from '../engine/sheetSvg';
import { writeBuild } from './outputFolder';
import { convertFile, type ConvertedFile } from './convertFile';
import type { CommandInput, ConvertFlags } from './input';

/** `orden proof FILE`: builds the page and compares it with the mockup in Chromium. */
export async function proofCommand(input: CommandInput, flags: ConvertFlags): Promise<void> {
  // Checked before the work starts.
  const browser = await launchChromium();
  try {
    const prove = (folder: string) => proveInto(folder, browser, input, flags);
    await (flags.out === undefined ? withProofFolder(prove) : prove(flags.out));
  } finally {
    await browser.close();
  }
}

async function proveInto(
  folder: string,
  browser: Browser,
  input: CommandInput,
  flags: ConvertFlags,
): Promise<void> {
  const converted = await convertFile(input);
  const { reading, tags } = converted;
  await writeBuild(folder, converted.product.files, flags.force || flags.out === undefined);
  const proofs = await pullProof({
    browser,
    record: buildRecord(converted.product.conversion),
    folder,
    sheet: sheetOf(converted),
    themed: themedSheets(reading.mockup, reading.assets, tags, writtenThemes(input.options)),
  });
  const screens = proofs.map(({ pictures: _, ...proof }) => proof);
  if (flags.out !== undefined) {
    const bytes = new TextEncoder().encode(`${JSON.stringify({ screens }, null, 2)}\n`);
    await writeFiles(folder, [...proofs.flatMap(pictureFiles), { path: 'proof/proof.json', bytes }]);
  }
  console.log(flags.json ? JSON.stringify({ screens }) : screens.map(proofText).join('\n'));
}

/** An SVG is compared as it was given, any other file by a drawing of what was read. */
function sheetOf({ bytes, reading }: ConvertedFile): ProofSheet {
  const { width = 0, height = 0 } = reading.mockup.screens[0] ?? {};
  const isSvg = reading.mockup.format === 'svg';
  return proofSheet(isSvg ? bytes : new TextEncoder().encode(sheetSvg(reading)), { width, height });
}

function pictureFiles({ pictures, ...proof }: ScreenProof) {
  const stem = `proof/${safeName(proofName(proof)) || 'screen'}`;
  return [
    { path: `${stem}.mockup.png`, bytes: pictures.mockup },
    { path: `${stem}.page.png`, bytes: pictures.page },
    { path: `${stem}.difference.png`, bytes: pictures.difference },
  ];
}

function proofText({ differing, index, worst, ...proof }: Omit<ScreenProof, 'pictures'>): string {
  const [first] = worst;
  const most = first ? `; most of all ${first.path}, ${percent(first.differing)} of it` : '';
  return `${proofName(proof)}: ${percent(differing)} of the pixels differ, structural similarity ${index.toFixed(4)}${most}.`;
}

function percent(share: number): string {
  return `${(share * 100).toFixed(3)}%`;
}
