import { idAt } from '../../tests/support/ids';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { DEMO } from '../../tests/support/mockups';
import { ReadError } from '../core/read/readError';
import { createFontBook } from '../engine/fonts/fontBook';
import { readWithPicture, type ReadWithPicture } from '../engine/readWithPicture';
import { packReading, type PackedReading } from './workers/packReading';
import { reportJob, type ReportJob } from './workers/reportJob';
import { pool } from './db/pool';
import { migrate } from './db/migrate';
import { digestOf } from '../engine/digest';
import type { BuildResult } from './buildTypes';
import { getBlob, putBlob } from './db/tables/blobs';
import * as builds from './db/tables/builds';
import { shelf } from './db/tables/projects';
import { newestRevision, revisionAssets } from './db/tables/revisions';
import { SHIPPED, shippedPath } from '../engine/fonts/shipped';
import { listFonts, loadFonts } from './db/tables/fonts';
import { respond, Refusal } from './http';
import { addFont, removeFont } from './useCases/fonts';
import { addProject, type AddedProject } from './useCases/addProject';
import { redo, setFacets, undo } from './useCases/editTags';
import { followEdits } from './useCases/followEdits';
import { loadDemo } from './useCases/loadDemo';
import { openMockup, type OpenedMockup } from './useCases/openMockup';
import { getReadingView } from './useCases/readFile';
import { removeProject, removeReading } from './useCases/remove';
import { fontJob, type FontJob } from './workers/fontJob';
import { renewRevisions } from './useCases/renewRevisions';
import { regionId } from '../core/sort/regions';
import { runBuild } from './jobs/runBuild';
import { reviewMockup, type ReviewedMockup } from './useCases/reviewMockup';

// Jest starts no workers of TypeScript: the job runs here. `workerPool.test.ts` runs jobs in workers.
jest.mock('./workers/workers', () => ({
  readFontInWorker: (job: FontJob) => Promise.resolve(fontJob(job)),
  reportInWorker: (job: ReportJob) => Promise.resolve(reportJob(job)),
}));

/** Runs on the database of ./check; skipped without one. */
const withDatabase = process.env.DATABASE_URL ? describe : describe.skip;
const NOBODY = '00000000-0000-4000-8000-000000000000';
const NOTHING_BUILT: BuildResult = {
  sheet: { width: 1, height: 1 },
  screens: [],
  files: [],
  pictures: [],
  findings: [],
  ms: {},
};

const opened = async (id: string) => JSON.parse(await openMockup(id)) as OpenedMockup;

withDatabase('on the database', () => {
  const bytes = readFileSync(DEMO);
  let read: ReadWithPicture;
  let reading: PackedReading;
  let added: AddedProject;

  beforeAll(async () => {
    read = await readWithPicture(bytes, 'harbour.svg', { book: createFontBook() });
    reading = packReading(read);
    added = await addProject({ bytes, fileName: 'harbour.svg', reading, demoDigest: null });
  });
  afterAll(async () => {
    await removeProject(added.projectId);
    await pool().end();
  });

  const tagsNow = async () => (await opened(added.mockupId)).tags;
  const layer = idAt('/footer');

  it('runs each migration once, and loads the demo once', async () => {
    expect(await migrate(pool(), path.resolve('db/migrations'))).toEqual([]);
    expect(await loadDemo(path.resolve('demo'))).toEqual([]);
  });

  it('gives back the reading', async () => {
    const shown = await opened(added.mockupId);
    expect(shown.mockup).toEqual(read.mockup);
    expect(shown).toMatchObject({
      fileName: 'harbour.svg',
      revision: 1,
      tags: {},
      canUndo: false,
      canRedo: false,
    });
    const revision = (await newestRevision(pool(), added.mockupId))!;
    const assets = await revisionAssets(pool(), revision.id);
    expect([...assets.keys()].sort()).toEqual([...reading.assets.keys()].sort());
    expect(new TextDecoder().decode((await getBlob(pool(), revision.picture_digest))!)).toBe(read.picture);
  });

  it('reads a mockup again when its stored tree is outdated, as a revision of its own', async () => {
    await pool().query(`update revisions set tree_version = 0, tree = '{}' where mockup_id = $1`, [
      added.mockupId,
    ]);
    expect(await renewRevisions()).toBe(1);
    expect(await opened(added.mockupId)).toMatchObject({ revision: 2, mockup: read.mockup });
    expect(await renewRevisions()).toBe(0);
    const { rows } = await pool().query(
      'select number, cause, tree_version = 0 as old from revisions where mockup_id = $1 order by number',
      [added.mockupId],
    );
    expect(rows).toEqual([
      { number: 1, cause: 'file', old: true },
      { number: 2, cause: 'update', old: false },
    ]);
  });

  it('starts with a stored mockup that the reader refuses by now, and keeps its last tree', async () => {
    const torn = new TextEncoder().encode('<svg');
    const old = await addProject({ bytes: torn, fileName: 'torn.svg', reading, demoDigest: null });
    await pool().query('update revisions set tree_version = 0 where mockup_id = $1', [old.mockupId]);
    const warned = jest.spyOn(console, 'warn').mockImplementation(() => undefined);
    expect(await renewRevisions()).toBe(0);
    expect(warned).toHaveBeenCalledWith(
      expect.stringMatching(/^torn\.svg is kept as it was read before\. The XML is broken/),
    );
    warned.mockRestore();
    expect(await opened(old.mockupId)).toMatchObject({ mockup: read.mockup });
    await removeProject(old.projectId);
  });

  it('sets a facet that comes twice in one edit to the later value', async () => {
    const twice = ['first', 'second'].map((value) => ({ layer, facet: 'outputName' as const, value }));
    expect(await setFacets(added.mockupId, twice)).toMatchObject({ changes: [{ after: 'second' }] });
    await undo(added.mockupId);
  });

  it('stores equal bytes once', async () => {
    const before = await pool().query<{ count: string }>('select count(*) from blobs');
    const again = await addProject({ bytes, fileName: 'harbour.svg', reading, demoDigest: null });
    const after = await pool().query<{ count: string }>('select count(*) from blobs');
    expect(after.rows[0]).toEqual(before.rows[0]);
    expect((await shelf(pool()))[0]).toMatchObject({
      project_id: again.projectId,
      layer_count: 141,
      tagged: 0,
    });
    await removeProject(again.projectId);
  });

  it('sets facets, undoes and redoes', async () => {
    expect(
      await setFacets(added.mockupId, [
        { layer, facet: 'role', value: 'box' },
        { layer, facet: 'classes', value: ['wide'] },
      ]),
    ).toMatchObject({ canUndo: true, canRedo: false });
    await setFacets(added.mockupId, [{ layer, facet: 'role', value: 'section' }]);
    expect(await tagsNow()).toEqual({ [layer]: { role: 'section', classes: ['wide'] } });
    await undo(added.mockupId);
    expect(await tagsNow()).toEqual({ [layer]: { role: 'box', classes: ['wide'] } });
    await undo(added.mockupId);
    expect(await tagsNow()).toEqual({});
    expect(await redo(added.mockupId)).toMatchObject({ canUndo: true, canRedo: true });
    await redo(added.mockupId);
    expect(await tagsNow()).toEqual({ [layer]: { role: 'section', classes: ['wide'] } });
    await setFacets(added.mockupId, [{ layer, facet: 'role', value: null }]);
    expect(await tagsNow()).toEqual({ [layer]: { classes: ['wide'] } });
  });

  it('gives back conflicting edits of two windows, and never confuses windows', async () => {
    const [one, other] = [NOBODY, '00000000-0000-4000-8000-000000000001'].map((id) => ({ id, name: 'Ines' }));
    const { lastEdit: after } = await opened(added.mockupId);
    const say = (value: 'footer' | 'section', editor = one!) =>
      setFacets(added.mockupId, [{ layer, facet: 'role', value }], { after, editor });
    expect(await say('footer')).toMatchObject({ conflicts: [] });
    expect(await say('section', other)).toMatchObject({
      changes: [],
      conflicts: [{ layer, facet: 'role', mine: 'section', theirs: 'footer', by: 'Ines' }],
    });
    expect(await say('footer', other)).toMatchObject({ conflicts: [] });
    await undo(added.mockupId, { editor: one! });
    expect(await say('section')).toMatchObject({ conflicts: [], changes: [{ after: 'section' }] });
    await undo(added.mockupId, { editor: one! });
  });

  it('gives other windows the edits since their last request', async () => {
    const { lastEdit } = await opened(added.mockupId);
    expect(await followEdits(added.mockupId, lastEdit)).toMatchObject({ lastEdit, changes: [] });
    await setFacets(added.mockupId, [{ layer, facet: 'role', value: 'footer' }]);
    await undo(added.mockupId);
    const followed = await followEdits(added.mockupId, lastEdit);
    expect(Number(followed.lastEdit)).toBeGreaterThan(Number(lastEdit));
    expect(followed.changes.map(({ facet, after }) => [facet, after])).toEqual([
      ['role', 'footer'],
      ['role', null],
    ]);
    await expect(followEdits(NOBODY, '0')).rejects.toMatchObject({ status: 404 });
  });

  it('records no edit that changes nothing', async () => {
    const count = async () =>
      (
        await pool().query<{ count: string }>('select count(*) from edits where mockup_id = $1', [
          added.mockupId,
        ])
      ).rows[0]!.count;
    const before = await count();
    await setFacets(added.mockupId, [{ layer, facet: 'classes', value: ['wide'] }]);
    expect(await count()).toBe(before);
  });

  it('loses nothing in concurrent edits', async () => {
    const layers = reading.layerIds.filter((id) => id !== layer).slice(0, 12);
    await Promise.all(
      Array.from({ length: 12 }, (_, at) =>
        setFacets(added.mockupId, [{ layer: layers[at]!, facet: 'outputName', value: `n${at}` }]),
      ),
    );
    const tags = await tagsNow();
    expect(Array.from({ length: 12 }, (_, at) => tags[layers[at]!]?.outputName)).toEqual(
      Array.from({ length: 12 }, (_, at) => `n${at}`),
    );
  });

  it('refuses invalid edits, and changes nothing', async () => {
    const before = await tagsNow();
    expect(() => setFacets(added.mockupId, [{ layer, facet: 'classes', value: ['1st'] }])).toThrow(
      /is no class name/,
    );
    expect(() =>
      setFacets(added.mockupId, [{ layer, facet: 'outcome', value: 'painting' as never }]),
    ).toThrow(/must be one of/i);
    await expect(setFacets(NOBODY, [{ layer, facet: 'role', value: 'box' }])).rejects.toMatchObject({
      status: 404,
    });
    await expect(openMockup(NOBODY)).rejects.toBeInstanceOf(Refusal);
    expect(await tagsNow()).toEqual(before);
  });

  it('reports when there is nothing to undo', async () => {
    const fresh = await addProject({ bytes, fileName: 'harbour.svg', reading, demoDigest: null });
    await expect(undo(fresh.mockupId)).rejects.toMatchObject({
      status: 409,
      message: 'There is nothing of yours left to undo.',
    });
    await expect(redo(fresh.mockupId)).rejects.toMatchObject({ status: 409 });
    await removeProject(fresh.projectId);
  });

  it('keeps no files of a cancelled build', async () => {
    const revision = (await newestRevision(pool(), added.mockupId))!;
    const id = await builds.insertBuild(
      pool(),
      added.mockupId,
      revision.id,
      { arrangement: 'nested', target: 'html' },
      {},
    );
    expect(await builds.startBuild(pool(), id)).toBe(1);
    expect(await builds.noteProgress(pool(), id, 1, 4)).toBe(true);
    expect(await builds.cancelBuild(pool(), id)).toBe(true);
    expect(await builds.noteProgress(pool(), id, 2, 4)).toBe(false);
    expect(await builds.finishBuild(pool(), id, NOTHING_BUILT, await putBlob(pool(), bytes))).toBe(false);
    expect(await builds.cancelBuild(pool(), id)).toBe(false);
    expect(await builds.getBuild(pool(), id)).toMatchObject({
      state: 'cancelled',
      done: 1,
      total: 4,
      result: null,
    });
  });

  it('reports on a mockup with its current tags', async () => {
    const { name, report } = JSON.parse(await reviewMockup(added.mockupId)) as ReviewedMockup;
    expect(name).toBe('harbour');
    expect(report.screens).toHaveLength(read.mockup.screens.length);
    await expect(reviewMockup(NOBODY)).rejects.toMatchObject({ status: 404 });
  });

  it('keeps the fonts of a project, refuses other files, and removes a font', async () => {
    const woff2 = readFileSync(shippedPath(SHIPPED[0]!.file));
    const owner = added.projectId;
    const font = await addFont(owner, 'harbour.woff2', woff2);
    expect(font).toMatchObject({ family: SHIPPED[0]!.family, digest: digestOf(woff2) });
    expect((await loadFonts(pool(), owner)).map(({ asset }) => asset)).toEqual([
      `font-${font.digest.slice(0, 16)}`,
    ]);
    expect(await listFonts(pool(), NOBODY)).toEqual([]);
    await expect(addFont(owner, 'torn.woff2', woff2.subarray(0, 300))).rejects.toThrow(
      /^This is no font file/,
    );
    await expect(addFont(owner, 'text.ttf', new TextEncoder().encode('tide'))).rejects.toThrow(Refusal);
    await expect(addFont(NOBODY, 'harbour.woff2', woff2)).rejects.toMatchObject({ status: 404 });
    expect(await removeFont(owner, font.digest)).toEqual({ fonts: [] });
    await expect(removeFont(owner, font.digest)).rejects.toMatchObject({ status: 404 });
  });

  it('undoes the edits of a person, and nobody else’s', async () => {
    const [ines, joris] = ['1', '2'].map((at) => `00000000-0000-4000-8000-00000000000${at}`);
    const fresh = await addProject({ bytes, fileName: 'harbour.svg', reading, demoDigest: null });
    const say = (person: string, facet: 'role' | 'outputName', value: string) =>
      setFacets(fresh.mockupId, [{ layer, facet, value: value as never }], { person });
    await say(ines!, 'outputName', 'pier');
    await say(joris!, 'role', 'footer');
    expect(await undo(fresh.mockupId, { person: ines! })).toMatchObject({
      changes: [{ facet: 'outputName', after: null }],
      canUndo: false,
      canRedo: true,
    });
    expect(JSON.parse(await openMockup(fresh.mockupId, joris))).toMatchObject({
      canUndo: true,
      canRedo: false,
    });
    // What somebody else has changed since is left to them.
    await say(ines!, 'role', 'section');
    await say(joris!, 'role', 'navigation');
    await expect(undo(fresh.mockupId, { person: ines! })).rejects.toMatchObject({ status: 409 });
    expect((await opened(fresh.mockupId)).tags[layer]).toMatchObject({ role: 'navigation' });
    await removeProject(fresh.projectId);
  });

  it('carries out a request once, though it is sent twice', async () => {
    const request = '00000000-0000-4000-8000-00000000000a';
    const step = { person: '00000000-0000-4000-8000-00000000000b', request };
    await setFacets(added.mockupId, [{ layer, facet: 'note', value: 'one' }], { person: step.person });
    await setFacets(added.mockupId, [{ layer, facet: 'note', value: 'two' }], { person: step.person });
    const first = await undo(added.mockupId, step);
    expect(await undo(added.mockupId, step)).toEqual(first);
    expect((await tagsNow())[layer]).toMatchObject({ note: 'one' });
  });

  it('refuses an edit of a layer that does not exist, and takes one of a marked region', async () => {
    const edit = (id: string) =>
      setFacets(added.mockupId, [{ layer: id, facet: 'outputName', value: 'pier' }]);
    await expect(edit('0123456789abcdef')).rejects.toMatchObject({ status: 409 });
    const region = { name: 'boat', x: 0, y: 0, width: 8, height: 8 };
    await setFacets(added.mockupId, [{ layer, facet: 'regions', value: [region] }]);
    expect(await edit(regionId(layer, region))).toMatchObject({ changes: [{ after: 'pier' }] });
  });

  it('gives a build up that was begun three times', async () => {
    const { id: revision } = (await newestRevision(pool(), added.mockupId))!;
    const options = { arrangement: 'nested', target: 'html' } as const;
    const id = await builds.insertBuild(pool(), added.mockupId, revision, options, {});
    for (let time = 1; time <= 3; time++) expect(await builds.startBuild(pool(), id)).toBe(time);
    expect(await runBuild(id)).toBe(false);
    expect(await builds.getBuild(pool(), id)).toMatchObject({
      state: 'failed',
      problem: expect.stringMatching(/begun three times/),
    });
  });

  it('does not find a removed or unknown reading', async () => {
    await expect(getReadingView(NOBODY)).rejects.toMatchObject({ status: 404 });
    await expect(removeReading(NOBODY)).rejects.toMatchObject({ status: 404 });
  });

  it('removes the bytes of a project with it, and none that another one needs', async () => {
    const blobs = async () => {
      const { rows } = await pool().query<{ digest: string }>('select digest from blobs');
      return new Set(rows.map(({ digest }) => digest));
    };
    const own = new TextEncoder().encode('<svg><!-- of this project alone --></svg>');
    const other = await addProject({ bytes: own, fileName: 'own.svg', reading, demoDigest: null });
    expect(await blobs()).toContain(digestOf(own));
    await removeProject(other.projectId);
    const left = await blobs();
    expect(left).not.toContain(digestOf(own));
    expect(left).toContain(digestOf(bytes));
    await expect(removeProject(other.projectId)).rejects.toMatchObject({ status: 404 });
  });

  it('identifies blobs by their SHA-256', () => {
    // FIPS 180-4, example "abc".
    expect(digestOf(new TextEncoder().encode('abc'))).toBe(
      'ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad',
    );
  });
});

describe('errors', () => {
  it.each([
    [new Refusal(409, 'No.'), 409],
    [new ReadError('empty'), 422],
    [new ReadError('too-large', { size: 9, limit: 4 }), 413],
    [new SyntaxError('x'), 400],
    [new DOMException('stopped', 'AbortError'), 499],
  ])('%s', async (error, status) => {
    const response = await respond(() => Promise.reject(error));
    expect(response.status).toBe(status);
    expect(((await response.json()) as { message: string }).message).toMatch(/^[A-Z].*\.$/);
  });
});
