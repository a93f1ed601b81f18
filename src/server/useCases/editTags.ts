import Joi from 'joi';
import { reverse, type Change } from '../../core/sort/change';
import { checkFacet, FACET_NAMES, type Facet, type FacetValue } from '../../core/sort/facets/facets';
import type { Tag } from '../../core/sort/tag';
import { NOT_FOUND, Refusal, uuid } from '../http';
import { inTransaction, type Queryable } from '../db/pool';
import {
  editChanges,
  editsAfter,
  editHistory,
  historyFlags,
  insertEdit,
  type Editor,
  type NewEdit,
} from '../db/tables/edits';
import { lockMockup } from '../db/tables/mockups';
import { putFacets, removeFacets } from '../db/tables/tags';
import { currentTags } from './currentTags';

/** A facet value that a person sets or clears. */
export interface TagEdit {
  readonly layer: string;
  readonly facet: Facet;
  readonly value: Tag[Facet] | null;
}

/** Tag edits, and the state of their window when they were made. */
export interface TagEdits {
  readonly edits: readonly TagEdit[];
  /** The newest edit that the window knew; absent to skip the search for conflicts. */
  readonly after?: string;
  readonly editor?: Editor;
}

const editorSchema = Joi.object<Editor>({
  id: uuid.required(),
  name: Joi.string().trim().allow('').max(40).required(),
});

/** The editor of an undo or redo. */
export const stepSchema = Joi.object<{ editor?: Editor }>({ editor: editorSchema });

export const tagEditsSchema = Joi.object<TagEdits>({
  after: Joi.string().pattern(/^\d{1,18}$/),
  editor: editorSchema,
  edits: Joi.array()
    .items(
      Joi.object({
        layer: Joi.string().max(2000).required(),
        facet: Joi.string()
          .valid(...FACET_NAMES)
          .required(),
        value: Joi.any().required(),
      }),
    )
    .min(1)
    .max(20_000)
    .required(),
});

/** The changes of an edit, and the remaining undo and redo steps. */
export interface Edited {
  readonly changes: readonly Change[];
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  /** Edits that were rejected, since another window had set another value. */
  readonly conflicts: readonly Conflict[];
}

/** Two people set different values of one facet, the second without seeing the first. */
export interface Conflict {
  readonly layer: string;
  readonly facet: Facet;
  readonly mine: FacetValue | null;
  readonly theirs: FacetValue | null;
  /** The other person's name, empty when unknown. */
  readonly by: string;
}

/**
 * Sets facets as one edit, which one undo reverts. Equal values are no change. A value that another window
 * set since this window's last request stays, and is given back as a conflict.
 */
export function setFacets(
  mockupId: string,
  given: readonly TagEdit[],
  { after: known, editor }: Omit<TagEdits, 'edits'> = {},
): Promise<Edited> {
  // A facet that is set twice in one edit has the later value.
  const latest = new Map(given.map((edit) => [`${edit.layer}\n${edit.facet}`, edit]));
  const edits = [...latest.values()].map(checked);
  return editing(mockupId, async (client) => {
    const tags = await currentTags(client, mockupId);
    const others =
      known === undefined
        ? new Map<string, ForeignEdit>()
        : await editsSince(client, mockupId, known, editor);
    const conflicts = edits.flatMap(({ layer, facet, value }): Conflict[] => {
      const other = others.get(`${layer}\n${facet}`);
      const mine = (value ?? null) as FacetValue | null;
      return !other || JSON.stringify(other.value) === JSON.stringify(mine)
        ? []
        : [{ layer, facet, mine, theirs: other.value, by: other.by }];
    });
    const refused = new Set(conflicts.map(({ layer, facet }) => `${layer}\n${facet}`));
    const accepted = edits.filter(({ layer, facet }) => !refused.has(`${layer}\n${facet}`));
    const changes = accepted.flatMap(({ layer, facet, value }): Change[] => {
      const before = tags.get(layer)?.[facet] ?? null;
      const after = value ?? null;
      return JSON.stringify(before) === JSON.stringify(after) ? [] : [{ layer, facet, before, after }];
    });
    if (changes.length > 0)
      await record(client, mockupId, { kind: 'set', about: null, changes, editor: editor ?? null });
    return { changes, conflicts };
  });
}

/** An edit with the value that its schema makes of it. */
function checked(edit: TagEdit): TagEdit {
  if (edit.value === null) return edit;
  const result = checkFacet(edit.facet, edit.value);
  if ('problem' in result) throw new Refusal(400, result.problem);
  return { ...edit, value: result.value };
}

interface ForeignEdit {
  readonly value: FacetValue | null;
  readonly by: string;
}

/** The edits of other windows since the edit `known`, by layer and facet. */
async function editsSince(
  client: Queryable,
  mockupId: string,
  known: string,
  editor: Editor | undefined,
): Promise<ReadonlyMap<string, ForeignEdit>> {
  const said = new Map<string, ForeignEdit>();
  // A window that was away for long gets its edits in several batches.
  for (let edits = await editsAfter(client, mockupId, known); edits.length > 0;) {
    for (const edit of edits) {
      if (edit.editor_id !== null && edit.editor_id === editor?.id) continue;
      for (const { layer, facet, after } of edit.changes)
        said.set(`${layer}\n${facet}`, { value: after, by: edit.editor_name });
    }
    edits = await editsAfter(client, mockupId, edits.at(-1)?.id ?? known);
  }
  return said;
}

/** Reverts the newest edit. */
export function undo(mockupId: string, editor: Editor | null = null): Promise<Edited> {
  return step(mockupId, editor, 'undo', 'There is nothing left to undo.');
}

/** Repeats the edit that was reverted last. */
export function redo(mockupId: string, editor: Editor | null = null): Promise<Edited> {
  return step(mockupId, editor, 'redo', 'There is nothing left to redo.');
}

function step(
  mockupId: string,
  editor: Editor | null,
  kind: 'undo' | 'redo',
  nothing: string,
): Promise<Edited> {
  return editing(mockupId, async (client) => {
    const about = (await editHistory(client, mockupId))[kind];
    if (about === null) throw new Refusal(409, nothing);
    const made = await editChanges(client, about);
    const changes = kind === 'undo' ? reverse(made) : made;
    await record(client, mockupId, { kind, about, changes, editor });
    return { changes, conflicts: [] };
  });
}

function editing(
  mockupId: string,
  work: (client: Queryable) => Promise<Pick<Edited, 'changes' | 'conflicts'>>,
): Promise<Edited> {
  return inTransaction(async (client) => {
    if (!(await lockMockup(client, mockupId))) throw NOT_FOUND('This mockup');
    const done = await work(client);
    return { ...done, ...historyFlags(await editHistory(client, mockupId)) };
  });
}

async function record(client: Queryable, mockupId: string, edit: NewEdit): Promise<void> {
  await insertEdit(client, mockupId, edit);
  const rows = edit.changes.map(({ layer, facet, after }) => ({ layer_id: layer, facet, value: after }));
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
