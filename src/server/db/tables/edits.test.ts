import { readFileSync } from 'node:fs';
import { DEMO } from '../../../../tests/support/mockups';
import { createFontBook } from '../../../engine/fonts/fontBook';
import { readWithPicture } from '../../../engine/readWithPicture';
import { packReading } from '../../workers/packReading';
import { addProject } from '../../useCases/addProject';
import { pool } from '../pool';
import { dropUndone, editHistory, insertEdit, setStanding } from './edits';
import { removeProject } from './projects';

/** Runs on the database of ./check; skipped without one. */
const withDatabase = process.env.DATABASE_URL ? describe : describe.skip;

withDatabase('the history of edits', () => {
  let project: string;
  let mockup: string;
  beforeAll(async () => {
    const bytes = readFileSync(DEMO);
    const reading = packReading(await readWithPicture(bytes, 'harbour.svg', { book: createFontBook() }));
    const added = await addProject({ bytes, fileName: 'harbour.svg', reading, demoDigest: null });
    [project, mockup] = [added.projectId, added.mockupId];
  });
  afterAll(async () => {
    await removeProject(pool(), project);
    await pool().end();
  });

  it('gives what undo and redo revert, as two stacks do', async () => {
    expect(await editHistory(pool(), mockup, null)).toEqual({ undo: null, redo: null, newest: '0' });
    const done: string[] = [];
    const undone: string[] = [];
    // s: an edit, u: undo, r: redo.
    for (const step of 'ssusuursuuurrrsuurus') {
      const [from, to] = step === 'u' ? [done, undone] : [undone, done];
      const about = step === 's' ? null : from.at(-1);
      if (about === undefined) continue;
      const kind = { s: 'set', u: 'undo', r: 'redo' }[step] as 'set' | 'undo' | 'redo';
      if (about === null) await dropUndone(pool(), mockup, null);
      else await setStanding(pool(), about, kind === 'undo' ? 'undone' : 'done');
      const edit = { kind, about, changes: [], editor: null, person: null, request: null };
      const id = await insertEdit(pool(), mockup, edit);
      if (about === null) {
        done.push(id);
        undone.length = 0;
      } else to.push(from.pop()!);
      expect(await editHistory(pool(), mockup, null)).toEqual({
        undo: done.at(-1) ?? null,
        redo: undone.at(-1) ?? null,
        newest: id,
      });
    }
  });
});
