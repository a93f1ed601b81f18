import { readFile } from 'node:fs/promises';
import { availableParallelism } from 'node:os';
import { convert, type Conversion, type ConvertOptions } from '../core/convert';
import { findingList, type Finding } from '../core/findings/finding';
import { layerLabel } from '../core/look/layerLabel';
import type { LayerId } from '../core/mockup/layer';
import { treeOf } from '../core/mockup/tree';
import type { Assets, Mockup } from '../core/mockup/mockup';
import type { PictureFormat } from '../core/pictures/picture';
import type { Tags } from '../core/sort/tag';
import type { FontBook } from '../core/type/fontBook';
import { plainFont } from './fonts/plainFont';
import { licencePath, shippedLicence, shippedPath } from './fonts/shipped';
import { manifest } from './manifest';
import { outlinerOf } from './outliner';
import { withProofFolder } from './proof/proofFolder';
import type { FontFile, FontSupport } from '../core/emit/target';
import { fontSupportOf, TARGETS } from '../core/emit/targets';
import { RENDERERS } from './render/renderers';
import { writeFiles } from './writeFiles';
import { USUAL_LANGUAGE } from '../core/page/frame';
import { checkedFile } from './pictures/checkedFile';
import { withPdfPrinter, type PdfPrinter } from './pictures/pdfPrinter';
import { renderPicture } from './pictures/renderPicture';
import { renderShared, sharedReason } from './pictures/sharedFile';

export interface OutputFile {
  readonly path: string;
  readonly bytes: Uint8Array;
}

export interface WrittenPicture {
  readonly file: string;
  readonly format: PictureFormat;
  readonly width: number;
  readonly height: number;
  readonly bytes: number;
  /** Why it is made like this. */
  readonly reason: string;
  /** The first layer that shows it, with its name for people, and how many do. */
  readonly layer: LayerId | null;
  readonly title: string;
  readonly uses: number;
}

export interface Product {
  readonly conversion: Conversion;
  readonly files: readonly OutputFile[];
  readonly pictures: readonly WrittenPicture[];
  readonly findings: readonly Finding[];
  /** Ms spent on drawing pictures. */
  readonly drawingMs: number;
}

export interface ProduceInput {
  readonly mockup: Mockup;
  readonly assets: Assets;
  readonly tags: Tags;
  readonly options: ConvertOptions;
  readonly book: FontBook;
  /** The layers whose pictures are drawn. Absent for all. */
  readonly only?: ReadonlySet<LayerId>;
  /** Findings from reading, for the manifest. */
  readonly readFindings: readonly Finding[];
  /** Counts layers: those of a picture when it is drawn, all others when the code is written. */
  readonly onProgress?: (done: number, total: number) => void;
  readonly signal?: AbortSignal;
}

/** The files of a build in memory: code, pictures, fonts and the manifest. */
export async function produce(input: ProduceInput): Promise<Product> {
  const { mockup, assets, tags, options, book, readFindings } = input;
  const converted = convert({ mockup, assets, tags, options, outliner: outlinerOf(book) });
  const start = performance.now();
  const { drawn: apart, failed } = await withPdfPrinter((printer) => drawPictures(converted, input, printer));
  const drawn = [...apart, ...(await drawShared(converted, input))];
  const drawingMs = performance.now() - start;

  const support = fontSupportOf(options.target);
  const { fonts, broken } = await writtenFonts(converted, assets, support);
  const licences = await licencesOf(converted, support);
  const encoder = new TextEncoder();
  const code = converted.emission.files.map(({ path, text }) => ({ path, bytes: encoder.encode(text) }));
  const pictures = drawn.map(({ bytes, ...picture }) => ({ ...picture, bytes: bytes.length }));
  const built = [...code, ...drawn.map(({ file, bytes }) => ({ path: file, bytes })), ...fonts, ...licences];
  const { conversion, shown, findings: unshown } = await withShown(converted, built, input);
  const findings = [...readFindings, ...conversion.findings, ...failed, ...broken, ...unshown];
  const files = [...built, ...shown];
  const listed = manifest({ mockup, tags, options, conversion, pictures, files, findings });
  return {
    conversion,
    files: [...files, { path: 'orden.json', bytes: encoder.encode(listed) }],
    pictures,
    findings,
    drawingMs,
  };
}

/** The conversion with the files that show what its target really draws, where no browser opens its own. */
async function withShown(
  conversion: Conversion,
  files: readonly OutputFile[],
  { options, only }: ProduceInput,
): Promise<{ conversion: Conversion; shown: readonly OutputFile[]; findings: readonly Finding[] }> {
  const { findings, report } = findingList();
  const render = RENDERERS[options.target];
  if (!render && !TARGETS[options.target].fitsBrowsers)
    report('not-shown', null, { target: options.target, why: 'Orden has no device to draw it on' });
  if (!render || only) return { conversion, shown: [], findings };
  const { emission } = conversion;
  try {
    const rendered = await withProofFolder(async (folder) => {
      await writeFiles(folder, files);
      return render({ folder, screens: emission.screens, language: options.language ?? USUAL_LANGUAGE });
    });
    const screens = emission.screens.map((screen) => {
      const shown = rendered.shown.get(screen.id);
      return { ...screen, ...(shown !== undefined && { shown }) };
    });
    return {
      conversion: { ...conversion, emission: { ...emission, screens } },
      shown: rendered.files,
      findings,
    };
  } catch (error) {
    const why = (error instanceof Error ? error.message : String(error)).replace(/\.$/, '');
    report('not-shown', null, { target: options.target, why });
    return { conversion, shown: [], findings };
  }
}

/** The font files of a build; one that cannot be unpacked for its platform is said to be broken. */
async function writtenFonts(
  { fonts }: Conversion,
  assets: Assets,
  support: FontSupport,
): Promise<{ fonts: readonly OutputFile[]; broken: readonly Finding[] }> {
  const { findings: broken, report } = findingList();
  const written = await Promise.all(
    fonts.map(async (font): Promise<OutputFile[]> => {
      try {
        return [{ path: font.path, bytes: await fontBytes(font, assets, support) }];
      } catch {
        report('font-broken', null, { family: font.family });
        return [];
      }
    }),
  );
  return { fonts: written.flat(), broken };
}

/** A font file as its platform reads it. */
async function fontBytes(
  { source, file }: FontFile,
  assets: Assets,
  { isPlain }: FontSupport,
): Promise<Uint8Array> {
  const bytes =
    source === 'shipped' ? await readFile(shippedPath(file)) : (assets.get(file) ?? new Uint8Array());
  return isPlain ? plainFont(bytes) : bytes;
}

/** The licences of shipped fonts, each once: the Open Font Licence asks for it (OFL 1.1, §2). */
async function licencesOf({ fonts }: Conversion, support: FontSupport): Promise<readonly OutputFile[]> {
  const shipped = fonts.filter(({ source }) => source === 'shipped').map(({ file }) => file);
  const paths = new Map(shipped.map((file) => [licencePath(file, support), shippedLicence(file)]));
  return Promise.all([...paths].map(async ([path, from]) => ({ path, bytes: await readFile(from) })));
}

/** Each holds the px of a picture in memory. */
const MOST_AT_ONCE = 4;

type DrawnPicture = Omit<WrittenPicture, 'bytes'> & { readonly bytes: Uint8Array };

async function drawPictures(
  conversion: Conversion,
  { mockup, assets, only, onProgress, signal }: ProduceInput,
  printer: PdfPrinter,
): Promise<{ drawn: DrawnPicture[]; failed: readonly Finding[] }> {
  const { findings: failed, report } = findingList();
  const held = new Set(conversion.emission.heldPictures);
  const asked = conversion.plan.pictures.filter(({ name, layers }) =>
    only ? layers.some((layer) => only.has(layer)) : !held.has(name),
  );
  const jobs = asked.flatMap((picture) => picture.files.map((file) => ({ picture, file })));
  const drawn: (DrawnPicture | null)[] = jobs.map(() => null);
  const parts = layersOfPictures(conversion);
  const total = conversion.decisions.size;
  let done = total - [...parts.values()].reduce((sum, count) => sum + count, 0);
  const tree = treeOf(conversion.mockup);
  const draw = async ({ picture, file }: (typeof jobs)[number], at: number) => {
    signal?.throwIfAborted();
    const { path, format, width, height } = file;
    const [first] = picture.layers;
    const layer = first === undefined ? undefined : tree.layer(first);
    try {
      drawn[at] = {
        file: path,
        format,
        width,
        height,
        reason: picture.reason,
        layer: layer?.id ?? null,
        title: layer ? layerLabel(layer).text : picture.name,
        uses: picture.layers.length,
        bytes: await checkedFile(file, await renderPicture(picture, file, mockup, assets, printer)),
      };
    } catch (error) {
      const why = error instanceof Error ? error.message : String(error);
      report('picture-failed', first ?? null, { name: picture.name, why });
    }
    if (file === picture.files.at(-1))
      done += picture.layers.reduce((sum, key) => sum + (parts.get(key) ?? 0), 0);
    if (done < total) onProgress?.(done, total);
  };
  if (done < total) onProgress?.(done, total);
  const waiting = jobs.entries();
  // As many at once as there are cores: the rasteriser and the encoders work outside of this thread.
  await Promise.all(
    Array.from({ length: Math.min(availableParallelism(), MOST_AT_ONCE) }, async () => {
      for (const [at, job] of waiting) await draw(job, at);
    }),
  );
  onProgress?.(total, total);
  return { drawn: drawn.filter((each) => each !== null), failed };
}

/** The files that belong to several pictures. */
function drawShared({ plan }: Conversion, { assets, only }: ProduceInput): Promise<readonly DrawnPicture[]> {
  const asked = only
    ? new Set(plan.pictures.filter(({ layers }) => layers.some((id) => only.has(id))).map(({ name }) => name))
    : null;
  // A file of symbols is that of all its pictures.
  const files = plan.sharedFiles.filter(
    ({ kind, pictures }) => asked === null || (kind === 'bitmap' && pictures.some((name) => asked.has(name))),
  );
  return Promise.all(
    files.map(async (file) => ({
      file: file.path,
      format: file.format,
      width: file.width,
      height: file.height,
      reason: sharedReason(file),
      layer: null,
      title: file.kind,
      uses: file.pictures.length,
      bytes: await renderShared(file, plan, assets),
    })),
  );
}

/** The number of layers in each picture layer, itself included. */
function layersOfPictures({ decisions, plan }: Conversion): ReadonlyMap<LayerId, number> {
  const counts = new Map<LayerId, number>();
  for (const [key, { within }] of decisions) {
    const owner = plan.placed.has(key) ? key : within;
    if (owner !== null && plan.placed.has(owner)) counts.set(owner, (counts.get(owner) ?? 0) + 1);
  }
  return counts;
}
