import { execFile } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { promisify } from 'node:util';
import type { Conversion } from '../../src/core/convert';
import { bundle } from '../../src/engine/render/bundle';
import { TARGETS } from '../../src/core/emit/targets';
import { USUAL_LANGUAGE } from '../../src/core/page/frame';
import {
  COMPONENT_TARGETS,
  domLines,
  plainHtml,
  serverHtml,
  writeSite,
  type ComponentTarget,
} from '../support/components';
import { convertReading, PAGE_MOCKUPS, readCase } from '../support/mockups';

/**
 * Components against what is outside of the project: the compilers and renderers of React and Vue, TypeScript, and the
 * formatters and linters that their developers use.
 */

const DRAWN = [
  'a02-states',
  'a04-text',
  'a08-form',
  'a09-furniture',
  'a13-links',
  'a17-slots',
  'a20-states2',
];
const MOCKUPS = [
  ...PAGE_MOCKUPS,
  ...DRAWN.map((name) => ({ name, read: () => readCase(`drawn/${name}.svg`) })),
];

const run = promisify(execFile);

/** Inside of the project, so that compilers find their libraries. */
const root = mkdtempSync(path.resolve('.orden/components-'));
afterAll(() => rmSync(root, { recursive: true }));

/** Coordinates are written alike on all pages: some of them are enough. */
const PLACED = new Set([
  'harbour',
  'gentelella-widgets.svgz',
  'win98-gallery.svgz',
  'a02-states',
  'a04-text',
]);

const SITES = MOCKUPS.flatMap(({ name, read }) =>
  (PLACED.has(name) ? (['nested', 'flow'] as const) : (['flow'] as const)).map((arrangement) => ({
    name: `${name}-${arrangement}`,
    arrangement,
    read,
  })),
);

const conversions = new Map<string, Conversion>();

/** A site in the folder of a target. */
function built(target: ComponentTarget, { name, arrangement, read }: (typeof SITES)[number]) {
  const conversion = conversions.get(name) ?? convertReading(read(), arrangement);
  conversions.set(name, conversion);
  const folder = path.join(root, target, name);
  writeSite(folder, TARGETS[target].emit({ ...conversion, settings: {}, language: USUAL_LANGUAGE }).files);
  return { conversion, folder };
}

describe.each(COMPONENT_TARGETS)('the components for %s', (target) => {
  it.each(SITES)('give the elements of plain HTML: $name', async (site) => {
    const { conversion, folder } = built(target, site);
    const screens = await serverHtml(target, folder);
    expect(screens.map(domLines)).toEqual(plainHtml(conversion).map(domLines));
  });

  it('are accepted by a strict TypeScript', async () => {
    const options = {
      strict: true,
      noUncheckedIndexedAccess: true,
      noUnusedLocals: true,
      jsx: target === 'react' ? 'react-jsx' : 'preserve',
      module: 'esnext',
      moduleResolution: 'bundler',
      target: 'es2022',
      lib: ['es2022', 'dom'],
      noEmit: true,
      skipLibCheck: true,
      types: [],
    };
    const project = path.join(root, target, 'tsconfig.json');
    writeFileSync(project, JSON.stringify({ compilerOptions: options, include: ['**/*'] }));
    const compiler = target === 'react' ? 'typescript/bin/tsc' : 'vue-tsc/bin/vue-tsc.js';
    await expect(run(process.execPath, [`node_modules/${compiler}`, '-p', project])).resolves.toMatchObject({
      stdout: '',
    });
  });

  it('are written as the formatter and the linter of their developers want them', async () => {
    const { stdout } = await run(process.execPath, [
      'tests/targets/lint.mjs',
      target,
      path.join(root, target),
    ]);
    expect(stdout).toMatch(/^\d+ files\n$/);
    expect(Number.parseInt(stdout, 10)).toBeGreaterThan(SITES.length);
  });
});

describe('a CSS module', () => {
  it('gives the same elements, with names that no other sheet has', async () => {
    const conversion = convertReading(readCase('drawn/a07-cards.svg'), 'flow');
    const folder = path.join(root, 'modules');
    const settings = { styles: 'modules' };
    const { files } = TARGETS.react.emit({ ...conversion, settings, language: USUAL_LANGUAGE });
    writeSite(folder, files);
    const [screen] = await serverHtml('react', folder);
    const withoutClasses = (html: string) =>
      domLines(html).map((line) => line.replace(/ class=[^=]*?(?= \w+=|$)/, ''));
    expect(withoutClasses(screen!)).toEqual(plainHtml(conversion).flatMap(withoutClasses));
    const { css } = await bundle(folder, "import './screens';", 'node');
    const names = new Set([...screen!.matchAll(/ class="([^"]+)"/g)].flatMap(([, list]) => list!.split(' ')));
    const own = new Set(
      files.find(({ path: file }) => file === 'styles.module.css')!.text.match(/\.[a-z][\w-]*/g),
    );
    expect(names.size).toBeGreaterThan(5);
    for (const name of names) {
      expect(css).toContain(`.${name}`);
      expect(own).not.toContain(`.${name}`);
    }
  });
});
