import { execFile } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { promisify } from 'node:util';
import { TARGETS } from '../../src/core/emit/targets';
import { USUAL_LANGUAGE } from '../../src/core/page/frame';
import { renderQml } from '../../src/engine/render/qml';
import { COMPONENT_TARGETS, domLines, plainHtml, serverHtml, writeSite } from '../support/components';
import { convertReading, readInside } from '../support/mockups';

/** Words that mean something in the languages of targets: in all of them they are words. */
const WORDS = [
  'a "b" \'c\' `d` ${e} {f} {{ g }} <b>h</b> &amp; i',
  '</script></template>{/* */}<!-- -->',
  'back\\slash \\n \\u0041 */ // #{x}',
  '  two  spaces  ',
  '{{ constructor.constructor("return 1")() }}',
  '@string/x ?attr/y %1$s',
  'שלום \u2028 \u00a0 end',
  '",Qt.quit(),"',
];

const NAMES = [
  'class',
  '"quoted"',
  'constructor',
  '__proto__',
  'Text',
  'props',
  '{x}',
  '日本',
  '1',
  '</script>',
];

const xml = (words: string) => words.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`);

const content = WORDS.map((words, at) => {
  const name = xml(NAMES[at % NAMES.length]!);
  return `<g id="${name}"><rect y="${at * 12}" width="80" height="10" fill="#e${at}e"/><text y="${at * 12 + 9}" font-size="9" xml:space="preserve">${xml(words)}</text></g>`;
}).join('');
// The same once more, as the rows of a list.
const rows = WORDS.map(
  (words, at) =>
    `<g id="row-${at}" transform="translate(100 ${at * 12})"><rect width="80" height="10" fill="#eee"/><circle cx="5" cy="5" r="3"/><text x="10" y="9" font-size="9">${xml(words)}</text><text x="60" y="9" font-size="9">${at}</text></g>`,
).join('');

const run = promisify(execFile);
const root = mkdtempSync(path.resolve('.orden/hostile-'));
afterAll(() => rmSync(root, { recursive: true }));

describe.each(['nested', 'flow'] as const)('hostile words, %s', (arrangement) => {
  const reading = readInside(content + rows);
  const filesOf = (target: keyof typeof TARGETS) => {
    const conversion = convertReading(reading, arrangement, new Map(), { target });
    const { files } = TARGETS[target].emit({ ...conversion, settings: {}, language: USUAL_LANGUAGE });
    return { conversion, files };
  };

  it.each(COMPONENT_TARGETS)('are words in components for %s', async (target) => {
    const { conversion, files } = filesOf(target);
    const folder = path.join(root, `${target}-${arrangement}`);
    writeSite(folder, files);
    expect((await serverHtml(target, folder)).map(domLines)).toEqual(plainHtml(conversion).map(domLines));
  });

  it('are words in QML', async () => {
    const { conversion, files } = filesOf('qml');
    const folder = path.join(root, `qml-${arrangement}`);
    writeSite(folder, files);
    const screens = conversion.emission.screens;
    await expect(renderQml({ folder, screens, language: 'en' })).resolves.toMatchObject({ files: [{}] });
  });

  it('are words in resources of Android', async () => {
    const folder = path.join(root, `android-${arrangement}`);
    writeSite(folder, filesOf('android').files);
    writeFileSync(
      path.join(folder, 'AndroidManifest.xml'),
      '<manifest xmlns:android="http://schemas.android.com/apk/res/android" package="a.b"><application /></manifest>',
    );
    const place = (file: string) => path.join(folder, file);
    await run('aapt2', ['compile', '--dir', place('res'), '-o', place('c.zip')]);
    const link = ['link', '-o', place('o.apk'), '-I', '/usr/share/android-framework-res/framework-res.apk'];
    await expect(
      run('aapt2', [
        ...link,
        '--min-sdk-version',
        '28',
        '--manifest',
        place('AndroidManifest.xml'),
        '--auto-add-overlay',
        place('c.zip'),
      ]),
    ).resolves.toBeDefined();
  });
});
