import { readFileSync } from 'node:fs';
import { create, type Font, type FontCollection } from 'fontkit';
import type { FaceMetrics, FaceSource, FontFace } from '../../core/mockup/type';
import type { FontQuery, FontBook } from '../../core/type/fontBook';
import { digestOf } from '../digest';
import { listInstalled, type InstalledFonts } from './installed';
import { knownMetrics } from './known';
import { outlineText } from './outlineText';
import { SHIPPED, shippedPath } from './shipped';

/** A selectable face; its file is opened on first use. */
interface Candidate {
  readonly family: string;
  readonly weight: number;
  readonly italic: boolean;
  readonly source: FaceSource;
  readonly file?: string;
  readonly localNames?: readonly string[];
  readonly load: () => Font;
}

interface Opened {
  readonly face: FontFace;
  /** Null for a face of which only metrics are known. */
  readonly font: Font | null;
  /** Mean advance in em, for faces without a file. */
  readonly meanAdvance: number;
}

/**
 * Families that substitute one another's metrics on a machine that has only one of them (fontconfig,
 * 30-metric-aliases.conf).
 */
const METRIC_TWINS: readonly (readonly string[])[] = [
  ['arial', 'arimo', 'liberation sans'],
  ['times new roman', 'tinos', 'liberation serif'],
  ['courier new', 'cousine', 'liberation mono'],
  ['calibri', 'carlito'],
  ['cambria', 'caladea'],
];

const GENERIC: Readonly<Record<string, string>> = {
  serif: 'serif',
  'sans-serif': 'sans-serif',
  monospace: 'monospace',
  cursive: 'cursive',
  fantasy: 'fantasy',
  'system-ui': 'system-ui',
  'ui-sans-serif': 'sans-serif',
  'ui-serif': 'serif',
  'ui-monospace': 'monospace',
};

/** The fonts that Orden measures with: shipped ones, this machine's, and a table of well-known metrics. */
export function createFontBook(installed: InstalledFonts = listInstalled()): FontBook {
  const shipped = SHIPPED.map((face): Candidate => ({
    ...face,
    source: 'shipped',
    load: () => openFile(shippedPath(face.file)),
  }));
  const system = installed.faces.flatMap((face) =>
    face.families.map((family): Candidate => ({
      family,
      weight: face.weight,
      italic: face.italic,
      source: 'system',
      localNames: [...new Set([face.fullName, face.postscriptName].filter(Boolean))],
      load: () => openFile(face.path, face.postscriptName),
    })),
  );
  return bookOf([...shipped, ...system], installed);
}

function bookOf(candidates: readonly Candidate[], installed: InstalledFonts): FontBook {
  const families = groupByFamily(candidates);
  const opened = new Map<string, Opened>();
  const resolved = new Map<string, Opened>();

  const open = (candidate: Candidate): Opened | null => {
    const id = faceId(candidate);
    const known = opened.get(id);
    if (known) return known;
    try {
      const font = candidate.load();
      const { family, weight, italic, source, file, localNames } = candidate;
      const face: FontFace = {
        id,
        family,
        weight,
        italic,
        source,
        metrics: metricsOf(font),
        ...(localNames && { localNames }),
        ...(file && { file }),
      };
      const fresh = { face, font, meanAdvance: 0.5 };
      opened.set(id, fresh);
      return fresh;
    } catch {
      return null;
    }
  };
  const find = (family: string, query: FontQuery): Opened | null => {
    for (const name of [family, ...twinsOf(family)]) {
      const faces = families.get(name.toLowerCase());
      const found = faces && open(nearestFace(faces, query));
      if (found) return found;
    }
    return null;
  };
  const resolve = (query: FontQuery): Opened => {
    const mark = `${query.weight} ${query.italic} ${query.families.join('\n')}`;
    const known = resolved.get(mark);
    if (known) return known;
    const found = resolveQuery(query, find, installed);
    opened.set(found.face.id, found);
    resolved.set(mark, found);
    return found;
  };

  return {
    face: (query) => resolve(query).face,
    advance(face, text, size) {
      const entry = opened.get(face);
      return entry?.font
        ? (advanceOf(entry.font, text) / entry.font.unitsPerEm) * drawnSize(size)
        : [...text].length * (entry?.meanAdvance ?? 0.5) * size;
    },
    outline: (face, text, size, letterSpacing) => {
      const font = opened.get(face)?.font;
      return font ? outlineText(font, text, size, letterSpacing) : null;
    },
    withFonts(fonts) {
      const broken: string[] = [];
      const embedded = fonts.flatMap((font): Candidate[] => {
        const load = () => openCached(digestOf(font.bytes), () => openBytes(font.bytes));
        try {
          // Added fonts were opened when they were added; most mockups name none of them.
          if (font.source === 'embedded') load();
          return [{ ...font, file: font.asset, load }];
        } catch {
          broken.push(font.family);
          return [];
        }
      });
      if (embedded.length === 0) return { book: this, broken };
      const names = new Set(embedded.map((font) => font.family.toLowerCase()));
      const others = candidates.filter((candidate) => !names.has(candidate.family.toLowerCase()));
      return { book: bookOf([...embedded, ...others], installed), broken };
    },
  };
}

function resolveQuery(
  query: FontQuery,
  find: (family: string, query: FontQuery) => Opened | null,
  installed: InstalledFonts,
): Opened {
  for (const family of query.families) {
    const generic = GENERIC[family.toLowerCase()];
    const found = find(generic ? (installed.generic(generic) ?? '') : family, query);
    if (found) return found;
  }
  const lastResort = find(installed.generic('sans-serif') ?? '', query);
  return lastResort ?? knownFace(query);
}

/** A face without a file: a machine without fontconfig still gets correct baselines. */
function knownFace(query: FontQuery): Opened {
  const { familyName, unitsPerEm, ascent, descent, lineGap, xHeight, xWidthAvg } = knownMetrics(
    query.families,
  );
  const { weight, italic } = query;
  const face: FontFace = {
    id: faceId({ family: familyName, weight, italic, source: 'known' }),
    family: familyName,
    weight,
    italic,
    source: 'known',
    metrics: { unitsPerEm, ascent, descent: -descent, lineGap, xHeight, space: xWidthAvg },
  };
  return { face, font: null, meanAdvance: xWidthAvg / unitsPerEm };
}

function faceId({ family, weight, italic, source }: Omit<Candidate, 'load'>): string {
  return `${family} ${weight}${italic ? ' italic' : ''} (${source})`;
}

function groupByFamily(candidates: readonly Candidate[]): ReadonlyMap<string, readonly Candidate[]> {
  const families = new Map<string, Candidate[]>();
  for (const candidate of candidates) {
    const name = candidate.family.toLowerCase();
    const known = families.get(name);
    // The first source of a family wins: embedded before shipped before the machine's.
    if (!known) families.set(name, [candidate]);
    else if (known[0]?.source === candidate.source) known.push(candidate);
  }
  return families;
}

function twinsOf(family: string): readonly string[] {
  return METRIC_TWINS.find((twins) => twins.includes(family.toLowerCase())) ?? [];
}

/** CSS Fonts 4, §5.2: slant first, then the weight; bolder first from 500 up, lighter first below 400. */
function nearestFace(faces: readonly Candidate[], query: FontQuery): Candidate {
  const distance = (face: Candidate) => {
    const slant = face.italic === query.italic ? 0 : 10_000;
    const gap = face.weight - query.weight;
    const wrongWay =
      query.weight > 500 ? gap < 0 : query.weight < 400 ? gap > 0 : gap < 0 || face.weight > 500;
    return slant + Math.abs(gap) + (gap !== 0 && wrongWay ? 1000 : 0);
  };
  return faces.reduce((best, face) => (distance(face) < distance(best) ? face : best));
}

/** Opened fonts by a unique key, shared by the books of all mockups: opening a font is slow. */
const openFonts = new Map<string, Font>();
const MOST_OPEN = 200;

function openCached(mark: string, open: () => Font): Font {
  const known = openFonts.get(mark);
  if (known) return known;
  if (openFonts.size >= MOST_OPEN) openFonts.clear();
  const font = open();
  openFonts.set(mark, font);
  return font;
}

function openFile(path: string, postscriptName?: string): Font {
  return openCached(`${path} ${postscriptName ?? ''}`, () => openBytes(readFileSync(path), postscriptName));
}

function openBytes(bytes: Uint8Array, postscriptName?: string): Font {
  const opened: Font | FontCollection = create(Buffer.from(bytes));
  if (!('fonts' in opened)) return opened;
  const font = opened.fonts.find((face) => face.postscriptName === postscriptName) ?? opened.fonts[0];
  if (!font) throw new Error('The font file holds no face.');
  return font;
}

/**
 * Ascent and descent as browsers take them: the typographic ones when the font's flag asks for them, else
 * those of `hhea`.
 */
function metricsOf(font: Font): FaceMetrics {
  const os2 = font['OS/2'] as unknown as Os2 | undefined;
  const hhea = font.hhea as unknown as { ascent: number; descent: number; lineGap: number };
  const typographic = os2?.fsSelection?.useTypoMetrics === true;
  const [ascent, descent, lineGap] =
    typographic && os2
      ? [os2.typoAscender, os2.typoDescender, os2.typoLineGap]
      : [hhea.ascent, hhea.descent, hhea.lineGap];
  const xHeight = os2?.xHeight || font.glyphForCodePoint(0x78).bbox.maxY || font.unitsPerEm / 2;
  const space = font.glyphForCodePoint(0x20).advanceWidth;
  return { unitsPerEm: font.unitsPerEm, ascent, descent: -descent, lineGap, xHeight, space };
}

interface Os2 {
  readonly fsSelection?: { readonly useTypoMetrics?: boolean };
  readonly typoAscender: number;
  readonly typoDescender: number;
  readonly typoLineGap: number;
  readonly xHeight?: number;
}

/** Mark positioning is skipped for plain text, where it takes most of the time. */
const WITHOUT_MARKS = { mark: false, mkmk: false };

/**
 * The size in which browsers draw letters, px: FreeType truncates it to 64ths (measured in Chromium, with
 * widths of lines in 8 sizes).
 */
function drawnSize(size: number): number {
  return Math.floor(size * 64) / 64;
}

/** Cached, since mockups repeat their words. */
const advances = new WeakMap<Font, Map<string, number>>();
const MOST_ADVANCES = 50_000;

/** In the font's own units. */
function advanceOf(font: Font, text: string): number {
  const known = advances.get(font) ?? new Map<string, number>();
  advances.set(font, known);
  const ready = known.get(text);
  if (ready !== undefined) return ready;
  if (known.size >= MOST_ADVANCES) known.clear();
  const advance = font.layout(text, /^[ -~]*$/.test(text) ? WITHOUT_MARKS : {}).advanceWidth;
  known.set(text, advance);
  return advance;
}
