import { idAt, idEnding } from '../../../../tests/support/ids';
import { convertReading, emitted, readCase, readDemo, readInside } from '../../../../tests/support/mockups';
import { walkNodes } from '../../page/walk';
import { cssMistakes, htmlMistakes } from '../../../../tests/support/valid';
import type { LayerId } from '../../mockup/layer';
import type { Tag } from '../../sort/tag';
import { html } from './html';

const MOCKUPS = [
  ['the demo', readDemo],
  ['bs5-pricing', () => readCase('bs5-pricing.svg')],
  ['w3c-styling-css-04-f', () => readCase('w3c-styling-css-04-f.svg')],
  ['w3c-pservers-grad-09-b', () => readCase('w3c-pservers-grad-09-b.svg')],
  ['oc-dartboard-use', () => readCase('oc-dartboard-use.svg')],
  ['the wheelhouse', () => readDemo('wheelhouse.svg')],
  ['raw-bs5-pricing', () => readCase('raw-bs5-pricing.svgz')],
  [
    'items of a menu, and names where none may be',
    () =>
      readInside(
        ['Sund', 'Holm', 'Lunn']
          .map(
            (name, at) =>
              `<g role="listitem"><text y="${20 + at * 20}" aria-label="To ${name}">${name}</text></g>`,
          )
          .join('')
          .replace(/^(.*)$/, '<g role="navigation">$1</g>') +
          '<g aria-label="A ship"><g><path d="M100 5C120 -5 140 40 160 10L150 50L108 40Z"/><path d="M99 9L150 40L120 30Z"/></g><rect x="90" y="60" width="20" height="9"/></g>',
      ),
  ],
  ['gentelella-widgets', () => readCase('gentelella-widgets.svgz')],
  ['tabler-store', () => readCase('tabler-store.svgz')],
  ['spectre-panels', () => readCase('spectre-panels.svgz')],
  ['win98-gallery', () => readCase('win98-gallery.svgz')],
] as const;

it('stretched lines start at a whole px and are moved by the rest, which browsers truncate', () => {
  const line = (x: number, y: number, words: string, length: number) =>
    `<tspan x="${x}" y="${y}" textLength="${length}" lengthAdjust="spacingAndGlyphs">${words}</tspan>`;
  const reading = readInside(
    `<text font-family="Commissioner" font-size="10">${line(10.25, 20, 'Six crossings', 70)}${line(13.5, 34, 'before noon', 66)}</text>`,
  );
  const lines = [
    ...emitted(convertReading(reading, 'fixed'), 'index.html').matchAll(/<span style="([^"]*)"/g),
  ];
  expect(lines.map(([, style]) => /left: (\S+);.*translateX\((\S+)\)/.exec(style!)?.slice(1))).toEqual([
    ['0', '0.25px'],
    ['3px', '0.5px'],
  ]);
});

it('a line anchored at the right starts there, however short it is', () => {
  const line = (y: number, words: string, length: number) =>
    `<tspan x="190" y="${y}" textLength="${length}" lengthAdjust="spacingAndGlyphs">${words}</tspan>`;
  const words = `${line(20, 'שלום לכולם בנמל', 120)}${line(34, 'שלום', 30)}`;
  const reading = readInside(
    `<text direction="rtl" font-family="DejaVu Sans" font-size="10">${words}</text>`,
  );
  const html = emitted(convertReading(reading, 'flow'), 'index.html');
  expect(html).toContain('שלום');
  expect(html).not.toContain('text-indent');
});

it('lines placed one by one are underlined like the whole text', () => {
  const written = (decoration: string) => {
    const reading = readInside(
      `<text font-family="Commissioner" font-size="10"${decoration}><tspan x="10" y="20">Six crossings</tspan><tspan x="16" y="34">before noon</tspan></text>`,
    );
    return emitted(convertReading(reading, 'fixed'), 'index.html').match(/text-decoration: inherit/g);
  };
  expect(written(' text-decoration="underline"')).toHaveLength(2);
  expect(written('')).toBeNull();
});

describe.each(MOCKUPS)('code of %s', (_, readMockup) => {
  const reading = readMockup();

  it.each(['fixed', 'nested', 'flow'] as const)(
    '%s: an outside validator finds no error in the HTML',
    async (arrangement) => {
      const html = emitted(convertReading(reading, arrangement), 'index.html');
      expect(await htmlMistakes(html)).toEqual([]);
    },
  );

  it.each(['nested', 'flow'] as const)(
    '%s: an outside CSS grammar knows every declaration',
    (arrangement) => {
      const conversion = convertReading(reading, arrangement);
      const inline = [...emitted(conversion, 'index.html').matchAll(/ style="([^"]*)"/g)].map(
        ([, declarations]) => `a { ${declarations!.replaceAll('&quot;', "'")} }`,
      );
      const css = `${emitted(conversion, 'styles.css')}\n${inline.join('\n')}`;
      expect(cssMistakes(css)).toEqual([]);
    },
  );

  it.each(['nested', 'flow'] as const)('%s: gives the same bytes for the same input', (arrangement) => {
    expect(convertReading(reading, arrangement).emission).toEqual(
      convertReading(reading, arrangement).emission,
    );
  });

  it('refers only to existing pictures and classes', () => {
    const conversion = convertReading(reading);
    const html = emitted(conversion, 'index.html');
    const files = new Set(
      conversion.plan.pictures.flatMap((picture) => picture.files.map((file) => file.path)),
    );
    for (const [, src] of html.matchAll(/ src="([^"]+)"/g)) expect(files).toContain(src);
    const given = [...conversion.decisions.values()].flatMap((decision) => decision.classes);
    const names = conversion.pages.flatMap((page) =>
      walkNodes(page.children).flatMap((node) => conversion.sheet.nameClassOf(node) ?? []),
    );
    const own = conversion.sheet.classes.map(({ name }) => name);
    const classes = new Set(['screen', 'run', ...given, ...own, ...names]);
    for (const [, list] of html.matchAll(/ class="([^"]+)"/g))
      for (const name of list!.split(' ')) expect(classes).toContain(name);
  });
});

describe('the code', () => {
  const code = (content: string, tags: Record<string, Tag> = {}) => {
    const conversion = convertReading(readInside(content), 'nested', new Map(Object.entries(tags)));
    const body =
      emitted(conversion, 'index.html').match(/<div class="screen"[^>]*>\n([\s\S]*?)\n {4}<\/div>/)?.[1] ??
      '';
    const css = emitted(conversion, 'styles.css').split(':where(.screen ul)')[1] ?? '';
    return { body: body.replace(/^ {6}/gm, ''), css: css.slice(css.indexOf('}') + 3) };
  };

  it('reads like this', () => {
    const { body, css } = code(
      `<g id="save-button"><rect x="10" y="10" width="80" height="30" rx="4" fill="#246"/><text x="50" y="30" text-anchor="middle" font-family="Commissioner" font-weight="600" fill="#fff">Save &amp; go</text></g>`,
    );
    expect(body).toMatchInlineSnapshot(`
     "<button class="save-button" type="button" style="left: 10px; top: 10px; width: 80px; height: 30px">
       <span class="save-button-text" style="left: 4.628px; top: 4px; width: 70.744px; height: 19px">Save &amp; go</span>
     </button>"
    `);
    expect(css).toMatchInlineSnapshot(`
     ".save-button {
       background: #246;
       border-radius: 4px;
     }

     .save-button-text {
       font: 600 16px/19px Commissioner;
       color: #fff;
     }
     "
    `);
  });

  it('shares one class among equal looks, named after the layers that use it', () => {
    const { body, css } = code(
      '<rect id="bar-1" width="9" height="9" fill="red"/><rect id="bar-2" x="20" width="9" height="5" fill="red"/><rect x="40" width="9" height="9" fill="blue"/>',
    );
    expect(body.match(/class="[^"]*"/g)).toEqual(['class="bar"', 'class="bar"', 'class="fill"']);
    expect(css.match(/^\./gm)).toHaveLength(2);
  });

  it('keeps opacity a property of a picture at full opacity', () => {
    const conversion = convertReading(readInside('<path id="star" d="M0 0L9 1L4 9Z" opacity=".5"/>'));
    expect(emitted(conversion, 'styles.css')).toMatch(/\.star {\n {2}opacity: 0\.5;\n}/);
    const source = conversion.plan.pictures[0]!.source;
    expect(source.kind === 'svg' && source.svg).not.toMatch(/opacity/);
  });

  it("puts a person's classes before its own", () => {
    const { body } = code('<rect id="a" width="9" height="9"/>', {
      [idAt('/a')]: { classes: ['ticket', 'wide'], role: 'section', outputName: 'Pass', hidden: true },
    });
    expect(body).toBe(
      '<section class="ticket wide pass" hidden style="left: 0; top: 0; width: 9px; height: 9px"></section>',
    );
  });

  it('escapes text from the mockup', () => {
    const { body } = code(
      '<text y="20" font-size="10">&lt;b&gt; &amp; "c"</text><path id="&quot;&gt;&lt;script&gt;" d="M0 0L9 1L4 9Z"/>',
    );
    expect(body).toContain('&lt;b&gt; &amp; "c"');
    expect(body).not.toContain('<script>');
  });

  it('wraps the content of a list in items', () => {
    const { body } = code(
      '<g id="list"><g id="one"><rect width="9" height="9"/><rect x="20" width="9" height="9"/></g><text y="40">two</text></g>',
    );
    expect(body.match(/<(ul|li|span|div)/g)).toEqual(['<ul', '<li', '<div', '<div', '<li', '<span']);
  });

  it('uses CSS keywords for gradients along an axis', () => {
    const { css } = code(
      '<linearGradient id="g" y2="1" x2="0"><stop stop-color="#fff"/><stop offset="1" stop-color="#000"/></linearGradient><rect width="9" height="9" fill="url(#g)"/>',
    );
    expect(css).toContain('background: linear-gradient(180deg, #fff, #000);');
  });
});

describe('the code of one layer', () => {
  const conversion = convertReading(readDemo());
  const fragment = (layer: LayerId) => html.fragment({ ...conversion, settings: {} }, layer);

  it('is its element and the classes that it uses', () => {
    const id = idEnding(conversion.mockup, '/book-button');
    const { shown, parts } = fragment(id);
    expect(shown).toBe(id);
    expect(parts[0]!.code).toMatch(/^<button class="book-button" type="button"/);
    expect(parts[1]!.code).toMatch(/^\.book-button {\n {2}background: linear-gradient/);
  });

  it('is that of the group for a backdrop, and of the picture for its parts', () => {
    const find = (ending: string) => idEnding(conversion.mockup, ending);
    expect(fragment(find('/footer/rect')).shown).toBe(find('/footer'));
    expect(fragment(find('/ferry-mark/path')).shown).toBe(find('/ferry-mark'));
    expect(fragment(find('/fog-notice')).shown).toBeNull();
  });
});
