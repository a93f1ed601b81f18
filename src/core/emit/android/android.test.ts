import { convertReading, emitted, readInside } from '../../../../tests/support/mockups';
import type { Tag } from '../../sort/tag';
import { printArgb } from '../../markup/colours';
import { element } from '../../markup/element';
import { MarkedPrinter } from '../components/printing';
import { resourceFile } from './printXml';
import { resourceName } from '../../sort/outputNames';
import { Resources, viewId } from './resourceNames';
import { withKeys } from './likeViews';
import { dp, sp, stringResource } from './values';

const built = (content: string, arrangement: 'nested' | 'flow' = 'nested') =>
  convertReading(readInside(content), arrangement, new Map<string, Tag>(), { target: 'android' });
const layoutOf = (content: string) => emitted(built(content), 'res/layout/test.xml');

describe('names of resources', () => {
  it('are those that the platform takes', () => {
    expect(['Save & go', '1st', 'class', 'día'].map(resourceName)).toEqual([
      'save_go',
      'n_1st',
      'class_part',
      'dia',
    ]);
    expect(viewId('book-button')).toBe('bookButton');
  });

  it('stand for one content each, whatever is asked for first', () => {
    const resources = new Resources<string>();
    expect(resources.name('Auk', 'a', () => 'A')).toBe('auk');
    expect(resources.name('Auk', 'b', () => 'B')).toBe('auk_2');
    expect(resources.name('Tern', 'a', () => 'A')).toBe('auk');
    expect(resources.entries()).toEqual([
      ['auk', 'A'],
      ['auk_2', 'B'],
    ]);
  });
});

describe('values', () => {
  it('are written as the platform reads them', () => {
    expect(printArgb({ r: 1, g: 35, b: 255, alpha: 1 })).toBe('#0123ff');
    expect(printArgb({ r: 1, g: 35, b: 255, alpha: 0.5 })).toBe('#800123ff');
    expect([dp(12), dp(0.125), sp(15)]).toEqual(['12dp', '0.13dp', '15sp']);
    expect(stringResource('It\'s "a" <b> & @')).toBe('It\\\'s \\"a\\" &lt;b> &amp; @');
    expect(stringResource('@home')).toBe('\\@home');
    expect(stringResource(' two  spaces')).toBe('" two  spaces"');
  });
});

describe('a layout', () => {
  it('reads like this', () => {
    expect(
      layoutOf(
        `<g id="save-button"><rect x="10" y="10" width="80" height="30" rx="4" fill="#246"/><text x="50" y="30" text-anchor="middle" font-family="Commissioner" font-weight="600" fill="#fff">Save</text></g>`,
      ),
    ).toMatchInlineSnapshot(`
     "<?xml version="1.0" encoding="utf-8"?>
     <FrameLayout
         xmlns:android="http://schemas.android.com/apk/res/android"
         xmlns:tools="http://schemas.android.com/tools"
         android:layout_width="match_parent"
         android:layout_height="match_parent">
         <FrameLayout
             android:id="@+id/saveButton"
             android:layout_width="80dp"
             android:layout_height="30dp"
             android:layout_marginStart="10dp"
             android:layout_marginTop="10dp"
             android:clickable="true"
             android:focusable="true"
             android:background="@drawable/bg_save_button">
             <TextView
                 android:layout_width="34.42dp"
                 android:layout_height="19dp"
                 android:layout_marginStart="22.79dp"
                 android:layout_marginTop="4dp"
                 style="@style/text_save_button_text"
                 android:text="@string/save"
                 android:gravity="center_horizontal"
                 android:maxLines="1" />
         </FrameLayout>
     </FrameLayout>
     "
    `);
  });

  it('has vectors for gradients, and layers for borders of one side', () => {
    const { emission } = built(
      '<linearGradient id="g" x2="1" y2="1"><stop stop-color="#fff"/><stop offset="1" stop-color="#000"/></linearGradient><rect id="wash" width="90" height="40" fill="url(#g)"/>',
    );
    const vector = emission.files.find(({ path }) => path === 'res/drawable/bg_wash.xml')!.text;
    expect(vector).toContain('<vector');
    expect(vector).toMatch(/android:endX="\d/);
  });

  it('comes near to what the platform does not have, and says so', () => {
    const conversion = built(
      '<filter id="s"><feDropShadow dy="2" stdDeviation="3" flood-opacity=".3"/></filter><rect id="plate" x="20" y="20" width="60" height="40" fill="#fff" filter="url(#s)"/>',
    );
    expect(emitted(conversion, 'res/layout/test.xml')).toContain('android:elevation="3dp"');
    expect(conversion.findings.filter(({ code }) => code === 'said-nearly')).toMatchObject([
      { data: { target: 'Android', what: expect.stringContaining('elevation') as string } },
    ]);
  });

  it('is made of rows and columns in the flow, with weights for free room', () => {
    const texts = ['Wind', 'Sea', 'Sky'].map(
      (words, at) =>
        `<text x="${10 + at * 60}" y="20" font-family="Commissioner" font-size="12">${words}</text>`,
    );
    const { emission } = built(
      `<g id="strip"><rect width="190" height="30" fill="#eee"/>${texts.join('')}</g>`,
      'flow',
    );
    const layout = emission.files.find(({ path }) => path === 'res/layout/test.xml')!.text;
    expect(layout).toMatch(/<ScrollView[\s\S]*<LinearLayout[\s\S]*android:orientation="horizontal"/);
    expect(layout).toContain('android:text="@string/wind"');
  });
});

describe('fonts', () => {
  const { emission, fonts } = built(
    '<text x="10" y="30" font-family="Commissioner" font-weight="600">Save</text><text x="10" y="60" font-family="Nowhere">Keep</text>',
  );
  const text = (path: string) => emission.files.find((file) => file.path === path)?.text ?? '';

  it('are files of resources, with a family that knows their weights', () => {
    const [file] = fonts.filter(({ family }) => family === 'Commissioner');
    expect(file!.path).toMatch(/^res\/font\/[a-z0-9_]+\.ttf$/);
    const family = text('res/font/commissioner_family.xml');
    expect(family).toContain(`android:font="@font/${/(\w+)\.ttf$/.exec(file!.path)![1]}"`);
    expect(family).toContain('android:fontWeight="600"');
  });

  it('are named by styles with their weight; a device has what comes with no file', () => {
    const styles = text('res/values/styles.xml');
    expect(styles).toMatch(/fontFamily">@font\/commissioner_family<[\s\S]*textFontWeight">600</);
    expect(styles).not.toContain('textStyle">bold');
    expect(styles).toMatch(/fontFamily">sans-serif</);
  });
});

describe('a layout that is used several times', () => {
  const row = (at: number, words: string, fill: string, more = '') =>
    `<g id="sailing-${at}"><rect y="${at * 30}" width="190" height="26" fill="${fill}"/><text x="10" y="${18 + at * 30}" font-family="Commissioner" font-size="12">${words}</text><text x="110" y="${18 + at * 30}" font-family="Commissioner" font-size="12">${at + 1} kr</text>${more}</g>`;
  const { emission } = built(
    `${row(0, 'Auk', '#eee')}${row(1, 'Tern', '#eee', '<text x="150" y="48" font-family="Commissioner" font-size="12">late</text>')}${row(2, 'Skua', '#fed')}`,
  );
  const text = (path: string) => emission.files.find((file) => file.path === `res/${path}.xml`)!.text;
  const layout = emission.files.find(({ path }) => /layout\/(?!test)/.test(path))!;
  const name = /(\w+)\.xml$/.exec(layout.path)![1]!;

  it('is written once, and included under a theme for each use', () => {
    expect(text('layout/test').match(/<include/g)).toHaveLength(3);
    expect(text('layout/test').match(new RegExp(`layout="@layout/${name}"`, 'g'))).toHaveLength(3);
    expect(new Set(text('layout/test').match(/android:theme="[^"]*"/g)).size).toBe(3);
    expect(text('layout/test')).not.toContain('@string/auk');
  });

  it('takes from the theme what differs, and says itself what does not', () => {
    expect(layout.text.match(/android:text="\?attr\/\w+"/g)).toHaveLength(2);
    expect(layout.text).toMatch(/android:background="\?attr\/\w+"/);
    expect(layout.text).toContain('android:text="@string/late"');
    expect(layout.text).toMatch(/android:visibility="\?attr\/\w+"/);
  });

  it('has a row of data in each theme', () => {
    const rows = text('values/styles').match(
      new RegExp(`<style name="${name}\\w*">[\\s\\S]*?</style>`, 'g'),
    )!;
    expect(rows).toHaveLength(3);
    expect(rows.map((each) => each.match(/<item/g)!.length)).toEqual([4, 4, 4]);
    expect(rows[0]).toContain('>@string/auk<');
    expect(rows.map((each) => /shown">(\w+)</.exec(each)![1])).toEqual(['gone', 'visible', 'gone']);
    expect(text('values/attrs')).toMatch(/<enum\s+name="gone"\s+value="2" \/>/);
  });
});

describe('attributes of views', () => {
  const view = (attributes: Record<string, string>) =>
    String(withKeys(element('TextView', attributes)).attributes.key);

  it('make views alike that differ only in what a theme says', () => {
    expect(view({ 'android:text': '@string/a' })).toBe(view({}));
    expect(view({ 'android:textColor': '@color/a' })).not.toBe(view({}));
    expect(view({ 'android:gravity': 'end' })).not.toBe(view({ 'android:gravity': 'center' }));
  });

  it('stand in one order, ids and places first', () => {
    const text = new MarkedPrinter().printLines(
      resourceFile(
        element('View', {
          'android:alpha': '1',
          style: '@style/a',
          'android:layout_width': '1dp',
          'android:id': 'a',
        }),
      ),
    ).text;
    expect([...text.matchAll(/([\w:]+)="/g)].slice(2).map(([, each]) => each)).toEqual([
      'android:id',
      'android:layout_width',
      'style',
      'android:alpha',
    ]);
  });
});

describe('words in several looks', () => {
  const strings = (content: string) => emitted(built(content), 'res/values/strings.xml');
  const text = (inner: string) =>
    `<text x="10" y="30" font-family="Commissioner" font-size="12" fill="#222222">${inner}</text>`;

  it('have marks in their string, with the spaces around them', () => {
    expect(
      strings(
        text('Leaves at <tspan font-weight="700">noon</tspan>, <tspan fill="#aa0000">not</tspan> at one'),
      ),
    ).toContain('>Leaves at <b>noon</b>, <font color="#aa0000">not</font> at one</string>');
    expect(
      strings(text('Pets &amp; <tspan text-decoration="line-through" font-style="italic">cars</tspan>')),
    ).toContain('>Pets &amp; <i><strike>cars</strike></i></string>');
  });

  it('are said nearly where no mark says their look', () => {
    const { findings } = built(text('Leaves at <tspan font-size="20">noon</tspan>'));
    const said = findings.filter(({ code }) => code === 'said-nearly').map(({ data }) => String(data.what));
    expect(said).toEqual([expect.stringContaining('one family, size and ground')]);
    const marked = built(text('Leaves at <tspan font-weight="700">noon</tspan>'));
    expect(marked.findings.filter(({ code }) => code === 'said-nearly')).toEqual([]);
  });
});
