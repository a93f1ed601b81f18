import { flatMap } from './mockup/flatMap';
import type { Assets, Mockup } from './mockup/mockup';
import type { FaceId } from './mockup/type';
import type { FontFile, FontSupport } from './emit/target';
import { collectFromNodes } from './page/walk';
import type { Page } from './page/frame';
import { resourceName, safeName } from './sort/outputNames';

/** The font files that the pages' texts need: shipped, embedded and added faces, each once. */
export function fontFiles(
  pages: readonly Page[],
  mockup: Mockup,
  assets: Assets,
  { folder, isPlain }: FontSupport,
): FontFile[] {
  const used = new Set(flatMap(pages, (page) => facesOf(page.children)));
  return [...used].sort().flatMap((id): FontFile[] => {
    const face = mockup.faces[id];
    const source = face?.source;
    if (!face?.file || source === undefined || source === 'system' || source === 'known') return [];
    const { family, weight, italic, file } = face;
    const bytes = source === 'shipped' ? undefined : assets.get(file);
    const name = isPlain
      ? `${resourceName(id)}.${plainEnding(bytes)}`
      : source === 'shipped'
        ? file
        : `${safeName(id)}.${fontEnding(bytes)}`;
    return [{ face: id, path: `${folder}/${name}`, family, weight, italic, source, file }];
  });
}

const facesOf = collectFromNodes<FaceId>((node) => (node.kind === 'text' ? node.faces : []));

/** The ending by the file's signature (WOFF2, §4; WOFF, §3; OpenType, "Organization of an OpenType Font"). */
export function fontEnding(bytes: Uint8Array | undefined): string {
  const signature = textAt(bytes, 0);
  return { wOF2: 'woff2', wOFF: 'woff', OTTO: 'otf' }[signature] ?? 'ttf';
}

/** The ending of the file without its packing, whose header has the font's own signature (WOFF2, §4.1; WOFF, §3). */
function plainEnding(bytes: Uint8Array | undefined): string {
  const isPacked = fontEnding(bytes).startsWith('woff');
  return textAt(bytes, isPacked ? 4 : 0) === 'OTTO' ? 'otf' : 'ttf';
}

function textAt(bytes: Uint8Array | undefined, start: number): string {
  return String.fromCharCode(...(bytes?.subarray(start, start + 4) ?? []));
}
