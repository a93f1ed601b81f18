import { readFileSync } from 'node:fs';
import sharp from 'sharp';
import { convert } from '../src/core/convert';
import { isVectorFormat } from '../src/core/pictures/picture';
import { read } from '../src/core/read/read';
import { createFontBook } from '../src/engine/fonts/fontBook';
import { renderPicture } from '../src/engine/pictures/renderPicture';
import { outlinerOf } from '../src/engine/outliner';
import { produce } from '../src/engine/produce';
import { textTable } from './table';

/**
 * `npm run bench`: how long the files of pictures take with a recipe, beside the same px encoded by the library alone,
 * side by side.
 */
const RECIPES = ['web', 'photo', 'responsive', 'icon', 'ios'] as const;
const { mockup, assets, book } = read(
  new Uint8Array(readFileSync('demo/harbour.svg')),
  'harbour.svg',
  createFontBook(),
);

const rows: string[][] = [];
for (const recipe of RECIPES) {
  const options = {
    arrangement: 'flow',
    target: 'html',
    pictures: { recipes: [], usual: [recipe] },
  } as const;
  const input = { mockup, assets, tags: new Map(), options };
  const { plan } = convert({ ...input, outliner: outlinerOf(book) });
  const { pictures, drawingMs } = await produce({ ...input, book, readFindings: [] });
  const { drawn, alone } = await encodedAlone(plan.pictures);
  const bytes = pictures.reduce((sum, picture) => sum + picture.bytes, 0);
  rows.push([
    recipe,
    String(pictures.length),
    `${(bytes / 1000).toFixed(0)} kB`,
    drawingMs.toFixed(0),
    alone.toFixed(0),
    drawn === 0 ? '' : (drawingMs / alone).toFixed(2),
  ]);
}
console.log(textTable(['recipe', 'files', 'bytes', 'ms', 'encoding alone, ms', 'ratio'], rows));

type Pictures = ReturnType<typeof convert>['plan']['pictures'];

/** The raster files again, from px that are there: what only the library's encoders take, one after the other. */
async function encodedAlone(pictures: Pictures): Promise<{ readonly drawn: number; readonly alone: number }> {
  let [drawn, alone] = [0, 0];
  for (const picture of pictures)
    for (const file of picture.files) {
      if (isVectorFormat(file.format) || file.format === 'pdf' || file.isOriginal) continue;
      const bytes = await renderPicture(picture, file, mockup, assets);
      const { data, info } = await sharp(bytes).raw().toBuffer({ resolveWithObject: true });
      const start = performance.now();
      await sharp(data, { raw: info }).toFormat(file.format, { quality: file.quality }).toBuffer();
      alone += performance.now() - start;
      drawn += 1;
    }
  return { drawn, alone };
}
