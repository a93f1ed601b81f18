import { execFile } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { promisify } from 'node:util';
import { AndroidResources } from '../../src/core/emit/android/resources';
import { screenView } from '../../src/core/emit/android/views';
import type { LayerId } from '../../src/core/mockup/layer';
import { withAnyMemo } from '../../src/core/mockup/memoize';
import type { Arrangement } from '../../src/core/page/frame';
import type { PageNode } from '../../src/core/page/node';
import { pageNodes } from '../../src/core/page/walk';
import { isVectorFormat } from '../../src/core/pictures/picture';
import { renderPicture } from '../../src/engine/pictures/renderPicture';
import { writeSite } from '../support/components';
import { androidBoxes } from '../support/androidGeometry';
import { convertReading, emitted, PAGE_MOCKUPS, readCase } from '../support/mockups';

/** Android layouts against what is outside of the project: the platform's own compiler and linker of resources (aapt2). */

const run = promisify(execFile);
const root = mkdtempSync(path.join(tmpdir(), 'orden-android-'));
afterAll(() => rmSync(root, { recursive: true }));

const PAGES = ['harbour', 'wheelhouse', 'bs5-pricing.svg', 'gentelella-widgets.svgz', 'win98-gallery.svgz'];
const MOCKUPS = [
  ...PAGE_MOCKUPS.filter(({ name }) => PAGES.includes(name)),
  ...['a02-states', 'a04-text', 'a08-form', 'a09-furniture', 'a17-slots', 'a20-states2'].map((name) => ({
    name,
    read: () => readCase(`drawn/${name}.svg`),
  })),
];

const MANIFEST = `<?xml version="1.0" encoding="utf-8"?>
<manifest xmlns:android="http://schemas.android.com/apk/res/android" package="island.ternholm.ferries">
  <uses-sdk android:minSdkVersion="28" android:targetSdkVersion="29" />
  <application />
</manifest>`;

/** Writes a build to a folder of its own. */
async function writeBuild({ name, read }: (typeof MOCKUPS)[number], arrangement: Arrangement) {
  const reading = read();
  const { emission, plan, fonts } = convertReading(reading, arrangement, new Map(), { target: 'android' });
  const folder = mkdtempSync(path.join(root, `${name}-${arrangement}-`));
  writeSite(folder, emission.files);
  const place = (file: string) => path.join(folder, file);
  for (const picture of plan.pictures)
    for (const file of picture.files) {
      mkdirSync(path.dirname(place(file.path)), { recursive: true });
      // What is in a bitmap says nothing to the platform.
      const isText = isVectorFormat(file.format);
      const bytes = isText ? await renderPicture(picture, file, reading.mockup, reading.assets) : PIXEL;
      writeFileSync(place(file.path), bytes);
    }
  for (const { path: file } of fonts) {
    mkdirSync(path.dirname(place(file)), { recursive: true });
    writeFileSync(place(file), '');
  }
  writeFileSync(place('AndroidManifest.xml'), MANIFEST);
  return { emission, place };
}

/** Compiles and links resources. @throws with what the tools say */
async function compile(place: (file: string) => string): Promise<void> {
  await run('aapt2', ['compile', '--dir', place('res'), '-o', place('compiled.zip')]);
  await run('aapt2', [
    'link',
    '-o',
    place('out.apk'),
    '-I',
    '/usr/share/android-framework-res/framework-res.apk',
    '--manifest',
    place('AndroidManifest.xml'),
    '--auto-add-overlay',
    place('compiled.zip'),
  ]);
}

/** A layout as the linker has compiled it, one line an element or attribute. */
async function compiledLayout(place: (file: string) => string, name: string): Promise<readonly string[]> {
  const { stdout } = await run('aapt2', [
    'dump',
    'xmltree',
    '--file',
    `res/layout/${name}.xml`,
    place('out.apk'),
  ]);
  return stdout.split('\n').map((line) => line.replace(/ \(line=\d+\)/, '').trim());
}

/** A PNG of one px. */
const PIXEL = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);

const NEAR = 2;

describe('Android layouts', () => {
  it.each(MOCKUPS)('of $name are compiled and linked by the platform', async (mockup) => {
    for (const arrangement of ['nested', 'flow'] as const)
      await expect(compile((await writeBuild(mockup, arrangement)).place)).resolves.toBeUndefined();
  });

  it.each(MOCKUPS)('of $name lose no words, and lay out what a use leaves out', ({ read }) => {
    const reading = read();
    for (const arrangement of ['nested', 'flow'] as const) {
      const { emission } = convertReading(reading, arrangement, new Map(), { target: 'android' });
      const textOf = (form: RegExp) =>
        emission.files.flatMap(({ path: file, text }) => (form.test(file) ? [text] : [])).join('');
      const names = [...textOf(/strings\.xml$/).matchAll(/<string name="(\w+)"/g)].map(([, name]) => name!);
      const uses = textOf(/layout\/|styles\.xml$/);
      expect(names.filter((name) => !new RegExp(`@string/${name}\\b`).test(uses))).toEqual([]);
      // A view without a width cannot be laid out, even where it is gone.
      const lengths = [...textOf(/attrs\.xml$/).matchAll(/name="(\w+)"\s+format="(?:dimension|float)"/g)];
      const rows = textOf(/styles\.xml$/);
      expect(lengths.filter(([, name]) => rows.includes(`name="${name}">@null<`))).toEqual([]);
    }
  });

  it('stand where the mockup has them, by their sizes, margins and weights', () => {
    let [near, all] = [0, 0];
    for (const { read } of PAGE_MOCKUPS) {
      const conversion = convertReading(read(), 'flow', new Map(), { target: 'android' });
      const [page] = conversion.pages;
      const nodes = new Map<LayerId, PageNode>(pageNodes(page!).map((node) => [node.layer, node]));
      const view = withAnyMemo(() => screenView(page!, new AndroidResources(conversion)));
      const boxes = androidBoxes(view, page!, ({ origin }) => {
        const place = origin && nodes.get(origin.layer)?.place;
        return place ? { width: place.width, height: place.height } : { width: 0, height: 0 };
      });
      for (const [layer, box] of boxes) {
        const node = nodes.get(layer);
        // Only what flows says where it is on the screen.
        if (node?.place.kind !== 'flow' || (node.kind === 'box' && node.anonymous)) continue;
        all += 1;
        const isNear = Math.abs(box.x - node.place.x) <= NEAR && Math.abs(box.y - node.place.y) <= NEAR;
        if (isNear) near += 1;
      }
    }
    expect(all).toBeGreaterThan(500);
    expect(near / all).toBeGreaterThan(0.95);
  });

  it('share the blocks that several screens have, and fill slots in the editor alone', () => {
    const shared = convertReading(readCase('drawn/a09-furniture.svg'), 'nested', new Map(), {
      target: 'android',
    });
    const paths = shared.emission.files.map(({ path: file }) => file);
    expect(paths).toEqual(expect.arrayContaining(['res/layout/header.xml', 'res/layout/home.xml']));
    expect(emitted(shared, 'res/layout/home.xml')).toContain('layout="@layout/header"');

    const slots = convertReading(readCase('drawn/a17-slots.svg'), 'nested', new Map(), { target: 'android' });
    const layout = slots.emission.files.find(({ path: file }) => file.startsWith('res/layout/'))!.text;
    expect(layout).toMatch(/tools:text="13\.2"/);
    expect(emitted(slots, 'res/values/strings.xml')).not.toContain('>13.2<');
  });

  it('say the looks of states as lists that the platform searches', () => {
    const { emission } = convertReading(readCase('drawn/a02-states.svg'), 'nested', new Map(), {
      target: 'android',
    });
    const lists = emission.files.filter(({ text }) => text.includes('<selector'));
    expect(lists.length).toBeGreaterThan(0);
    expect(lists.map(({ text }) => text).join('')).toMatch(/android:state_(?:pressed|hovered)="true"/);
  });

  describe('edited as developers do', () => {
    const edited = async (file: string, from: string | RegExp, to: string) => {
      const { place } = await writeBuild(
        MOCKUPS.find(({ name }) => name === 'harbour')!,
        'flow',
      );
      await compile(place);
      const before = await compiledLayout(place, 'harbour');
      const code = readFileSync(place(file), 'utf8');
      expect(code).toMatch(from);
      writeFileSync(place(file), code.replace(from, to));
      await compile(place);
      const after = await compiledLayout(place, 'harbour');
      return { added: linesBeyond(after, before), gone: linesBeyond(before, after), place };
    };

    it('have another caption by one string', async () => {
      const { added, gone } = await edited('res/values/strings.xml', '>Book a crossing<', '>Book a boat<');
      expect([...added, ...gone]).toEqual([]);
    });

    it('have a further item by one use of its layout', async () => {
      const use = /[ ]*<include\s+android:id="@\+id\/sailing2"[^>]*\/>\n/;
      const { added, gone } = await edited('res/layout/harbour.xml', use, '$&$&');
      expect(gone).toEqual([]);
      expect(added.filter((line) => line.startsWith('E:'))).toEqual(['E: include']);
    });

    it('scroll a part in a view around it, and fade one by an attribute', async () => {
      const part = /<LinearLayout\s+android:id="@\+id\/(\w+)"/;
      const { added, gone } = await edited('res/layout/harbour.xml', part, '$& android:alpha="0.5"');
      expect(gone).toEqual([]);
      expect(added).toHaveLength(1);
      expect(added[0]).toMatch(/alpha.*=0\.5/);

      const use = /<include\s+android:id="@\+id\/sailing1"[^>]*\/>/;
      const size = 'android:layout_width="match_parent" android:layout_height="90dp"';
      const scrolled = await edited('res/layout/harbour.xml', use, `<ScrollView ${size}>$&</ScrollView>`);
      expect(scrolled.gone).toEqual([]);
      expect(scrolled.added.filter((line) => line.startsWith('E:'))).toEqual(['E: ScrollView']);
    });
  });
});

/** Lines that the first list has more often than the second. */
function linesBeyond(lines: readonly string[], others: readonly string[]): readonly string[] {
  const left = [...others];
  return lines.filter((line) => {
    const at = left.indexOf(line);
    if (at >= 0) left.splice(at, 1);
    return at < 0;
  });
}
