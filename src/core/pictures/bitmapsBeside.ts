import type { Mockup } from '../mockup/mockup';
import {
  ASSET_ADDRESS,
  BITMAP_FORMATS,
  fileEnding,
  type Picture,
  type PictureFile,
  type SharedFile,
} from './picture';
import type { FileWriter } from './recipes/fileWriter';

/**
 * Pictures whose SVGs say where the bitmaps are that lie beside them. Every bitmap is one file, as it is in the mockup,
 * for all pictures that show it; one that a picture has as its own file is that file.
 */
export function withBitmapsBeside(
  pictures: readonly Picture[],
  { bitmaps }: Mockup,
  writer: Pick<FileWriter, 'freePath'>,
): { readonly pictures: readonly Picture[]; readonly bitmapFiles: readonly SharedFile[] } {
  const originals = new Map(pictures.flatMap(originalsOf));
  const files = new Map<string, SharedFile & { readonly pictures: string[] }>();
  const fileOf = (name: string, picture: string): SharedFile | null => {
    const bitmap = bitmaps[name];
    if (!bitmap) return null;
    const format = BITMAP_FORMATS[bitmap.type];
    const known = files.get(name) ?? {
      kind: 'bitmap' as const,
      path: writer.freePath(`pictures/${picture}-bitmap`, fileEnding(format)),
      bitmap: name,
      format,
      width: bitmap.width,
      height: bitmap.height,
      pictures: [],
    };
    if (!known.pictures.includes(picture)) known.pictures.push(picture);
    files.set(name, known);
    return known;
  };
  const withAddresses = (picture: Picture, file: PictureFile): PictureFile => {
    if (file.svg?.bitmaps !== 'beside') return file;
    const found = bitmapsOf(picture).flatMap((name) => {
      const path = originals.get(name) ?? fileOf(name, picture.name)?.path;
      return path === undefined ? [] : [[name, relativePath(file.path, path)] as const];
    });
    return found.length === 0 ? file : { ...file, bitmapAddresses: Object.fromEntries(found) };
  };
  return {
    pictures: pictures.map((picture) => ({
      ...picture,
      files: picture.files.map((file) => withAddresses(picture, file)),
    })),
    bitmapFiles: [...files.values()],
  };
}

/** The paths of files that are a bitmap as it is, by its name. */
function originalsOf({ source, files }: Picture): readonly (readonly [bitmap: string, path: string])[] {
  if (source.kind !== 'bitmap') return [];
  return files.flatMap(({ isOriginal, path }) => (isOriginal ? [[source.bitmap, path] as const] : []));
}

/** The names of the bitmaps that a picture shows. */
function bitmapsOf({ source }: Picture): readonly string[] {
  if (source.kind === 'bitmap') return [source.bitmap];
  const named = source.svg.matchAll(new RegExp(`${ASSET_ADDRESS}([\\w-]+)`, 'g'));
  return [...new Set([...named].map((match) => match[1]!))];
}

/** The path of a file from the folder of another one (RFC 3986, §4.2: a relative-path reference). */
export function relativePath(from: string, to: string): string {
  const [start, end] = [from.split('/').slice(0, -1), to.split('/')];
  const shared = start.findIndex((folder, at) => folder !== end[at]);
  const common = shared === -1 ? start.length : shared;
  return [...start.slice(common).map(() => '..'), ...end.slice(common)].join('/');
}
