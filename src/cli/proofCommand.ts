import { buildRecord } from '../core/buildRecord';
import type { Browser } from 'playwright-core';
import { safeName } from '../core/sort/outputNames';
import { launchChromium } from '../engine/proof/chromium';
import { proofSheet, pullProof, type ProofSheet, type ScreenProof } from '../engine/proof/proof';
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
  await writeBuild(folder, converted.product.files, flags.force || flags.out === undefined);
  const proofs = await pullProof({
    browser,
    record: buildRecord(converted.product.conversion),
    folder,
    sheet: sheetOf(converted),
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

function pictureFiles({ name, pictures }: ScreenProof) {
  const stem = `proof/${safeName(name) || 'screen'}`;
  return [
    { path: `${stem}.mockup.png`, bytes: pictures.mockup },
    { path: `${stem}.page.png`, bytes: pictures.page },
    { path: `${stem}.difference.png`, bytes: pictures.difference },
  ];
}

function proofText({ name, differing, index, worst }: Omit<ScreenProof, 'pictures'>): string {
  const [first] = worst;
  const most = first ? `; most of all ${first.path}, ${percent(first.differing)} of it` : '';
  return `${name}: ${percent(differing)} of the pixels differ, structural similarity ${index.toFixed(4)}${most}.`;
}

function percent(share: number): string {
  return `${(share * 100).toFixed(3)}%`;
}
