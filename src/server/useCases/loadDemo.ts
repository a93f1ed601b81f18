import { readdir, readFile } from 'node:fs/promises';
import path from 'node:path';
import { createFontBook } from '../../engine/fonts/fontBook';
import { readWithPicture } from '../../engine/readWithPicture';
import { pool } from '../db/pool';
import { digestOf } from '../../engine/digest';
import { hasDemo } from '../db/tables/projects';
import { packReading } from '../workers/packReading';
import { addProject } from './addProject';

/** Puts the demo mockups of `folder` on the shelf; existing ones stay unchanged. */
export async function loadDemo(folder: string): Promise<string[]> {
  const files = (await readdir(folder)).filter((file) => file.endsWith('.svg')).sort();
  const loaded: string[] = [];
  for (const fileName of files) {
    const bytes = await readFile(path.join(folder, fileName));
    const demoDigest = digestOf(bytes);
    if (await hasDemo(pool(), demoDigest)) continue;
    await addProject({
      bytes,
      fileName,
      reading: packReading(await readWithPicture(bytes, fileName, { book: createFontBook() })),
      demoDigest,
    });
    loaded.push(fileName);
  }
  return loaded;
}
