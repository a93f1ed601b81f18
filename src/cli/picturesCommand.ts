import { plainFinding } from '../engine/manifest';
import { treeOf } from '../core/mockup/tree';
import { writeFiles } from '../engine/writeFiles';
import type { Product } from '../engine/produce';
import { convertFile } from './convertFile';
import { UsageError } from './errors';
import type { CommandInput, ConvertFlags } from './input';

/** `orden pictures FILE`: makes the pictures alone, or lists their files and writes none. */
export async function picturesCommand(
  input: CommandInput,
  { out, list, json }: Pick<ConvertFlags, 'out' | 'list' | 'json'>,
): Promise<void> {
  if (!list && out === undefined) throw new UsageError('Give --out DIR, or --list to write nothing.');
  const { product } = await convertFile(input);
  if (!list && out !== undefined) await writePictures(out, product);
  const files = listed(product);
  const tree = treeOf(product.conversion.mockup);
  const findings = product.findings.map((finding) => plainFinding(finding, tree));
  console.log(json ? JSON.stringify({ files, findings }) : textOf(files));
}

/** Writes the pictures of a product over the files of the same names; all other files stay. */
export function writePictures(folder: string, { files, pictures }: Product): Promise<void> {
  const paths = new Set(pictures.map(({ file }) => file));
  return writeFiles(
    folder,
    files.filter(({ path }) => paths.has(path)),
  );
}

/** Every file of a picture, with the path of the first layer that shows it. */
function listed({ conversion, pictures }: Product) {
  const tree = treeOf(conversion.mockup);
  return pictures.map((picture) => ({
    ...picture,
    layer: (picture.layer !== null && tree.layer(picture.layer)?.path) || null,
  }));
}

function textOf(files: ReturnType<typeof listed>): string {
  const rows = files.map(({ file, format, width, height, bytes, reason }) => [
    file,
    format,
    `${width}×${height}`,
    `${bytes} B`,
    reason,
  ]);
  const widths = [0, 1, 2, 3].map((at) => Math.max(0, ...rows.map((row) => row[at]!.length)));
  const lines = rows.map((row) =>
    row
      .map((cell, at) => cell.padEnd(widths[at] ?? 0))
      .join('  ')
      .trimEnd(),
  );
  const bytes = files.reduce((sum, each) => sum + each.bytes, 0);
  return [...lines, `${files.length} files, ${bytes} bytes.`].join('\n');
}
