import { mkdir, writeFile } from 'node:fs/promises';
import path from 'node:path';
import type { OutputFile } from './produce';

/** Writes a build's files into a folder, making the folders that it needs. */
export async function writeFiles(folder: string, files: readonly OutputFile[]): Promise<void> {
  for (const file of files) {
    const target = path.join(folder, file.path);
    await mkdir(path.dirname(target), { recursive: true });
    await writeFile(target, file.bytes);
  }
}
