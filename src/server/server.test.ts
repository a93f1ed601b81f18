import { readFileSync } from 'node:fs';
import path from 'node:path';
import { DEMO } from '../../tests/support/mockups';
import { ReadError } from '../core/read/readError';
import { createFontBook } from '../engine/fonts/fontBook';
import { readWithPicture, type ReadWithPicture } from '../engine/readWithPicture';
import { packReading, type PackedReading } from './workers/packReading';
import { reportJob, type ReportJob } from './workers/reportJob';
import { picturesJob, type PicturesJob } from './workers/picturesJob';
import { screensJob, type ScreensJob } from './workers/screensJob';
import { styleFileJob, type StyleFileJob } from './workers/styleFileJob';
import { styleJob, type StyleJob } from './workers/styleJob';
import { unzipSync } from 'fflate';
import sharp from 'sharp';
import type { StyleBook } from '../core/emit/styleBook';
import { setFacets } from './useCases/editTags';
import { listPictures, pictureFile, trialFile, tryPicture } from './useCases/pictures';
import { exportStyle, importStyle } from './useCases/styleFiles';
import { styleOfMockup } from './useCases/styleOfMockup';
import { writeScreens } from './useCases/writeScreens';
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
import { loadDemo } from './useCases/loadDemo';
import { openMockup, type OpenedMockup } from './useCases/openMockup';
import { getReadingView } from './useCases/readFile';
import { removeProject, removeReading } from './useCases/remove';
import { fontJob, type FontJob } from './workers/fontJob';
import { renewRevisions } from './useCases/renewRevisions';
import { runBuild } from './jobs/runBuild';
import { reviewMockup, type ReviewedMockup } from './useCases/reviewMockup';

// Jest starts no workers of TypeScript: the job runs here. `workerPool.test.ts` runs jobs in workers.
jest.mock('./workers/workers', () => ({
  readFontInWorker: (job: FontJob) => Promise.resolve(fontJob(job)),
  reportInWorker: (job: ReportJob) => Promise.resolve(reportJob(job)),
  picturesInWorker: (job: PicturesJob) => picturesJob(job),
  screensInWorker: (job: ScreensJob) => screensJob(job),
  styleInWorker: (job: StyleJob) => Promise.resolve(styleJob(job)),
  styleFileInWorker: (job: StyleFileJob) => Promise.resolve(styleFileJob(job)),
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

  describe('pictures before they are built', () => {
    const { signal } = new AbortController();

    it('lists them with their files, and draws a file as large as it says', async () => {
      const { pictures } = await listPictures(added.mockupId, signal);
      expect(pictures.length).toBeGreaterThan(3);
      const files = pictures.flatMap((picture) => picture.files);
      const file = files.find(({ format }) => format === 'svg');
      const { bytes, plain } = await pictureFile(added.mockupId, file!.path, signal);
      expect(bytes.length).toBeLessThan(plain!);
      const { width, height } = await sharp(bytes).metadata();
      expect({ width, height }).toEqual({ width: file!.width, height: file!.height });
      await expect(pictureFile(added.mockupId, 'pictures/none.png', signal)).rejects.toMatchObject({
        status: 404,
      });
      await expect(listPictures(NOBODY, signal)).rejects.toMatchObject({ status: 404 });
    });

    it('tries a format on one, of which a file shows how it looks', async () => {
      const { pictures } = await listPictures(added.mockupId, signal);
      const { name, width } = pictures[0]!;
      const trial = await tryPicture(added.mockupId, { picture: name, format: 'webp', scale: 2 }, signal);
      expect(trial.points.length).toBeGreaterThan(2);
      const query = { picture: name, format: 'webp', quality: 60, scale: 2 } as const;
      const file = await sharp(await trialFile(added.mockupId, query, signal)).metadata();
      expect(file).toMatchObject({ format: 'webp', width: Math.round(width * 2) });
      await expect(trialFile(added.mockupId, { ...query, picture: 'none' }, signal)).rejects.toMatchObject({
        status: 404,
      });
    });

    it('has another mark when what a person said makes other pictures', async () => {
      const before = await listPictures(added.mockupId, signal);
      const [{ layer } = { layer: '' }] = before.pictures[0]!.layers;
      await setFacets(added.mockupId, [{ layer, facet: 'outputName', value: 'tide-mark' }], { person: null });
      const after = await listPictures(added.mockupId, signal);
      expect(after.mark).not.toBe(before.mark);
      expect(after.pictures.map(({ name }) => name)).toContain('tide-mark');
      await setFacets(added.mockupId, [{ layer, facet: 'outputName', value: null }], { person: null });
      expect((await listPictures(added.mockupId, signal)).mark).toBe(before.mark);
    });

    it('writes whole screens: one as a file, several as a ZIP', async () => {
      const [screen] = read.mockup.screens;
      const one = await writeScreens(added.mockupId, { format: ['png'], screen: [screen!.id] }, signal);
      expect(one.path).toMatch(/\.png$/);
      expect(await sharp(one.bytes).metadata()).toMatchObject({ format: 'png', width: screen!.width });
      const all = await writeScreens(
        added.mockupId,
        { format: ['png', 'jpeg'], screen: [screen!.id] },
        signal,
      );
      expect(all.path).toMatch(/-screens\.zip$/);
      expect(
        Object.keys(unzipSync(all.bytes))
          .map((path) => path.split('.').at(-1))
          .toSorted(),
      ).toEqual(['jpg', 'png']);
      await expect(
        writeScreens(added.mockupId, { format: ['png'], screen: ['none'] }, signal),
      ).rejects.toMatchObject({ status: 404 });
    });
  });

  it('shows the style sheet as it is now, and takes what a style file says', async () => {
    const book = async () => JSON.parse(await styleOfMockup(added.mockupId)) as StyleBook;
    const before = await book();
    const { name, namedBy } = before.classes.find(
      (each) => each.namedBy !== null && each.origin !== 'sample',
    )!;
    const edit = { layer: namedBy!, facet: 'lookName', value: 'quay-sign' } as const;
    await setFacets(added.mockupId, [edit], { person: null });
    expect((await book()).classes.map((each) => each.name)).toContain('quay-sign');
    const file = await exportStyle(added.mockupId);
    await setFacets(added.mockupId, [{ ...edit, value: null }], { person: null });
    expect((await book()).classes.map((each) => each.name)).toContain(name);
    expect(await importStyle(added.mockupId, file, null)).toMatchObject({ refused: [] });
    expect((await book()).classes.map((each) => each.name)).toContain('quay-sign');
    await expect(importStyle(added.mockupId, { version: 99 }, null)).rejects.toMatchObject({ status: 422 });
    await setFacets(added.mockupId, [{ ...edit, value: null }], { person: null });
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
