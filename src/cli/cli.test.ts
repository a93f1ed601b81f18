import { execFile } from 'node:child_process';
import { mkdtemp, readdir, readFile, rm, writeFile } from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import { DEMO } from '../../tests/support/mockups';

let folder: string;
beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), 'orden-cli-'));
});
afterAll(() => rm(folder, { recursive: true }));

interface Run {
  readonly status: number;
  readonly out: string;
  readonly err: string;
}

/** Runs the command from another folder and without a database. */
function orden(...args: string[]): Promise<Run> {
  const env = { ...process.env, DATABASE_URL: '' };
  return new Promise((resolve) => {
    execFile(path.resolve('bin/orden'), args, { cwd: folder, env }, (error, out, err) => {
      resolve({ status: error ? Number(error.code) : 0, out, err });
    });
  });
}

describe('orden convert', () => {
  it('writes the page and prints one object with --json', async () => {
    const { status, out } = await orden('convert', DEMO, '--out', 'demo', '--arrange', 'fixed', '--json');
    expect(status).toBe(0);
    const said = JSON.parse(out) as Record<string, unknown>;
    expect(said).toMatchObject({
      screens: [{ name: 'harbour', width: 1280, height: 800, file: 'index.html' }],
      layers: { total: 141, element: expect.any(Number), picture: expect.any(Number), sample: 0, aside: 5 },
      pictures: expect.arrayContaining([
        expect.objectContaining({
          file: 'pictures/harbour-photo.jpg',
          format: 'jpeg',
          width: 2640,
          height: 600,
          bytes: expect.any(Number),
        }),
      ]),
      findings: [
        {
          code: 'past-edge',
          severity: 'note',
          layer: '/hero/harbour-photo',
          message: expect.stringContaining('past the screen'),
        },
      ],
    });
    expect(Object.keys(said.ms as object)).toEqual([
      'read',
      'sort',
      'pictures',
      'page',
      'style',
      'emit',
      'total',
    ]);
    const html = await readFile(path.join(folder, 'demo/index.html'), 'utf8');
    expect(html).toMatch(/^<!doctype html>/);
  });

  it('takes tags from a file', async () => {
    await writeFile(
      path.join(folder, 'tags.json'),
      JSON.stringify({ '/harbour/footer': { outcome: 'aside' } }),
    );
    const { status } = await orden('convert', DEMO, '--out', 'tagged', '--tags', 'tags.json');
    expect(status).toBe(0);
    expect(await readFile(path.join(folder, 'tagged/index.html'), 'utf8')).not.toContain('<footer');
  });

  it.each([
    ['a missing file', ['convert', 'none.svg', '--out', 'x'], 1, 'orden: There is no file none.svg.\n'],
    [
      'no SVG',
      ['convert', 'words.svg', '--out', 'x'],
      1,
      'orden: Orden cannot read this file: its bytes are no mockup. Choose an SVG, OpenRaster, PNG, JPEG or WebP mockup.\n',
    ],
    [
      'broken XML',
      ['convert', 'broken.svg', '--out', 'x'],
      1,
      expect.stringMatching(
        /^orden: The XML is broken at line 2, column \d+: .+\. Save the mockup again\.\n$/,
      ),
    ],
    [
      'broken tags',
      ['convert', DEMO, '--out', 'x', '--tags', 'words.svg'],
      1,
      'orden: The tags file words.svg is no JSON.\n',
    ],
    [
      'wrong tags',
      ['convert', DEMO, '--out', 'x', '--tags', 'wrong.json'],
      1,
      expect.stringMatching(/^orden: The tags file wrong\.json has a mistake: .+\.\n$/),
    ],
    ['no command', [], 2, expect.stringMatching(/^orden: Which command\?/)],
    ['an unknown command', ['explode'], 2, expect.stringMatching(/^orden: There is no command "explode"\./)],
    ['no folder', ['convert', DEMO], 2, expect.stringMatching(/^orden: Say with --out/)],
    [
      'an unknown arrangement',
      ['convert', DEMO, '--out', 'x', '--arrange', 'heap'],
      2,
      expect.stringMatching(/^orden: --arrange takes fixed or nested or flow, not "heap"\./),
    ],
    [
      'an unknown theme',
      ['convert', DEMO, '--out', 'x', '--themes', 'dusk'],
      1,
      'orden: The mockup has no theme dusk; it has none.\n',
    ],
    [
      'an option without a value',
      ['convert', DEMO, '--out', 'x', '--set', 'unit'],
      2,
      expect.stringMatching(/^orden: --set takes NAME=VALUE, not "unit"\./),
    ],
    [
      'an unknown option of the target',
      ['convert', DEMO, '--out', 'x', '--set', 'colour=red'],
      2,
      expect.stringMatching(
        /^orden: There is no option colour; there is unit, values, tokens, icons, shared\./,
      ),
    ],
    ['an unknown flag', ['convert', DEMO, '--fast'], 2, expect.stringMatching(/^orden: Unknown option/)],
  ])('answers %s with one sentence', async (_, args, status, message) => {
    await writeFile(path.join(folder, 'words.svg'), 'just words');
    await writeFile(path.join(folder, 'broken.svg'), '<svg>\n<g></svg>');
    await writeFile(path.join(folder, 'wrong.json'), '{"a":{"outcome":"painting"}}');
    const run = await orden(...args);
    expect([run.status, run.out]).toEqual([status, '']);
    expect(run.err).toEqual(message);
  });
});

describe('orden proof', () => {
  it('reports differences by screen and by layer, and keeps the pictures', async () => {
    const { status, out } = await orden('proof', DEMO, '--out', 'proved', '--json');
    expect(status).toBe(0);
    const said = JSON.parse(out) as { screens: { differing: number; index: number; worst: unknown[] }[] };
    expect(said.screens).toEqual([
      {
        name: 'harbour',
        differing: expect.any(Number),
        index: expect.any(Number),
        worst: expect.any(Array),
        shift: expect.objectContaining({ figure: expect.any(Number) }),
        colour: expect.objectContaining({ figure: expect.any(Number) }),
        cut: [],
      },
    ]);
    expect(said.screens[0]!.differing).toBeLessThan(0.002);
    expect(said.screens[0]!.index).toBeGreaterThan(0.995);
    const png = await readFile(path.join(folder, 'proved/proof/harbour.difference.png'));
    expect(png.subarray(1, 4).toString()).toBe('PNG');
    expect(await readFile(path.join(folder, 'proved/index.html'), 'utf8')).toContain('<!doctype html>');
  });

  it('requires one file', async () => {
    expect(await orden('proof')).toMatchObject({
      status: 2,
      err: expect.stringContaining('Give one mockup file.'),
    });
  });
});

describe('orden pictures', () => {
  it('lists every file and writes none', async () => {
    const { status, out } = await orden('pictures', DEMO, '--list', '--json');
    const { files } = JSON.parse(out) as { files: { file: string; width: number; reason: string }[] };
    expect(status).toBe(0);
    expect(files).toContainEqual(
      expect.objectContaining({ file: 'pictures/ferry-mark.svg', reason: 'shapes only: a vector' }),
    );
  });

  it('makes the pictures of some layers by recipes, and leaves the rest as it is', async () => {
    const folder = await mkdtemp(path.join(os.tmpdir(), 'orden-pictures-'));
    const recipes = path.join(folder, 'recipes.json');
    await writeFile(recipes, JSON.stringify({ recipes: [], usual: ['ios'] }));
    await writeFile(path.join(folder, 'kept.txt'), 'mine');
    const run = await orden('pictures', DEMO, '--out', folder, '--recipes', recipes, '--only', 'icon-wind');
    expect(run.status).toBe(0);
    expect((await readdir(path.join(folder, 'ios'))).sort()).toEqual([
      'icon-wind.png',
      'icon-wind@2x.png',
      'icon-wind@3x.png',
    ]);
    expect(await readFile(path.join(folder, 'kept.txt'), 'utf8')).toBe('mine');
    await rm(folder, { recursive: true });
  });

  it.each([
    [['pictures', DEMO], 2, /^orden: Give --out DIR, or --list/],
    [['pictures', DEMO, '--list', '--only', 'nobody'], 1, /^orden: No layer is called nobody/],
  ] as const)('answers %j with one sentence', async (args, status, message) => {
    const run = await orden(...args);
    expect([run.status, run.err]).toEqual([status, expect.stringMatching(message)]);
  });
});
