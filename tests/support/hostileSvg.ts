const XMLNS = 'xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink"';
const BOX = '<rect id="box" width="40" height="30" fill="#2a6"/>';

/** An SVG of 100×100 px with this inside. */
export function svg(content: string, attributes = '', before = ''): string {
  return `${before}<svg ${XMLNS} width="100" height="100" ${attributes}>${BOX}${content}</svg>`;
}

const times = (count: number, part: (at: number) => string) =>
  Array.from({ length: count }, (_, at) => part(at)).join('');

export const nested = (count: number, open: string, close: string, inside: string) =>
  open.repeat(count) + inside + close.repeat(count);

/** Levels of ten references each: 10^levels copies of the first. */
function tower(
  levels: number,
  level: (name: string, inside: string) => string,
  refer: (name: string) => string,
) {
  const floors = times(levels, (at) => level(`l${at + 1}`, refer(`l${at}`).repeat(10)));
  return level('l0', BOX.replace('id="box" ', '')) + floors;
}

export const SCRIPTS = {
  'scripts.svg': svg(
    '<script>process.exit(9)</script><script href="https://a.example/x.js"/><rect width="9" height="9" onload="alert(1)" onclick="alert(2)"/><a href="javascript:alert(3)"><rect width="4" height="4"/></a><set attributeName="onclick" to="alert(4)"/>',
    'onload="alert(5)"',
  ),
  'foreign.svg': svg(
    '<foreignObject width="90" height="90"><iframe xmlns="http://www.w3.org/1999/xhtml" src="https://a.example"/></foreignObject>',
  ),
};

const SCHEMES = [
  'https://a.example/x.png',
  'http://127.0.0.1:1/x.png',
  '//a.example/x.png',
  'file:///etc/passwd',
  '/etc/passwd',
  '../../../../etc/passwd',
  'ftp://a.example/x',
  'data:text/html,<script>alert(1)</script>',
  'blob:https://a.example/1',
  'jar:file:///x!/y',
  'smb://a.example/x',
];

export const OUTSIDE = {
  'outside-references.svg': svg(
    SCHEMES.map(
      (address) =>
        `<image href="${address.replace(/</g, '&lt;')}" width="9" height="9"/><use xlink:href="${address.replace(/</g, '&lt;')}#a"/>` +
        `<rect width="5" height="5" fill="url(${address.replace(/</g, '&lt;')}#p)" filter="url(${address.replace(/</g, '&lt;')}#f)"/>` +
        `<filter><feImage href="${address.replace(/</g, '&lt;')}"/></filter>`,
    ).join('') +
      '<style>@import url(https://a.example/x.css);@font-face{font-family:x;src:url(https://a.example/x.woff2),url(file:///etc/passwd)}rect{background:url(https://a.example/x.png)}</style>',
    '',
    '<?xml-stylesheet href="https://a.example/x.css"?>',
  ),
  'outside-entity.svg': svg(
    '<text>&x;</text>',
    '',
    '<!DOCTYPE svg [<!ENTITY x SYSTEM "file:///etc/passwd">]>',
  ),
  'outside-dtd.svg': svg(
    '',
    '',
    '<!DOCTYPE svg SYSTEM "https://a.example/x.dtd" [<!ENTITY % p SYSTEM "file:///etc/passwd">%p;]>',
  ),
};

export const LAUGHS = times(9, (at) => `<!ENTITY l${at + 1} "${`&l${at};`.repeat(10)}">`);

export const ENTITIES = {
  'entity-bomb.svg': svg('<text>&l9;</text>', '', `<!DOCTYPE svg [<!ENTITY l0 "ha">${LAUGHS}]>`),
  'entity-bomb-markup.svg': svg('&l9;', '', `<!DOCTYPE svg [<!ENTITY l0 "<g/>">${LAUGHS}]>`),
  'entity-quadratic.svg': svg(
    `<text>${'&a;'.repeat(100_000)}</text>`,
    '',
    `<!DOCTYPE svg [<!ENTITY a "${'a'.repeat(50_000)}">]>`,
  ),
  'entity-cycle.svg': svg('<text>&a;</text>', '', '<!DOCTYPE svg [<!ENTITY a "&b;"><!ENTITY b "&a;">]>'),
};

export const CYCLES = {
  'cycle-use.svg': svg('<g id="a"><use href="#b"/></g><g id="b"><use href="#a"/></g><use id="c" href="#c"/>'),
  'cycle-symbol.svg': svg(
    '<symbol id="s"><rect width="5" height="5"/><use href="#s"/></symbol><use href="#s"/>',
  ),
  'cycle-clip.svg': svg(
    '<clipPath id="a" clip-path="url(#b)"><rect width="9" height="9" clip-path="url(#a)"/></clipPath><clipPath id="b" clip-path="url(#a)"><rect width="9" height="9"/></clipPath><rect width="50" height="50" clip-path="url(#a)"/>',
  ),
  'cycle-mask.svg': svg(
    '<mask id="a"><rect width="9" height="9" mask="url(#a)" fill="#fff"/></mask><rect width="50" height="50" mask="url(#a)"/>',
  ),
  'cycle-pattern.svg': svg(
    '<pattern id="a" href="#b" width="5" height="5" patternUnits="userSpaceOnUse"><rect width="5" height="5" fill="url(#b)"/></pattern><pattern id="b" href="#a" width="5" height="5" patternUnits="userSpaceOnUse"><rect width="5" height="5" fill="url(#a)"/></pattern><rect width="50" height="50" fill="url(#a)"/>',
  ),
  'cycle-gradient.svg': svg(
    '<linearGradient id="a" href="#b"/><radialGradient id="b" href="#a"/><rect width="50" height="50" fill="url(#a)" stroke="url(#b)"/>',
  ),
  'cycle-marker.svg': svg(
    '<marker id="m" orient="auto"><path d="M0 0L5 5" stroke="#000" marker-end="url(#m)"/></marker><path d="M0 0L50 50" stroke="#000" marker-end="url(#m)"/>',
  ),
  'cycle-filter.svg': svg(
    '<filter id="f"><feImage href="#r"/></filter><rect id="r" width="9" height="9" filter="url(#f)"/>',
  ),
  'cycle-variable.svg': svg(
    '<style>:root{--a:var(--b);--b:var(--a);--c:red}rect{fill:var(--a,var(--c));stroke:var(--a)}</style>',
  ),
  'cycle-text-path.svg': svg('<text><textPath href="#t" id="t">round</textPath></text>'),
};

export const DEEP = {
  'deep-groups.svg': svg(nested(100_000, '<g>', '</g>', BOX)),
  'deep-svgs.svg': svg(nested(100_000, '<svg viewBox="0 0 9 9">', '</svg>', BOX)),
  'deep-spans.svg': svg(`<text>${nested(100_000, '<tspan>', '</tspan>', 'deep')}</text>`),
  'deep-within-bounds.svg': svg(nested(390, '<g transform="rotate(1)" opacity=".99">', '</g>', BOX)),
  'deep-clips.svg': svg(
    `${times(20_000, (at) => `<clipPath id="c${at}" clip-path="url(#c${at + 1})"><rect width="50" height="50"/></clipPath>`)}<rect width="50" height="50" clip-path="url(#c0)"/>`,
  ),
  'deep-gradients.svg': svg(
    `${times(20_000, (at) => `<linearGradient id="g${at}" href="#g${at + 1}"/>`)}<rect width="50" height="50" fill="url(#g0)"/>`,
  ),
  'deep-patterns.svg': svg(
    `${times(20_000, (at) => `<pattern id="p${at}" width="5" height="5" patternUnits="userSpaceOnUse"><rect width="5" height="5" fill="url(#p${at + 1})"/></pattern>`)}<rect width="50" height="50" fill="url(#p0)"/>`,
  ),
  'deep-uses.svg': svg(`${times(20_000, (at) => `<g id="u${at}"><use href="#u${at + 1}"/></g>`)}`),
  'deep-variables.svg': svg(
    `<style>rect{${times(20_000, (at) => `--v${at}:var(--v${at + 1});`)}fill:var(--v0)}</style>`,
  ),
  'deep-parentheses.svg': svg(
    `<style>rect{width:${nested(20_000, 'calc(', ')', '1px')};fill:${nested(20_000, 'var(--a,', ')', 'red')}}</style>`,
  ),
  'deep-not.svg': svg(`<style>${nested(5_000, ':not(', ')', 'g')}{fill:red}</style>`),
  'deep-media.svg': svg(`<style>${nested(20_000, '@media all{', '}', 'rect{fill:red}')}</style>`),
};

export const TOWERS = {
  'billion-uses.svg': svg(
    `<defs>${tower(
      9,
      (id, inside) => `<g id="${id}">${inside}</g>`,
      (id) => `<use href="#${id}"/>`,
    )}</defs><use href="#l9"/>`,
  ),
  'billion-symbols.svg': svg(
    `${tower(
      9,
      (id, inside) => `<symbol id="${id}" viewBox="0 0 9 9">${inside}</symbol>`,
      (id) => `<use href="#${id}" width="9" height="9"/>`,
    )}<use href="#l9"/>`,
  ),
  'billion-patterns.svg': svg(
    `${tower(
      9,
      (id, inside) =>
        `<pattern id="${id}" width="1" height="1" patternUnits="userSpaceOnUse">${inside}</pattern>`,
      (id) => `<rect width="1" height="1" fill="url(#${id})"/>`,
    )}<rect width="50" height="50" fill="url(#l9)"/>`,
  ),
  'billion-masks.svg': svg(
    `${tower(
      9,
      (id, inside) => `<mask id="${id}">${inside}</mask>`,
      (id) => `<rect width="50" height="50" fill="#fff" mask="url(#${id})"/>`,
    )}<rect width="50" height="50" mask="url(#l9)"/>`,
  ),
  'billion-clips.svg': svg(
    `${tower(
      9,
      (id, inside) => `<clipPath id="${id}">${inside}</clipPath>`,
      (id) => `<rect width="50" height="50" clip-path="url(#${id})"/>`,
    )}<rect width="50" height="50" clip-path="url(#l9)"/>`,
  ),
  'billion-markers.svg': svg(
    `${tower(
      9,
      (id, inside) => `<marker id="${id}">${inside}</marker>`,
      (id) => `<path d="M0 0L1 1" marker-end="url(#${id})"/>`,
    )}<path d="M0 0${'l1 1'.repeat(5_000)}" stroke="#000" marker-mid="url(#l9)"/>`,
  ),
  'billion-variables.svg': svg(
    `<style>rect{--v0:#f00 ;${times(30, (at) => `--v${at + 1}:var(--v${at}) var(--v${at});`)}fill:var(--v30);stroke-dasharray:var(--v30)}</style>`,
  ),
};

export const ODD = [
  'NaN',
  'Infinity',
  '-Infinity',
  '1e308',
  '-1e308',
  '1e400',
  '1e-400',
  '0',
  '-5',
  '1e9',
  '9'.repeat(400),
];

export const NUMBERS = {
  'odd-numbers.svg': svg(
    ODD.map(
      (n) =>
        `<rect x="${n}" y="${n}" width="${n}" height="${n}" rx="${n}" stroke="#000" stroke-width="${n}" stroke-dasharray="${n} 1" transform="rotate(${n}) scale(${n})"/><circle r="${n}"/><path d="M${n} ${n}A${n} 5 ${n} 0 1 ${n} 9C${n} 1 2 ${n} 3 4z"/><text x="${n}" dy="${n}" font-size="${n}" textLength="${n}" letter-spacing="${n}" rotate="${n}">n</text><g transform="matrix(${n} ${n} ${n} ${n} ${n} ${n})" opacity="${n}">${BOX.replace('id="box" ', '')}</g><svg viewBox="0 0 ${n} ${n}" width="${n}" height="${n}"><circle r="4"/></svg><image width="${n}" height="${n}"/><line x2="${n}" y2="${n}" stroke="#000"/><polygon points="${n},${n} 1,${n} 4"/>`,
    ).join(''),
  ),
  'odd-effects.svg': svg(
    ODD.map(
      (n, at) =>
        `<filter id="f${at}" x="${n}" width="${n}"><feGaussianBlur stdDeviation="${n}"/><feOffset dx="${n}"/><feColorMatrix values="${n}"/><feTurbulence baseFrequency="${n}" numOctaves="${n}"/><feMorphology radius="${n}"/></filter><linearGradient id="g${at}" x1="${n}" gradientTransform="scale(${n})"><stop offset="${n}" stop-opacity="${n}"/></linearGradient><pattern id="p${at}" width="${n}" height="${n}" patternTransform="scale(${n})"><rect width="1" height="1"/></pattern><rect width="30" height="30" filter="url(#f${at})" fill="url(#g${at})" stroke="url(#p${at})"/>`,
    ).join(''),
  ),
  'dash-dust.svg': svg('<path d="M0 0L99 99" stroke="#000" stroke-dasharray="1e-7 1e-7"/>'),
  'pattern-dust.svg': svg(
    '<pattern id="p" width="1e-6" height="1e-6" patternUnits="userSpaceOnUse"><rect width="1e-7" height="1e-7"/></pattern><rect width="99" height="99" fill="url(#p)"/>',
  ),
  'blur-giant.svg': svg(
    '<filter id="f" x="-1e5" y="-1e5" width="2e5" height="2e5"><feGaussianBlur stdDeviation="5000"/></filter><path d="M0 0L99 1L5 99z" filter="url(#f)"/>',
  ),
  'giant-size.svg': `<svg ${XMLNS} width="1e9" height="1e9">${BOX}</svg>`,
  'giant-largest.svg': `<svg ${XMLNS} width="32768" height="32768"><path d="M0 0L32768 5L9 32768z"/><path d="M5 5L32000 700L9 9z" filter="url(#f)"/><filter id="f"><feGaussianBlur stdDeviation="50"/></filter></svg>`,
  'giant-view.svg': `<svg ${XMLNS} viewBox="0 0 1e30 1e30" width="90" height="90"><path d="M0 0L1e30 0L1e29 1e30z"/></svg>`,
  'giant-shape.svg': svg(
    '<path d="M-1e12 -1e12L1e12 0L0 1e12z" stroke="#000" stroke-width="1e11"/><text font-size="1e7">A</text>',
  ),
  'no-size.svg': `<svg ${XMLNS} width="0" height="0">${BOX}</svg>`,
};

export const CROWDS = {
  'path-long.svg': svg(`<path d="M0 0${' 1 2'.repeat(200_000)}"/>`),
  'path-arcs.svg': svg(`<path d="M0 0${'a5 3 20 0 1 1 1'.repeat(50_000)}" stroke="#000"/>`),
  'polyline-long.svg': svg(`<polyline points="${'1,2 '.repeat(500_000)}"/>`),
  'letters.svg': svg(`<text y="20">${'tide '.repeat(40_000)}</text>`),
  'letters-placed.svg': svg(
    `<text y="20" x="${times(20_000, (at) => `${at} `)}">${'tide'.repeat(5_000)}</text>`,
  ),
  'spans.svg': svg(
    `<text y="20">${times(8_000, (at) => `<tspan dx="1" fill="#${(at % 4096).toString(16).padStart(3, '0')}">a</tspan>`)}</text>`,
  ),
  'rules.svg': svg(
    `<style>${times(5_000, (at) => `g g:nth-child(2n+${at}) > rect:not(.c${at}){fill:#123}`)}</style>${`<g><g>${'<rect width="5" height="5"/>'.repeat(10)}</g></g>`.repeat(500)}`,
  ),
  'siblings.svg': svg(
    `<style>rect ~ rect ~ rect ~ rect{fill:red}rect:nth-last-child(3n){fill:blue}</style>${'<rect width="5" height="5"/>'.repeat(10_000)}`,
  ),
  'classes.svg': svg(`<rect width="5" height="5" class="${times(100_000, (at) => `c${at} `)}"/>`),
  'style-long.svg': svg(`<rect width="5" height="5" style="${'fill:#123;'.repeat(300_000)}"/>`),
  'transforms.svg': svg(`<rect width="5" height="5" transform="${'rotate(1) '.repeat(100_000)}"/>`),
  'attributes.svg': svg(`<rect width="5" height="5" ${times(50_000, (at) => `a${at}="1" `)}/>`),
  'stops.svg': svg(
    `<linearGradient id="g">${times(50_000, (at) => `<stop offset="${at / 50_000}" stop-color="#${(at % 4096).toString(16).padStart(3, '0')}"/>`)}</linearGradient><rect width="50" height="50" fill="url(#g)"/>`,
  ),
  'gradients-shared.svg': svg(
    `<linearGradient id="g">${times(1_000, (at) => `<stop offset="${at / 1_000}" stop-color="red"/>`)}</linearGradient>${'<rect width="50" height="50" fill="url(#g)"/>'.repeat(500)}`,
  ),
  'primitives.svg': svg(
    `<filter id="f">${'<feOffset dx="1"/>'.repeat(20_000)}</filter><rect width="50" height="50" filter="url(#f)"/>`,
  ),
  'clip-crowd.svg': svg(
    `<clipPath id="c">${'<circle r="5" cx="20" cy="20"/>'.repeat(1_000)}</clipPath>${'<rect width="50" height="50" clip-path="url(#c)"/>'.repeat(200)}`,
  ),
  'same-ids.svg': svg('<g id="a"><rect width="5" height="5"/></g>'.repeat(10_000)),
  'comments.svg': svg('<!-- -->'.repeat(300_000)),
  'elements.svg': svg('<g/>'.repeat(450_000)),
  'name-long.svg': svg(`<rect id="${'a'.repeat(1_000_000)}" width="5" height="5"/>`),
  'tag-long.svg': svg(`<${'a'.repeat(1_000_000)}/>`),
  'images-nested.svg': svg(nestedImages(6)),
  'image-bomb.svg': svg(
    `<image width="9" height="9" href="data:image/svg+xml;base64,${base64(
      svg(
        `<defs>${tower(
          9,
          (id, inside) => `<g id="${id}">${inside}</g>`,
          (id) => `<use href="#${id}"/>`,
        )}</defs><use href="#l9"/>`,
      ),
    )}"/>`,
  ),
  'font-broken.svg': svg(
    `<style>@font-face{font-family:x;src:url(data:font/woff2;base64,${base64('wOF2' + 'x'.repeat(500))})}@font-face{font-family:y;src:url(data:font/ttf;base64,${base64('\0\x01\0\0' + '\xff'.repeat(500))})}</style><text y="20" font-family="x,y">broken</text>`,
  ),
};

function nestedImages(levels: number): string {
  const inside = levels === 0 ? '' : nestedImages(levels - 1);
  return `<image width="99" height="99" href="data:image/svg+xml;base64,${base64(svg(inside))}"/>`;
}

/** A small file that does no harm. */
export const GOOD = svg('<text y="60">Wörter</text>');

export function base64(text: string): string {
  return Buffer.from(text, 'latin1').toString('base64');
}
