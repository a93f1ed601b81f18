import { LRUCache } from 'lru-cache';
import { plannedPictures, type PlannedPictures } from '../../core/plannedPictures';
import type { ConvertOptions } from '../../core/convert';
import { layerLabel } from '../../core/look/layerLabel';
import type { LayerId } from '../../core/mockup/layer';
import type { Assets, Mockup } from '../../core/mockup/mockup';
import { treeOf } from '../../core/mockup/tree';
import { softEdges } from '../../core/pictures/alignEdges';
import { pictureNamed, type Picture, type PictureFile, type SharedFile } from '../../core/pictures/picture';
import type { Tag } from '../../core/sort/tag';
import { digestOf } from '../../engine/digest';
import { createFontBook } from '../../engine/fonts/fontBook';
import { givenFonts } from '../../engine/fonts/givenFonts';
import { plainFinding } from '../../engine/manifest';
import { withPdfPrinter } from '../../engine/pictures/pdfPrinter';
import { plainBytes } from '../../engine/pictures/plainBytes';
import { renderPicture } from '../../engine/pictures/renderPicture';
import { renderShared, sharedReason } from '../../engine/pictures/sharedFile';
import type { TrialFormat } from '../../core/pictures/trialFormats';
import { trialFile, tryFormat, type Trial } from '../../engine/pictures/trials';
import { outlinerOf } from '../../engine/outliner';
import type { PictureList, PlannedPicture, PlannedSharedFile, TrialQuery } from '../pictureTypes';

/** What is asked of the pictures of a mockup. */
export type PictureAsk =
  | { readonly kind: 'list' }
  | { readonly kind: 'file'; readonly path: string }
  | { readonly kind: 'trial-file'; readonly query: TrialQuery }
  | {
      readonly kind: 'trial';
      readonly picture: string;
      readonly format: TrialFormat;
      readonly scale: number;
    };

export interface PicturesJob {
  /** Stands for the revision, its tags and options. */
  readonly mark: string;
  readonly tags: readonly (readonly [LayerId, Tag])[];
  readonly options: ConvertOptions;
  readonly ask: PictureAsk;
  /** Absent as long as the worker may have it. */
  readonly source?: { readonly tree: string; readonly assets: Assets };
}

export type PicturesOutput =
  | 'unprepared'
  /** Null for a picture or file that is not there. */
  | null
  | { readonly list: PictureList }
  | DrawnFile
  | { readonly trial: Trial };

interface Prepared extends PlannedPictures {
  readonly assets: Assets;
}

const prepared = new LRUCache<string, Prepared>({ max: 2 });

/** A file, and the bytes that it would have if nothing had made it small; null where that is not asked. */
export interface DrawnFile {
  readonly bytes: Uint8Array;
  readonly plain: number | null;
}

/** Files by their content: a change of one picture draws no other anew. */
const drawn = new LRUCache<string, DrawnFile>({
  maxSize: 48 * 1024 ** 2,
  sizeCalculation: ({ bytes }) => Math.max(1, bytes.length),
});

/** Lists the pictures that a build would make, or draws one of their files; asks for the mockup when it does not have it. */
export async function picturesJob(job: PicturesJob): Promise<PicturesOutput> {
  const { mark, ask } = job;
  const known = prepared.get(mark) ?? prepare(job);
  if (!known) return 'unprepared';
  prepared.set(mark, known);
  const { plan, mockup, assets } = known;
  switch (ask.kind) {
    case 'list':
      return {
        list: {
          mark,
          pictures: plan.pictures.map((picture) => describe(picture, known)),
          shared: plan.sharedFiles.map(describeShared),
        },
      };
    case 'file': {
      for (const picture of plan.pictures)
        for (const file of picture.files)
          if (file.path === ask.path) return draw('file', picture, file, known);
      const shared = plan.sharedFiles.find(({ path }) => path === ask.path);
      return shared ? { bytes: await renderShared(shared, plan, assets), plain: null } : null;
    }
    case 'trial-file': {
      const { picture: name, format, quality, scale } = ask.query;
      const picture = pictureNamed(plan, name);
      const size = picture && sizeAt(picture, scale, known);
      return size ? draw('trial-file', picture, trialFile(format, quality, size), known) : null;
    }
    case 'trial': {
      const picture = pictureNamed(plan, ask.picture);
      const size = picture && sizeAt(picture, ask.scale, known);
      return size ? { trial: await tryFormat(picture, ask.format, size, mockup, assets) } : null;
    }
  }
}

function prepare({ tags, options, source }: PicturesJob): Prepared | null {
  if (!source) return null;
  const mockup = JSON.parse(source.tree) as Mockup;
  const { book } = createFontBook().withFonts(givenFonts(mockup, source.assets));
  const input = { mockup, assets: source.assets, tags: new Map(tags), options, outliner: outlinerOf(book) };
  return { ...plannedPictures(input), assets: source.assets };
}

async function draw(
  kind: 'file' | 'trial-file',
  picture: Picture,
  file: PictureFile,
  { mockup, assets }: Prepared,
): Promise<DrawnFile> {
  const key = `${kind} ${contentKey(picture, file, assets)}`;
  const known = drawn.get(key) ?? {
    bytes: await withPdfPrinter((printer) => renderPicture(picture, file, mockup, assets, printer)),
    plain: kind === 'file' ? await plainBytes(picture, file, mockup, assets) : null,
  };
  drawn.set(key, known);
  return known;
}

/** Stands for what is drawn: bitmaps of different mockups have the same names, so it is their bytes that count. */
export function contentKey({ name, source }: Picture, file: PictureFile, assets: Assets): string {
  const said = JSON.stringify(source);
  const bitmaps = [...assets].flatMap(([asset, bytes]) =>
    said.includes(asset) ? [asset, digestOf(bytes)] : [],
  );
  // The name is in the ids and the title of an SVG.
  return digestOf(new TextEncoder().encode(JSON.stringify([said, { ...file, path: '' }, name, bitmaps])));
}

/** Px of a picture's file at a scale; null for a layer that is gone. */
function sizeAt({ layers }: Picture, scale: number, { plan }: Prepared) {
  const box = plan.placed.get(layers[0] ?? '')?.box;
  return box
    ? {
        width: Math.max(1, Math.round(box.width * scale)),
        height: Math.max(1, Math.round(box.height * scale)),
        scale,
      }
    : null;
}

/** What the table of pictures shows of one. */
function describe({ name, layers, reason, files }: Picture, known: Prepared): PlannedPicture {
  const { plan, mockup, measures, findings } = known;
  const tree = treeOf(mockup);
  const titleOf = (id: LayerId) => {
    const layer = tree.layer(id);
    return layer ? layerLabel(layer).text : name;
  };
  const [first = ''] = layers;
  const box = plan.placed.get(first)?.box;
  const layer = tree.layer(first);
  const measured = [...measures.values()].find((each) => each.has(first));
  const soft = layer && measured ? softEdges(layer, measured, mockup.faces) : [];
  return {
    name,
    layers: layers.map((id) => ({ layer: id, title: titleOf(id) })),
    width: box?.width ?? 0,
    height: box?.height ?? 0,
    reason,
    files: files.map(({ path, format, width, height, quality }) => ({
      path,
      format,
      width,
      height,
      ...(quality !== undefined && { quality }),
    })),
    soft: soft.slice(0, 50).map(({ layer: id, off }) => ({ layer: id, title: titleOf(id), off })),
    problems: findings
      .filter((finding) => PROBLEMS.has(finding.code) && layers.some((id) => id === finding.layer))
      .map((finding) => plainFinding(finding, tree).message),
  };
}

function describeShared(file: SharedFile): PlannedSharedFile {
  const { path, format, width, height, pictures } = file;
  return { path, format, width, height, pictures, reason: sharedReason(file) };
}

/** The findings that are about the files of a picture. */
const PROBLEMS: ReadonlySet<string> = new Set(['file-twice', 'file-refused', 'recipe-unknown', 'name-taken']);
