import type { ConvertOptions } from '../../core/convert';
import type { Finding } from '../../core/findings/finding';
import type { Mockup } from '../../core/mockup/mockup';
import type { Tag } from '../../core/sort/tag';
import { NOT_FOUND } from '../http';
import { pool } from '../db/pool';
import { getMockup } from '../db/tables/mockups';
import { newestRevisionText } from '../db/tables/revisions';
import { editHistory, historyFlags } from '../db/tables/edits';
import { keptViews } from '../db/tables/views';
import { currentTags } from './currentTags';

export interface OpenedMockup {
  readonly id: string;
  readonly projectId: string;
  /** The name of its project. */
  readonly project: string;
  /** How the page is to be built; null as long as nobody said so. */
  readonly options: ConvertOptions | null;
  readonly fileName: string;
  readonly revision: number;
  /** Digest of its picture: identifies this reading of the file. */
  readonly picture: string;
  readonly mockup: Mockup;
  readonly findings: readonly Finding[];
  readonly tags: Readonly<Record<string, Tag>>;
  /** The newest edit that the tags include, `0` for none. */
  readonly lastEdit: string;
  /** Saved queries, the oldest first. */
  readonly views: readonly string[];
  readonly canUndo: boolean;
  readonly canRedo: boolean;
}

/**
 * The data of the Sort step, an `OpenedMockup` as JSON; its tree is passed on as stored text.
 * @param person whose undo and redo are told
 */
export async function openMockup(id: string, person: string | null = null): Promise<string> {
  const db = pool();
  const [row, revision] = [await getMockup(db, id), await newestRevisionText(db, id)];
  if (!row || !revision) throw NOT_FOUND('This mockup');
  const history = await editHistory(db, id, person);
  const opened: Omit<OpenedMockup, 'mockup'> = {
    id,
    projectId: row.project_id,
    project: row.project,
    options: row.build_options,
    fileName: revision.file_name,
    revision: revision.number,
    picture: revision.picture_digest,
    findings: revision.findings,
    tags: Object.fromEntries(await currentTags(db, id)),
    lastEdit: history.newest,
    views: await keptViews(db, id),
    ...historyFlags(history),
  };
  return `{"mockup":${revision.tree},${JSON.stringify(opened).slice(1)}`;
}
