import { flatMap } from './mockup/flatMap';
import type { Assets, Mockup } from './mockup/mockup';
import type { FaceId } from './mockup/type';
import type { FontFile } from './emit/target';
import { collectFromNodes } from './page/walk';
import type { Page } from './page/frame';
import { safeName } from './sort/outputNames';

/** The font files that the pages' texts need: shipped, embedded and added faces, each once. */
export function fontFiles(pages: readonly Page[], mockup: Mockup, assets: Assets): FontFile[] {
  const used = new Set(flatMap(pages, (page) => facesOf(page.children)));
  return [...used].sort().flatMap((id): FontFile[] => {
    const face = mockup.faces[id];
    const source = face?.source;
    if (!face?.file || source === undefined || source === 'system' || source === 'known') return [];
    const { family, weight, italic, file } = face;
    const name = source === 'shipped' ? file : `${safeName(id)}.${fontEnding(assets.get(file))}`;
    return [{ face: id, path: `fonts/${name}`, family, weight, italic, source, file }];
  });
}

const facesOf = collectFromNodes<FaceId>((node) => (node.kind === 'text' ? node.faces : []));

/** The ending by the file's signature (WOFF2, §4; WOFF, §3; OpenType, "Organization of an OpenType Font"). */
export function fontEnding(bytes: Uint8Array | undefined): string {
  const signature = String.fromCharCode(...(bytes?.subarray(0, 4) ?? []));
  return { wOF2: 'woff2', wOFF: 'woff', OTTO: 'otf' }[signature] ?? 'ttf';
}
