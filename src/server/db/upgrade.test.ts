import path from 'node:path';
import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { idAt } from '../../../tests/support/ids';
import { migrate } from './migrate';

const MIGRATIONS = path.resolve('db/migrations');
const ADDRESS = process.env.DATABASE_URL;
/** Runs on the server of ./check, in a database of its own; skipped without one. */
const withServer = ADDRESS ? describe : describe.skip;

/** A database of its own for the tests of a block. */
function ownDatabase(): () => pg.Pool {
  const name = `upgrade_${randomUUID().replaceAll('-', '')}`;
  let server: pg.Pool;
  let own: pg.Pool;
  beforeAll(async () => {
    server = new pg.Pool({ connectionString: ADDRESS });
    await server.query(`create database ${name}`);
    const address = new URL(ADDRESS!);
    address.pathname = `/${name}`;
    own = new pg.Pool({ connectionString: address.href });
  });
  afterAll(async () => {
    await own.end();
    await server.query(`drop database ${name}`);
    await server.end();
  });
  return () => own;
}

withServer('a database of the first days', () => {
  const database = ownDatabase();

  it('gets the version of its trees, which are read anew, and keeps its tags', async () => {
    const old = database();
    await migrate(old, MIGRATIONS, '0001_first.sql');
    await old.query(`
      alter table revisions drop column tree_version;
      insert into projects (id, name) values ('00000000-0000-4000-8000-000000000001', 'harbour');
      insert into mockups (id, project_id, name, format) values
        ('00000000-0000-4000-8000-000000000002', '00000000-0000-4000-8000-000000000001', 'harbour', 'svg');
      insert into blobs (digest, bytes) values ('d', 'x');
      insert into revisions (mockup_id, number, file_name, source_digest, picture_digest, tree, findings, layer_count)
        values ('00000000-0000-4000-8000-000000000002', 1, 'harbour.svg', 'd', 'd', '{}', '[]', 3);
      insert into tags (mockup_id, layer_key, facet, value) values
        ('00000000-0000-4000-8000-000000000002', '/harbour/hero', 'role', '"section"');
    `);
    await migrate(old, MIGRATIONS);
    const { rows: revisions } = await old.query('select tree_version from revisions');
    const { rows: tags } = await old.query('select facet, value from tags');
    expect([revisions, tags]).toEqual([[{ tree_version: 0 }], [{ facet: 'role', value: 'section' }]]);
  });
});

withServer('a database with paths as layer keys', () => {
  const database = ownDatabase();
  let old: pg.Pool;

  beforeAll(async () => {
    old = database();
    await migrate(old, MIGRATIONS, '0006_proofs.sql');
    await old.query(`
      insert into projects (id, name) values ('00000000-0000-4000-8000-000000000001', 'harbour');
      insert into mockups (id, project_id, name, format) values
        ('00000000-0000-4000-8000-000000000002', '00000000-0000-4000-8000-000000000001', 'harbour', 'svg'),
        ('00000000-0000-4000-8000-000000000003', '00000000-0000-4000-8000-000000000001', 'photo', 'flat');
      insert into blobs (digest, bytes) values ('d', 'x');
      insert into revisions
        (id, mockup_id, number, file_name, source_digest, picture_digest, tree, tree_version, findings, layer_count)
        values ('00000000-0000-4000-8000-000000000004', '00000000-0000-4000-8000-000000000002', 1, 'harbour.svg',
          'd', 'd', '{}', 5, '[]', 3);
      insert into tags (mockup_id, layer_key, facet, value) values
        ('00000000-0000-4000-8000-000000000002', '/harbour/hero/Über-uns~2', 'wide', '"fill"'),
        ('00000000-0000-4000-8000-000000000002', '/harbour/hero', 'role', '"section"'),
        ('00000000-0000-4000-8000-000000000003', '/photo/photo', 'regions', '[]'),
        ('00000000-0000-4000-8000-000000000003', '/photo/photo/boat', 'hidden', 'true');
      insert into edits (mockup_id, kind, changes) values
        ('00000000-0000-4000-8000-000000000002', 'set',
          '[{"layer": "/harbour/hero", "facet": "role", "before": null, "after": "section"},
            {"layer": "/harbour/hero/Über-uns~2", "facet": "wide", "before": "hug", "after": "fill"}]');
      insert into builds (id, mockup_id, revision_id, options, tags, state) values
        ('00000000-0000-4000-8000-000000000005', '00000000-0000-4000-8000-000000000002',
          '00000000-0000-4000-8000-000000000004', '{"arrangement": "flow", "unit": "rem", "fragments": true}',
          '{"/harbour/hero": {"wide": "set", "role": "section"}}', 'done');
      insert into fonts (digest, file_name, family, weight, italic) values ('d', 'aleo.woff2', 'Aleo', 700, false);
      insert into build_files (build_id, path, digest, size) values
        ('00000000-0000-4000-8000-000000000005', 'index.html', 'd', 1);
      insert into proofs (build_id, state, screens) values ('00000000-0000-4000-8000-000000000005', 'done',
        '[{"name": "harbour", "worst": [{"layer": "/harbour/hero", "differing": 0.1, "box": null}]}]');
    `);
    await migrate(old, MIGRATIONS);
  });

  it('keeps every tag at its layer', async () => {
    const { rows } = await old.query('select layer_id, facet, value from tags order by facet');
    expect(rows).toEqual([
      { layer_id: idAt('/picture/boat'), facet: 'hidden', value: true },
      { layer_id: idAt('/picture'), facet: 'regions', value: [] },
      { layer_id: idAt('/hero'), facet: 'role', value: 'section' },
      { layer_id: idAt('/hero/Über-uns~2'), facet: 'width', value: 'rest' },
    ]);
  });

  it('keeps every edit, so that it can be undone', async () => {
    const { rows } = await old.query<{ changes: unknown }>('select changes from edits');
    expect(rows.map(({ changes }) => changes)).toEqual([
      [
        { layer: idAt('/hero'), facet: 'role', before: null, after: 'section' },
        { layer: idAt('/hero/Über-uns~2'), facet: 'width', before: 'fit', after: 'rest' },
      ],
    ]);
  });

  it('gives the fonts, which were everybody’s, to each project', async () => {
    const { rows } = await old.query('select owner, family, size from fonts');
    expect(rows).toEqual([{ owner: '00000000-0000-4000-8000-000000000001', family: 'Aleo', size: 1 }]);
  });

  it('keeps builds with their files, tags and proofs', async () => {
    const { rows } = await old.query('select tags, options, record_digest from builds');
    expect(rows).toEqual([
      {
        tags: { [idAt('/hero')]: { width: 'drawn', role: 'section' } },
        options: { arrangement: 'flow', settings: { unit: 'rem', shared: 'apart' } },
        record_digest: null,
      },
    ]);
    const files = await old.query('select path from build_files');
    expect(files.rows).toEqual([{ path: 'index.html' }]);
    const proofs = await old.query<{ screens: unknown }>('select screens from proofs');
    expect(proofs.rows[0]?.screens).toEqual([
      { name: 'harbour', worst: [{ layer: idAt('/hero'), path: '/hero', differing: 0.1, box: null }] },
    ]);
  });
});
