import { pool } from '../db/pool';
import { shelf } from '../db/tables/projects';

/** A project on the shelf; times are ISO 8601. */
export interface ShelfEntry {
  readonly projectId: string;
  readonly mockupId: string;
  readonly name: string;
  readonly fileName: string;
  readonly layerCount: number;
  /** The digest of its picture, which identifies the reading. */
  readonly picture: string;
  readonly revision: number;
  /** The number of layers with a tag. */
  readonly tagged: number;
  readonly createdAt: string;
  /** Of the newest edit; null for none. */
  readonly editedAt: string | null;
  /** Of the newest finished build; null for none. */
  readonly builtAt: string | null;
  /** The number of edits after that build. */
  readonly editsSince: number;
}

/** The projects, the newest first. */
export async function listProjects(): Promise<{ readonly projects: readonly ShelfEntry[] }> {
  const rows = await shelf(pool());
  return {
    projects: rows.map((row) => ({
      projectId: row.project_id,
      mockupId: row.mockup_id,
      name: row.name,
      fileName: row.file_name,
      layerCount: row.layer_count,
      picture: row.picture,
      revision: row.revision,
      tagged: row.tagged,
      createdAt: row.created_at.toISOString(),
      editedAt: row.edited_at?.toISOString() ?? null,
      builtAt: row.built_at?.toISOString() ?? null,
      editsSince: row.edits_since,
    })),
  };
}
