import { convertReading, emitted, readInside } from '../../../../tests/support/mockups';

const berth = (at: number, y: number, height: number) =>
  `<g id="berth-${at}"><rect x="10" y="${y}" width="60" height="${height}" fill="#246"/><text x="14" y="${y + 12}" font-size="10" font-family="Commissioner">Berth</text></g>`;

function flowed(content: string) {
  const conversion = convertReading(readInside(content), 'flow');
  return { html: emitted(conversion, 'index.html'), css: emitted(conversion, 'styles.css') };
}

describe('shared placement', () => {
  it('a class holds the placement of most of its users, and the others override it', () => {
    const { html, css } = flowed(
      `<g id="quay">${berth(1, 0, 20)}${berth(2, 24, 20)}${berth(3, 48, 20)}<g id="berth-4"><rect x="10" y="72" width="90" height="20" fill="#246"/><text x="14" y="84" font-size="10" font-family="Commissioner">Berth</text></g></g>`,
    );
    const [, said = ''] = /\.berth \{([^}]*)\}/.exec(css) ?? [];
    expect(html.match(/class="berth"/g)).toHaveLength(3);
    expect(said).toContain('width: 60px');
    const [, name = ''] = /class="berth ([\w-]+)"/.exec(html) ?? [];
    expect(css).toContain(`.${name} {\n  width: auto;\n  align-self: stretch;\n}`);
    expect(html).not.toContain('style=');
  });

  it('a class of flowing nodes holds no placement of absolute ones', () => {
    const seal = (at: number, x: number) => `<circle id="seal-${at}" cx="${x}" cy="12" r="6" fill="#d33"/>`;
    const { html, css } = flowed(
      `<g id="card"><rect x="20" y="12" width="160" height="60" fill="#eee"/>${seal(1, 20)}${seal(2, 100)}${seal(3, 180)}</g><g id="foot">${seal(4, 20).replace('cy="12"', 'cy="90"')}<text x="40" y="94" font-size="10" font-family="Commissioner">Sund</text></g>`,
    );
    expect(html.match(/class="seal seal-over[\w-]*"/g)).toHaveLength(3);
    expect(css.match(/\.seal-over[\w-]* \{\s+position: absolute/g)).toHaveLength(3);
    expect(/\.seal \{[^}]*position/.test(css)).toBe(false);
    expect(html).not.toContain('style=');
  });
});
