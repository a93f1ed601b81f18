import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import type { Conversion } from '../../src/core/convert';
import { TARGETS } from '../../src/core/emit/targets';
import { USUAL_LANGUAGE } from '../../src/core/page/frame';
import { renderReact } from '../../src/engine/render/react';
import { renderVue } from '../../src/engine/render/vue';
import {
  COMPONENT_TARGETS,
  domLines,
  serverHtml,
  writeSite,
  type ComponentTarget,
} from '../support/components';
import { convertReading, readDemo } from '../support/mockups';

/** Components as developers go on with them: each edit shows just that change. */

const root = mkdtempSync(path.resolve('.orden/edits-'));
afterAll(() => rmSync(root, { recursive: true }));

let conversion: Conversion;
beforeAll(() => {
  conversion = convertReading(readDemo(), 'flow');
});

const ENDING = { react: 'tsx', vue: 'vue' } as const;
const NAMES = {
  react: { screen: 'Harbour', row: 'Sailing' },
  vue: { screen: 'HarbourScreen', row: 'SailingPart' },
};

function siteOf(target: ComponentTarget, name: string) {
  const folder = path.join(root, `${target}-${name}`);
  const { files } = TARGETS[target].emit({ ...conversion, settings: {}, language: USUAL_LANGUAGE });
  writeSite(folder, files);
  const place = (file: string) => path.join(folder, `${file}.${ENDING[target]}`);
  const change = (file: string, from: string | RegExp, to: string) => {
    const code = readFileSync(place(file), 'utf8');
    expect(code).toMatch(from);
    writeFileSync(place(file), code.replace(from, to));
  };
  const shown = async (fields = {}) => domLines((await serverHtml(target, folder, fields))[0]!);
  return {
    folder,
    change,
    shown,
    screen: `screens/${NAMES[target].screen}`,
    row: `components/${NAMES[target].row}`,
  };
}

/** Lines that only one of two pages has. */
function changed(before: readonly string[], after: readonly string[]) {
  const without = (all: readonly string[], others: readonly string[]) => {
    const left = [...others];
    return all.filter((line) => {
      const at = left.indexOf(line);
      if (at >= 0) left.splice(at, 1);
      return at < 0;
    });
  };
  return { gone: without(before, after), added: without(after, before) };
}

describe.each(COMPONENT_TARGETS)('in the components for %s', (target) => {
  it('another caption is one word of the code', async () => {
    const { change, shown, screen } = siteOf(target, 'caption');
    const before = await shown();
    change(screen, 'Book a crossing', 'Book a boat');
    const { gone, added } = changed(before, await shown());
    expect(gone.map((line) => line.trim())).toEqual(['Book a crossing']);
    expect(added.map((line) => line.trim())).toEqual(['Book a boat']);
  });

  it('a further item is a further row of data', async () => {
    const { change, shown, screen } = siteOf(target, 'item');
    const before = await shown();
    change(
      screen,
      /\{\s*time: "12:45",/,
      '{ time: "14:05", cell: "Lunn", quiet: "MV Skua", state: "On time", price: "8.00 kr" }, { time: "12:45",',
    );
    const { gone, added } = changed(before, await shown());
    expect(gone).toEqual([]);
    expect(added.filter((line) => line.includes('tr '))).toHaveLength(1);
    expect(added.map((line) => line.trim())).toEqual(expect.arrayContaining(['14:05', 'MV Skua', '8.00 kr']));
  });

  it('a change in the component of a list holds for all of its items', async () => {
    const { change, shown, row } = siteOf(target, 'row');
    const before = await shown();
    change(row, /<td\s+class(Name)?="sailing-serif"/, '<td title="departure" class$1="sailing-serif"');
    const { added } = changed(before, await shown());
    expect(added).toHaveLength(6);
    expect(added.every((line) => line.includes('title=departure'))).toBe(true);
  });

  it('a part in a scroll area, and one that fades in, are elements around it', async () => {
    const { change, shown, screen } = siteOf(target, 'around');
    const before = await shown();
    const name = target === 'react' ? 'className' : 'class';
    change(screen, new RegExp(`<div(?=\\s[^>]*${name}="sailings")`), `<div ${name}="scrolls"><div`);
    change(screen, /<\/table>\s*<\/div>/, '</table></div></div>');
    // The part itself is another line only because it stands one element deeper.
    const after = await shown();
    expect(after).toHaveLength(before.length + 1);
    expect(after.filter((line) => line.includes('class=scrolls'))).toHaveLength(1);
  });

  it('Chromium draws what the server renders', async () => {
    const { folder, shown } = siteOf(target, 'drawn');
    const screens = conversion.emission.screens.map((screen) => ({
      ...screen,
      file: TARGETS[target].pageFile(conversion.pages, 0),
    }));
    const render = { react: renderReact, vue: renderVue }[target];
    const { files } = await render({ folder, screens, language: 'en' });
    const page = files.find(({ path: file }) => file.endsWith('.html'))!;
    const lines = domLines(new TextDecoder().decode(page.bytes).replaceAll('../pictures', 'pictures'));
    expect(lines).toEqual(await shown());
  });
});
