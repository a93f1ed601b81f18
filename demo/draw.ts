import { writeFile } from 'node:fs/promises';
import path from 'node:path';
import { harbour } from './parts/harbour';
import { drawHarbourPhoto } from './parts/photo';
import { ticket } from './parts/ticket';
import { wheelhouse } from './parts/wheelhouse';

/** Draws the demo mockups of Ternholm Ferries into this folder: `npm run demo`. */
const folder = path.resolve('demo');
await writeFile(path.join(folder, 'harbour.svg'), harbour(await drawHarbourPhoto(2640, 600)));
await writeFile(path.join(folder, 'wheelhouse.svg'), wheelhouse());
await writeFile(path.join(folder, 'ticket.svg'), ticket());
console.log('Drew demo/harbour.svg, demo/ticket.svg and demo/wheelhouse.svg.');
