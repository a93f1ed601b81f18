import { FACET_NAMES } from '../../core/sort/facets/facets';
import { SHEET } from '../../core/mockup/identity';
import { combinedValues } from '../../core/style/tokens/saidValues';
import type { LayerId } from '../../core/mockup/layer';
import type { Tag } from '../../core/sort/tag';
import type { StyleFile } from '../../core/style/styleFile';
import { pool } from '../db/pool';
import { Refusal } from '../http';
import type { StyleFileJob } from '../workers/styleFileJob';
import { styleFileInWorker } from '../workers/workers';
import { currentTags } from './currentTags';
import { setFacets, type TagEdit } from './editTags';
import { mockupState, treeOfRevision } from './mockupState';

/** What a person said of classes and values of a mockup. */
export async function exportStyle(id: string): Promise<StyleFile> {
  const output = await styleFileInWorker(await jobOf(id));
  if (!('written' in output)) throw new Error('A style file that is asked for is written.');
  return output.written;
}

/** How many sayings of a style file were taken, and what could not be, in words. */
export interface ImportedStyle {
  readonly taken: number;
  readonly refused: readonly string[];
}

/** Takes what a style file says, as one edit. */
export async function importStyle(id: string, given: unknown, person: string | null): Promise<ImportedStyle> {
  const output = await styleFileInWorker({ ...(await jobOf(id)), given });
  if ('problem' in output) throw new Refusal(422, output.problem);
  if (!('read' in output)) throw new Error('A style file that is given is read.');
  const { tags, refused } = output.read;
  const before = (await currentTags(pool(), id)).get(SHEET.id) ?? {};
  const said = [...tags].map(([layer, { values, forbidden, ...tag }]): [LayerId, Tag] => [
    layer,
    {
      ...tag,
      ...(values && { values: combinedValues(before.values ?? [], values) }),
      ...(forbidden && { forbidden: [...new Set([...(before.forbidden ?? []), ...forbidden])] }),
    },
  ]);
  const edits = said.flatMap(([layer, tag]) =>
    FACET_NAMES.flatMap((facet): TagEdit[] =>
      tag[facet] === undefined ? [] : [{ layer, facet, value: tag[facet] }],
    ),
  );
  if (edits.length > 0) await setFacets(id, edits, { person });
  return { taken: edits.length, refused };
}

async function jobOf(id: string): Promise<StyleFileJob> {
  const { revision, tags } = await mockupState(id);
  return { tree: await treeOfRevision(revision.id), tags };
}
