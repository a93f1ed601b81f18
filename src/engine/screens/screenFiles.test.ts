import { execFileSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { imageSize } from 'image-size';
import { inChromium } from '../../../tests/support/inChromium';
import { readText } from '../../../tests/support/mockups';
import { applyStructuralTags } from '../../core/sort/structuralTags';
import { screenFiles } from './screenFiles';

const SCREENS = `<svg xmlns="http://www.w3.org/2000/svg" width="900" height="400">
  <g id="pier" data-screen="true"><rect width="400" height="300" fill="#eef"/><text x="20" y="40" font-family="Commissioner" font-size="20">Mind the gap</text></g>
  <g id="deck" data-screen="true"><rect x="450" width="320" height="400" fill="#fee"/><text x="470" y="40" font-family="Commissioner" font-size="20">All aboard</text></g></svg>`;

describe('whole screens', () => {
  const here = inChromium();
  const filesOf = (formats: Parameters<typeof screenFiles>[0]['formats']) => {
    const { mockup: read, assets } = readText(SCREENS);
    const mockup = applyStructuralTags(read, new Map());
    return screenFiles({
      browser: here.browser,
      mockup,
      assets,
      screens: mockup.screens,
      fonts: [],
      formats,
    });
  };

  it('are one PDF with a page for each, in which another reader finds their words (pdfjs-dist)', async () => {
    const [file, ...others] = await filesOf(['pdf']);
    expect([file!.path, others]).toEqual(['screens.pdf', []]);
    const target = path.join(here.folder, 'screens.pdf');
    writeFileSync(target, file!.bytes);
    const script = `
      import { readFileSync } from 'node:fs';
      import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
      const pdf = await getDocument({ data: new Uint8Array(readFileSync(process.argv[1])), verbosity: 0 }).promise;
      const pages = [];
      for (let at = 1; at <= pdf.numPages; at++) {
        const page = await pdf.getPage(at);
        const { items } = await page.getTextContent();
        pages.push([page.view.map(Math.round), items.map(({ str }) => str).join('')]);
      }
      console.log(JSON.stringify(pages));`;
    const read = execFileSync('node', ['--input-type=module', '-e', script, target], { encoding: 'utf8' });
    // Three quarters of a point for one px; Chromium rounds pages to a few hundredths of an inch.
    expect(JSON.parse(read.trim().split('\n').at(-1)!)).toEqual([
      [[0, 0, 300, 225], 'Mind the gap'],
      [[0, 0, 240, 300], 'All aboard'],
    ]);
  });

  it('are pictures of their size, and PDFs each', async () => {
    const files = await filesOf(['png', 'jpeg', 'webp', 'pdf-each']);
    expect(files.map((each) => each.path)).toEqual([
      ...['pier.png', 'deck.png', 'pier.jpg', 'deck.jpg', 'pier.webp', 'deck.webp', 'pier.pdf', 'deck.pdf'],
    ]);
    for (const { path: name, bytes } of files.filter((each) => !each.path.endsWith('.pdf')))
      expect([name, imageSize(bytes)]).toMatchObject([
        name,
        name.startsWith('pier') ? { width: 400, height: 300 } : { width: 320, height: 400 },
      ]);
  });
});
