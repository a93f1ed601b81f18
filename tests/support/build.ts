import type { Conversion } from '../../src/core/convert';
import type { Arrangement } from '../../src/core/page/frame';
import type { Reading } from '../../src/core/read/reading';
import type { Tags } from '../../src/core/sort/tag';
import { produce } from '../../src/engine/produce';
import { writeFiles } from '../../src/engine/writeFiles';

/** Builds a mockup and writes its page into a folder. */
export async function buildInto(
  folder: string,
  reading: Reading,
  arrangement: Arrangement,
  tags: Tags = new Map(),
): Promise<Conversion> {
  const { mockup, assets, findings, book } = reading;
  const options = { arrangement, target: 'html' } as const;
  const product = await produce({ mockup, assets, tags, options, book, readFindings: findings });
  await writeFiles(folder, product.files);
  return product.conversion;
}
