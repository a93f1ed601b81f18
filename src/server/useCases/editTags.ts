import equal from 'fast-deep-equal';
import Joi from 'joi';
import { reverse, type Change } from '../../core/sort/change';
import { checkFacet, FACET_NAMES, type Facet, type FacetValue } from '../../core/sort/facets/facets';
import { regionId } from '../../core/sort/regions';
import type { Tag, Tags } from '../../core/sort/tag';
import { NOT_FOUND, Refusal, uuid } from '../http';
import { inTransaction, type Queryable } from '../db/pool';
import {
  changesOfRequest,
  dropUndone,
  editChanges,
  editsAfter,
  editHistory,
  historyFlags,
  insertEdit,
  setStanding,
  type Editor,
  type NewEdit,
} from '../db/tables/edits';
import { lockMockup } from '../db/tables/mockups';
import { unknownLayers } from '../db/tables/revisions';
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
  /** A new id; a request that is sent again with its id is carried out once. */
  readonly request?: string;
}

const editorSchema = Joi.object<Editor>({
  id: uuid.required(),
  name: Joi.string().trim().allow('').max(40).required(),
});

/** An undo or redo. */
export type Step = Pick<TagEdits, 'editor' | 'request'>;

export const stepSchema = Joi.object<Step>({ editor: editorSchema, request: uuid });

/** Who sent a request: the person of a browser, null for nobody in particular. */
interface Sender {
  readonly person?: string | null;
}

export const tagEditsSchema = Joi.object<TagEdits>({
  after: Joi.string().pattern(/^\d{1,18}$/),
  editor: editorSchema,
  request: uuid,
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
  { after: known, editor, request, person = null }: Omit<TagEdits, 'edits'> & Sender = {},
): Promise<Edited> {
  // A facet that is set twice in one edit has the later value.
  const latest = new Map(given.map((edit) => [`${edit.layer}\n${edit.facet}`, edit]));
  const edits = [...latest.values()].map(checked);
  return editing(mockupId, { request, person }, async (client) => {
    const tags = await currentTags(client, mockupId);
    await refuseUnknown(client, mockupId, tags, edits);
    const others =
      known === undefined
        ? new Map<string, ForeignEdit>()
        : await editsSince(client, mockupId, known, editor);
    const conflicts = edits.flatMap(({ layer, facet, value }): Conflict[] => {
      const other = others.get(`${layer}\n${facet}`);
      const mine = (value ?? null) as FacetValue | null;
      return !other || equal(other.value, mine)
        ? []
        : [{ layer, facet, mine, theirs: other.value, by: other.by }];
    });
    const refused = new Set(conflicts.map(({ layer, facet }) => `${layer}\n${facet}`));
    const accepted = edits.filter(({ layer, facet }) => !refused.has(`${layer}\n${facet}`));
    const changes = accepted.flatMap(({ layer, facet, value }): Change[] => {
      const before = tags.get(layer)?.[facet] ?? null;
      const after = value ?? null;
      // The database keeps no order of keys.
      return equal(before, after) ? [] : [{ layer, facet, before, after }];
    });
    if (changes.length > 0) {
      await dropUndone(client, mockupId, person);
      await record(client, mockupId, {
        kind: 'set',
        about: null,
        changes,
        editor: editor ?? null,
        person,
        request: request ?? null,
      });
    }
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

/** @throws Refusal when an edit names a layer that no revision of the mockup has */
async function refuseUnknown(
  client: Queryable,
  mockupId: string,
  tags: Tags,
  edits: readonly TagEdit[],
): Promise<void> {
  const asked = [...new Set(edits.map(({ layer }) => layer))].filter((id) => !tags.has(id));
  const unknown = asked.length === 0 ? [] : await unknownLayers(client, mockupId, asked);
  if (unknown.length === 0) return;
  // Regions that a person marked are layers without being in the file.
  const regions = new Set(
    [...tags].flatMap(([id, { regions: marked = [] }]) => marked.map((region) => regionId(id, region))),
  );
  if (unknown.every((id) => regions.has(id))) return;
  throw new Refusal(409, 'A layer of this edit is not in the mockup any more; reload the page.');
}

/** Reverts the newest edit of the editor, but for what somebody else has changed since. */
export function undo(mockupId: string, given: Step & Sender = {}): Promise<Edited> {
  return step(mockupId, given, 'undo', 'There is nothing of yours left to undo.');
}

/** Repeats the edit that was reverted last. */
export function redo(mockupId: string, given: Step & Sender = {}): Promise<Edited> {
  return step(mockupId, given, 'redo', 'There is nothing of yours left to redo.');
}

function step(
  mockupId: string,
  { editor, request, person = null }: Step & Sender,
  kind: 'undo' | 'redo',
  nothing: string,
): Promise<Edited> {
  return editing(mockupId, { request, person }, async (client) => {
    const tags = await currentTags(client, mockupId);
    for (;;) {
      const about = (await editHistory(client, mockupId, person))[kind];
      if (about === null) throw new Refusal(409, nothing);
      const made = await editChanges(client, about);
      const all = kind === 'undo' ? reverse(made) : made;
      const changes = all.filter(({ layer, facet, before }) =>
        equal(tags.get(layer)?.[facet] ?? null, before),
      );
      await setStanding(client, about, kind === 'undo' ? 'undone' : 'done');
      // Of an edit whose every value somebody else has changed nothing is left.
      if (changes.length === 0) continue;
      const by = { editor: editor ?? null, person, request: request ?? null };
      await record(client, mockupId, { kind, about, changes, ...by });
      return { changes, conflicts: [] };
    }
  });
}

/** Runs an edit, unless its request was carried out already. */
function editing(
  mockupId: string,
  { request, person }: Required<Sender> & { readonly request: string | undefined },
  work: (client: Queryable) => Promise<Pick<Edited, 'changes' | 'conflicts'>>,
): Promise<Edited> {
  return inTransaction(async (client) => {
    if (!(await lockMockup(client, mockupId))) throw NOT_FOUND('This mockup');
    const known = request === undefined ? null : await changesOfRequest(client, mockupId, request);
    const done = known ? { changes: known, conflicts: [] } : await work(client);
    return { ...done, ...historyFlags(await editHistory(client, mockupId, person)) };
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
