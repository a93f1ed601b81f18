import { writeFile } from 'node:fs/promises';
import path from 'node:path';
import { harbour } from './parts/harbour';
import { drawHarbourPhoto } from './parts/photo';

/** Draws the demo mockups of Ternholm Ferries into this folder: `npm run demo`. */
const folder = path.resolve('demo');
await writeFile(path.join(folder, 'harbour.svg'), harbour(await drawHarbourPhoto(2640, 600)));
console.log('Drew demo/harbour.svg.');
