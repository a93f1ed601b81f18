import type { Picture } from '../../core/pictures/picture';
import { writeSvg } from './writeSvg';

/** One SVG whose symbols are pictures, each by its name (SVG 2, §5.5); nothing of it is drawn by itself. */
export function writeSymbols(pictures: readonly Picture[]): string {
  const symbols = pictures.flatMap(({ name, source }) =>
    source.kind === 'svg' ? [symbolOf(writeSvg(source.svg, name, { ids: 'prefixed' }), name)] : [],
  );
  return `<svg xmlns="http://www.w3.org/2000/svg">\n${symbols.join('\n')}\n</svg>\n`;
}

function symbolOf(svg: string, name: string): string {
  const [root = '', attributes = ''] = /<svg\b([^>]*)>/.exec(svg) ?? [];
  const box = /viewBox="([^"]*)"/.exec(attributes)?.[1] ?? sizeOf(attributes);
  const end = svg.lastIndexOf('</svg>');
  const content = end === -1 ? '' : svg.slice(svg.indexOf(root) + root.length, end);
  return `  <symbol id="${name.replaceAll('/', '-')}" viewBox="${box}">${content}</symbol>`;
}

/** The box of a root without one: the optimiser leaves out a box that its size says, too. */
function sizeOf(attributes: string): string {
  const [width, height] = ['width', 'height'].map(
    (side) => new RegExp(`\\s${side}="([^"]*)"`).exec(attributes)?.[1] ?? '0',
  );
  return `0 0 ${width} ${height}`;
}
