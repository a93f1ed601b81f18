import { inTransaction, type Queryable } from '../db/pool';
import { holdBlobs, removeUnusedBlobs } from '../db/tables/blobs';
import { removeFontsOf, removeLostFonts } from '../db/tables/fonts';
import { removeProject as deleteProject } from '../db/tables/projects';
import { removeOldReadings, removeReading as deleteReading } from '../db/tables/readings';
import { NOT_FOUND } from '../http';

/** Removes a project with its mockups, edits and builds, and the bytes that nothing else needs. */
export function removeProject(id: string): Promise<{ id: string }> {
  return removing(async (client) => {
    if (!(await deleteProject(client, id))) throw NOT_FOUND('This project');
    await removeFontsOf(client, id);
    return { id };
  });
}

/** Removes a reading that is not put on the shelf, and its bytes. */
export function removeReading(id: string): Promise<{ id: string }> {
  return removing(async (client) => {
    if (!(await deleteReading(client, id))) throw NOT_FOUND('This reading');
    await removeFontsOf(client, id);
    return { id };
  });
}

/** Removes readings that nobody took up, and all bytes that nothing refers to. */
export function removeLeftOvers(): Promise<void> {
  return removing(async (client) => {
    await removeOldReadings(client);
    await removeLostFonts(client);
  });
}

function removing<T>(work: (client: Queryable) => Promise<T>): Promise<T> {
  return inTransaction(async (client) => {
    await holdBlobs(client);
    const result = await work(client);
    await removeUnusedBlobs(client);
    return result;
  });
}
