import { readFile } from 'node:fs/promises';
import path from 'node:path';
import Joi from 'joi';
import { quoteFamily } from '../../core/markup/families';
import { decodeText } from '../../core/read/decodeText';

/** A font file of a built page. */
export interface PageFont {
  readonly family: string;
  readonly weight: number;
  readonly italic: boolean;
  readonly bytes: Uint8Array;
  /** True for one that the mockup's own file brings. */
  readonly isBrought: boolean;
}

type ListedFont = Omit<PageFont, 'bytes' | 'isBrought'> & { readonly path: string; readonly source: string };

const listSchema = Joi.object<{ readonly fonts: readonly ListedFont[] }>({
  fonts: Joi.array().items(
    Joi.object({
      path: Joi.string().required(),
      family: Joi.string().required(),
      weight: Joi.number().required(),
      italic: Joi.boolean().required(),
      source: Joi.string().required(),
    }).unknown(),
  ),
}).unknown();

/** The fonts of a built page. */
export async function fontsIn(folder: string): Promise<readonly PageFont[]> {
  const { value, error } = listSchema.validate(
    JSON.parse(await readFile(path.join(folder, 'orden.json'), 'utf8')),
  );
  if (error) return [];
  return Promise.all(
    value.fonts.map(async (font) => ({
      ...font,
      isBrought: font.source === 'embedded',
      bytes: await readFile(path.join(folder, font.path)),
    })),
  );
}

const ROOT = /<([\w.-]+:)?svg\b(?:"[^"]*"|'[^']*'|[^"'>])*>/;

/** An SVG that sets its texts in these fonts where it names them, as the page does. */
export function withFonts(svg: Uint8Array, fonts: readonly PageFont[]): Uint8Array {
  if (fonts.length === 0) return svg;
  const text = decodeText(svg);
  const root = ROOT.exec(text);
  if (!root || root[0].endsWith('/>')) return svg;
  const at = root.index + root[0].length;
  const name = `${root[1] ?? ''}style`;
  const style = `<${name}>${fonts.map(fontFace).join('')}</${name}>`;
  return new TextEncoder().encode(withUtf8(text.slice(0, at)) + style + text.slice(at));
}

function fontFace({ family, weight, italic, bytes }: PageFont): string {
  const source = `url(data:font/woff2;base64,${Buffer.from(bytes).toString('base64')})`;
  const quoted = quoteFamily(family).replaceAll('&', '&amp;').replaceAll('<', '&lt;');
  return `@font-face{font-family:${quoted};font-weight:${weight};font-style:${italic ? 'italic' : 'normal'};src:${source}}`;
}

/** The text is written anew as UTF-8. */
function withUtf8(head: string): string {
  return head.replace(/^(<\?xml[^>]*encoding=["'])[\w-]+/, '$1UTF-8');
}
