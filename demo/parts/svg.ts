import { readFileSync } from 'node:fs';
import { shippedPath, SHIPPED } from '../../src/engine/fonts/shipped';

/** A font inside the mockup, as drawing programs embed it, so that it looks the same everywhere. */
export function embeddedFont(family: string, weight: number): string {
  const face = SHIPPED.find((one) => one.family === family && one.weight === weight && !one.italic);
  if (!face) throw new Error(`${family} ${weight} is not shipped.`);
  const data = readFileSync(shippedPath(face.file)).toString('base64');
  return `@font-face{font-family:"${family}";font-weight:${weight};src:url("data:font/woff2;base64,${data}") format("woff2")}`;
}

/** How letters look in the house. */
export const HOUSE_TYPE = `text{font-family:Commissioner,sans-serif;font-size:15px;fill:#22313a}
.strong{font-weight:600}
.quiet{fill:#5d6b73;font-size:13px}
.serif{font-family:Aleo,serif;font-weight:700}
.light{fill:#fdfaf3}`;

export function text(x: number, y: number, classes: string, content: string, more = ''): string {
  return `<text x="${x}" y="${y}" class="${classes}"${more}>${content}</text>`;
}

export function group(name: string | null, content: string, more = ''): string {
  return `<g${name === null ? '' : ` id="${name}"`}${more}>${content}</g>`;
}

export function box(x: number, y: number, width: number, height: number, more: string): string {
  return `<rect x="${x}" y="${y}" width="${width}" height="${height}" ${more}/>`;
}
