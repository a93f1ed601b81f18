import { convertReading, emitted, only, readInside } from '../../../../../tests/support/mockups';

const text = (x: number, y: number, words: string, attributes = '') =>
  `<g font-size="10" font-family="Commissioner"><text x="${x}" y="${y}" ${attributes}>${words}</text></g>`;
const widthOf = (words: string, attributes = '') =>
  only(readInside(text(0, 20, words, attributes)), 'text').lines[0]!.width;
const SPACE = widthOf('a b') - widthOf('a') - widthOf('b');
const BOLD = 'font-weight="700"';

function htmlOf(content: string, arrangement: 'flow' | 'nested' = 'flow'): string {
  return emitted(convertReading(readInside(content), arrangement), 'index.html');
}

/** "Ferries leave daily at noon", with `gap` px before the bold word. */
function sentence(gap: number): string {
  const bold = 10 + widthOf('Ferries leave') + gap;
  const rest = bold + widthOf('daily', BOLD) + SPACE;
  return `<g id="times">${text(10, 30, 'Ferries leave')}<g id="often">${text(bold, 30, 'daily', BOLD)}</g>${text(rest, 30, 'at noon')}</g>`;
}

describe('texts of one sentence', () => {
  it('become one text with spans when a space of the font lies between them', () => {
    expect(htmlOf(sentence(SPACE))).toMatch(
      />Ferries leave <span class="run [\w-]+">daily<\/span> at noon<\/(p|span)>/,
    );
  });

  it.each([
    ['are still one where the gap is a space but for a fifth of a px', 0.15, true],
    ['are not where the gap is another one', 0.4, false],
  ])('%s', (_, off, isOne) => {
    expect(/>Ferries leave <span/.test(htmlOf(sentence(SPACE + off)))).toBe(isOne);
  });

  it('have the space in the type in which it has the drawn width', () => {
    const code = 'font-size="10" style="font-family:DejaVu Sans Mono"';
    const link = 10 + widthOf('See') + SPACE;
    const after = link + widthOf('fares') + SPACE;
    const html = htmlOf(
      `<g id="hint">${text(10, 30, 'See')}<a href="#fares">${text(link, 30, 'fares')}</a>${text(after, 30, '.csv', code)}</g>`,
    );
    expect(html).toMatch(
      />See <a class="run" href="#fares">fares<\/a> <span class="run [\w-]+">\.csv<\/span>/,
    );
  });

  it('have a line through the words alone that were struck, whichever word is longest', () => {
    const struck = 'text-decoration="line-through"';
    const now = 10 + widthOf('45 crowns', struck) + SPACE;
    const conversion = convertReading(
      readInside(`<g id="fare">${text(10, 30, '45 crowns', struck)}${text(now, 30, '40')}</g>`),
      'flow',
    );
    const [, name] = /<span class="run ([\w-]+)">45 crowns<\/span> 40</.exec(
      emitted(conversion, 'index.html'),
    )!;
    const sheet = emitted(conversion, 'styles.css');
    expect(sheet.match(/line-through/g)).toHaveLength(1);
    expect(sheet).toMatch(new RegExp(`\\.${name} \\{[^}]*text-decoration: line-through`));
  });

  it('keep the inline box around a word, as for code and keys', () => {
    const word = (x: number, words: string) =>
      `<g id="key"><rect x="${x}" y="20" width="${widthOf(words) + 8}" height="14" rx="2" fill="#dde6ee"/>${text(x + 4, 30, words)}</g>`;
    const key = 10 + widthOf('Press') + SPACE;
    const after = key + widthOf('noon') + 8 + SPACE;
    const content = `<g id="hint">${text(10, 30, 'Press')}${word(key, 'noon')}${text(after, 30, 'to leave')}</g>`;
    const conversion = convertReading(readInside(content), 'flow');
    const html = emitted(conversion, 'index.html');
    expect(html).toMatch(/>Press <span class="run [\w-]+">noon<\/span> to leave<\/(p|span)>/);
    const [, name] = /class="run ([\w-]+)"/.exec(html)!;
    const rule = new RegExp(`\\.${name} \\{[^}]*background: #dde6ee;[^}]*padding: [\\d.px ]+ 4px[; ]`);
    expect(emitted(conversion, 'styles.css')).toMatch(rule);
    // Adjacent buttons are no sentence, and a lone one keeps its box.
    const keys = `<g>${word(10, 'Sund')}${word(18 + widthOf('Sund') + SPACE, 'Holm')}</g>`;
    expect(htmlOf(keys)).not.toContain('class="run');
    expect(emitted(convertReading(readInside(keys), 'flow'), 'styles.css')).toContain('background: #dde6ee');
  });

  it('are centred together with the trailing white space of their lines', () => {
    const lead = widthOf('Holm light', BOLD);
    const tail = widthOf('is lit');
    const left = 100 - (lead + SPACE + tail + SPACE) / 2;
    const rest = `<tspan x="${left + lead}" y="20" xml:space="preserve" textLength="${SPACE + tail}" lengthAdjust="spacingAndGlyphs"> is lit </tspan>`;
    const second = `<tspan x="${100 - widthOf('from dusk to dawn') / 2}" y="34">from dusk to dawn</tspan>`;
    const content = `<g id="hint">${text(left, 20, 'Holm light', BOLD)}<text font-size="10" font-family="Commissioner">${rest}${second}</text></g>`;
    const conversion = convertReading(readInside(content), 'flow');
    expect(emitted(conversion, 'index.html')).toMatch(/<span class="run [\w-]+">Holm light ?<\/span>/);
    expect(emitted(conversion, 'styles.css')).toMatch(/> p \{[^}]*text-align: center/);
  });

  it.each([
    ['stand apart with a gap of their own', sentence(SPACE + 2)],
    [
      'are of very different sizes',
      `<g>${text(10, 30, '38')}${text(10 + widthOf('38') + SPACE, 30, 'kn', 'font-size="4"')}</g>`,
    ],
    [
      'are nothing but links',
      `<g><a href="#a">${text(10, 30, 'Sund')}</a><a href="#b">${text(10 + widthOf('Sund') + SPACE, 30, 'Holm')}</a></g>`,
    ],
    ['only stand under each other', `<g>${text(10, 30, 'Sund', BOLD)}${text(10, 44, 'a harbour')}</g>`],
  ])('stay texts of their own when they %s', (_, content) => {
    expect(htmlOf(content)).not.toContain('class="run');
  });

  it('are one sentence when another font was squeezed unevenly to fit', () => {
    const squeezed = (x: number, words: string, share: number, attributes = '') =>
      text(
        x,
        20,
        words,
        `textLength="${widthOf(words, attributes) * share}" lengthAdjust="spacingAndGlyphs" ${attributes}`,
      );
    const bold = 10 + widthOf('Ferries leave the mole') * 0.9 + SPACE;
    const after = bold + widthOf('every morning', BOLD) * 0.84 + SPACE;
    const rest = `<text font-size="10" font-family="Commissioner"><tspan x="${after}" y="20">at</tspan><tspan x="10" y="34">seven and at noon</tspan></text>`;
    const conversion = convertReading(
      readInside(
        `<g id="note">${squeezed(10, 'Ferries leave the mole', 0.9)}<g>${squeezed(bold, 'every morning', 0.84, BOLD)}</g>${rest}</g>`,
      ),
      'flow',
    );
    expect(emitted(conversion, 'index.html')).toMatch(
      /the mole <span class="run [\w-]+">every morning<\/span> at/,
    );
    expect(emitted(conversion, 'styles.css')).not.toMatch(/letter-spacing|scaleX/);
  });

  describe('drawn with stretched letters', () => {
    const squeezed = (x: number, y: number, words: string, attributes = '') =>
      text(
        x,
        y,
        words,
        `textLength="${widthOf(words, attributes) * 0.9}" lengthAdjust="spacingAndGlyphs" ${attributes}`,
      );
    const lead = 10 + (widthOf('Ferries leave') + SPACE) * 0.9;
    const after = lead + (widthOf('daily') + SPACE) * 0.9;

    it('become one line without a stretch, and one heading when they are pieces of one', () => {
      const line = (y: number, size = '') =>
        `<g id="times${y}" ${size}>${squeezed(10, y, 'Ferries leave')}<a href="#fares">${squeezed(lead, y, 'daily')}</a>${squeezed(after, y, 'at noon')}</g>`;
      const conversion = convertReading(
        readInside(`${line(30)}<rect width="200" height="1" y="90"/>`),
        'flow',
      );
      expect(emitted(conversion, 'index.html')).toMatch(
        />Ferries leave <a class="run" href="#fares">daily<\/a> at noon</,
      );
      expect(emitted(conversion, 'styles.css')).not.toContain('scaleX');
      const plain = text(10, 70, 'The harbour office answers all questions that people have about fares');
      const titled = htmlOf(`<g transform="scale(2)">${line(20)}</g>${plain}`);
      expect(titled).toMatch(/<h1[^>]*>Ferries leave <a [^>]*>daily<\/a> at noon<\/h1>/);
    });
  });

  it.each([0, 4])(
    'leave a box beneath them that is drawn once around words in two lines, %d px of padding in it',
    (pad) => {
      const first = 10 + widthOf('Press the key') + SPACE + pad;
      const key = `<g id="key"><rect x="10" y="10" width="${first - 10 + widthOf('Alt')}" height="28" fill="#dde6ee"/><text font-size="10" font-family="Commissioner"><tspan x="${first}" y="20">Alt</tspan><tspan x="10" y="34">and F</tspan></text></g>`;
      const after = text(10 + widthOf('and F') + pad, 34, ', and see the fares');
      const content = `<g id="hint">${text(10, 20, 'Press the key')}${key}${after}</g>`;
      const conversion = convertReading(readInside(content), 'flow');
      const html = emitted(conversion, 'index.html');
      expect(html).toMatch(/<div class="key"[^>]*><\/div>\s*<p[^>]*>Press the key /);
      expect(html.replaceAll(/<\/?(span|br)[^>]*>/g, ' ').replaceAll(/\s+/g, ' ')).toMatch(
        /Press the key Alt and F ?, and see the fares/,
      );
      expect(emitted(conversion, 'styles.css').includes('padding: 0 0 0 4px')).toBe(pad > 0);
    },
  );

  it('keep their coordinates in fixed and nested', () => {
    expect(htmlOf(sentence(SPACE), 'nested')).not.toContain('class="run');
  });

  it('continue in the next line, and hold links', () => {
    const from = 10 + widthOf('See all') + SPACE;
    const link = `<a href="https://sund.example">${text(from, 20, 'fares')}</a>`;
    const after = from + widthOf('fares') + SPACE;
    const more = `<text font-size="10" font-family="Commissioner"><tspan x="${after}" y="20">and when</tspan><tspan x="10" y="34">it is cheaper to go</tspan></text>`;
    const html = htmlOf(`<g id="note">${text(10, 20, 'See all')}${link}${more}</g>`);
    expect(html).toMatch(
      /<p[^>]*>See all <a class="run" href="https:\/\/sund\.example">fares<\/a> and when(<br>| )it is cheaper to go<\/p>/,
    );
  });
});

it('a group around nothing but a text becomes that text', () => {
  const html = htmlOf(
    `<g id="h2">${text(10, 30, 'Harbours')}</g><a href="#sund">${text(10, 60, 'Sund')}</a>`,
  );
  expect(html).toMatch(/<h1 class="[\w-]+">Harbours<\/h1>\s*<a class="[\w-]+" href="#sund">Sund<\/a>/);
});
