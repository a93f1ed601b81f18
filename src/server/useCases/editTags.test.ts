import { readFileSync } from 'node:fs';
import { DEMO } from '../../../tests/support/mockups';
import { idAt } from '../../../tests/support/ids';
import { SHEET } from '../../core/mockup/identity';
import { regionId } from '../../core/sort/regions';
import { createFontBook } from '../../engine/fonts/fontBook';
import { readWithPicture } from '../../engine/readWithPicture';
import { Refusal } from '../http';
import { pool } from '../db/pool';
import { packReading, type PackedReading } from '../workers/packReading';
import { addProject, type AddedProject } from './addProject';
import { redo, setFacets, undo } from './editTags';
import { followEdits } from './followEdits';
import { openMockup, type OpenedMockup } from './openMockup';
import { removeProject } from './remove';

const NOBODY = '00000000-0000-4000-8000-000000000000';

/** Runs on the database of ./check; skipped without one. */
const withDatabase = process.env.DATABASE_URL ? describe : describe.skip;

withDatabase('edits', () => {
  const bytes = readFileSync(DEMO);
  const layer = idAt('/footer');
  let reading: PackedReading;
  let added: AddedProject;
  const opened = async (id: string) => JSON.parse(await openMockup(id)) as OpenedMockup;
  const tagsNow = async () => (await opened(added.mockupId)).tags;

  beforeAll(async () => {
    reading = packReading(await readWithPicture(bytes, 'harbour.svg', { book: createFontBook() }));
    added = await addProject({ bytes, fileName: 'harbour.svg', reading, demoDigest: null });
  });
  afterAll(async () => {
    await removeProject(added.projectId);
    await pool().end();
  });

  it('sets a facet that comes twice in one edit to the later value', async () => {
    const twice = ['first', 'second'].map((value) => ({ layer, facet: 'outputName' as const, value }));
    expect(await setFacets(added.mockupId, twice)).toMatchObject({ changes: [{ after: 'second' }] });
    await undo(added.mockupId);
  });

  it('takes equal values for no change, in whatever order their keys come', async () => {
    const said = { kind: 'colour', value: '#232222', into: '#222' } as const;
    const edit = { layer: SHEET.id, facet: 'values', value: [said] } as const;
    expect((await setFacets(added.mockupId, [edit])).changes).toHaveLength(1);
    expect(await setFacets(added.mockupId, [edit])).toMatchObject({ changes: [] });
    await undo(added.mockupId);
    expect((await tagsNow())[SHEET.id]?.values).toBeUndefined();
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
});
