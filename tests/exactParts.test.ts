import { readFile, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { gunzipSync } from 'node:zlib';
import { buildInto } from './support/build';
import { inChromium } from './support/inChromium';
import { compareFiles } from './support/likeness';
import { casePath, DEMO, readCase, readDemo } from './support/mockups';

/** What a person wants exactly as drawn, in a page of the flow, against the mockup in the same Chromium. */
const here = inChromium();

it.each([
  { name: 'harbour', file: DEMO, reading: readDemo, most: 0.001 },
  // Its words are in families that are missing here: in the flow they are as wide as a reader's font.
  {
    name: 'tabler-store',
    file: casePath('tabler-store.svgz'),
    reading: () => readCase('tabler-store.svgz'),
    most: 0.002,
  },
])('$name, exactly as drawn in the flow, looks like its mockup', async ({ name, file, reading, most }) => {
  const read = reading();
  const screen = read.mockup.screens[0]!;
  const groups = screen.root.layers.filter(({ kind }) => kind === 'group');
  const tags = new Map(groups.map(({ id }) => [id, { contents: 'exact' } as const]));
  const out = path.join(here.folder, name);
  const { findings } = await buildInto(out, read, 'flow', tags);
  expect(findings.map(({ code }) => code)).not.toContain('at-coordinates');
  const drawn = path.join(here.folder, `${name}.svg`);
  const bytes = await readFile(file);
  await writeFile(drawn, file.endsWith('z') ? gunzipSync(bytes) : bytes);
  const page = path.join(out, 'index.html');
  const { differing } = await compareFiles(
    here.browser,
    page,
    drawn,
    Math.ceil(screen.width),
    Math.ceil(screen.height),
  );
  expect(differing).toBeLessThan(most);
});
