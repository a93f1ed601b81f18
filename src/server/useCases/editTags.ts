import Joi from 'joi';
import { historyState, reverse, type Change } from '../../core/sort/change';
import { FACETS, type Facet, type Tag } from '../../core/sort/tag';
import { tagSchema } from '../../core/sort/tagSchema';
import { NOT_FOUND, Refusal } from '../http';
import { inTransaction, type Queryable } from '../db/pool';
import { editChanges, editTrail, insertEdit, type EditKind } from '../db/tables/edits';
import { lockMockup } from '../db/tables/mockups';
import { putFacets, removeFacets } from '../db/tables/tags';
import { currentTags } from './currentTags';

/** A facet that a person sets or clears. */
export interface Wish {
  readonly layer: string;
  readonly facet: Facet;
  readonly value: Tag[Facet] | null;
}

export const wishesSchema = Joi.object<{ wishes: Wish[] }>({
  wishes: Joi.array()
    .items(
      Joi.object({
        layer: Joi.string().max(2000).required(),
        facet: Joi.string()
          .valid(...FACETS)
          .required(),
        value: Joi.any().required(),
      }),
    )
    .min(1)
    .max(20_000)
    .required(),
});

/** What an edit changed, and whether there is more to undo or redo. */
export interface Edited {
  readonly changes: readonly Change[];
  readonly canUndo: boolean;
  readonly canRedo: boolean;
}

/** Sets facets as one edit, which one undo takes back. What is so already is no change. */
export function setFacets(mockupId: string, wishes: readonly Wish[]): Promise<Edited> {
  for (const { facet, value } of wishes) if (value !== null) Joi.assert({ [facet]: value }, tagSchema);
  return editing(mockupId, async (client) => {
    const tags = await currentTags(client, mockupId);
    const changes = wishes.flatMap(({ layer, facet, value }): Change[] => {
      const before = tags.get(layer)?.[facet] ?? null;
      const after = value ?? null;
      return JSON.stringify(before) === JSON.stringify(after) ? [] : [{ layer, facet, before, after }];
    });
    if (changes.length > 0) await record(client, mockupId, 'set', null, changes);
    return changes;
  });
}

/** Takes the newest edit back. */
export function undo(mockupId: string): Promise<Edited> {
  return step(mockupId, 'undo', 'There is nothing left to undo.');
}

/** Makes the edit that was taken back last anew. */
export function redo(mockupId: string): Promise<Edited> {
  return step(mockupId, 'redo', 'There is nothing left to redo.');
}

function step(mockupId: string, kind: 'undo' | 'redo', nothing: string): Promise<Edited> {
  return editing(mockupId, async (client) => {
    const about = historyState(await editTrail(client, mockupId))[kind];
    if (about === null) throw new Refusal(409, nothing);
    const made = await editChanges(client, about);
    const changes = kind === 'undo' ? reverse(made) : made;
    await record(client, mockupId, kind, about, changes);
    return changes;
  });
}

function editing(mockupId: string, work: (client: Queryable) => Promise<readonly Change[]>): Promise<Edited> {
  return inTransaction(async (client) => {
    if (!(await lockMockup(client, mockupId))) throw NOT_FOUND('This mockup');
    const changes = await work(client);
    const state = historyState(await editTrail(client, mockupId));
    return { changes, canUndo: state.undo !== null, canRedo: state.redo !== null };
  });
}

async function record(
  client: Queryable,
  mockupId: string,
  kind: EditKind,
  about: string | null,
  changes: readonly Change[],
): Promise<void> {
  await insertEdit(client, mockupId, kind, about, changes);
  const rows = changes.map(({ layer, facet, after }) => ({ layer_key: layer, facet, value: after }));
  await removeFacets(
    client,
    mockupId,
    rows.filter((row) => row.value === null),
  );
  await putFacets(
    client,
    mockupId,
    rows.flatMap((row) => (row.value === null ? [] : [{ ...row, value: row.value }])),
  );
}
