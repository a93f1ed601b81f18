import { svgPathProperties } from 'svg-path-properties';
import { IDENTITY, multiply, rotation, translation, type Matrix } from '../../../mockup/matrix';
import { pathData, transformOutline } from '../../../mockup/outline';
import type { XmlNode } from '../../xml/node';
import { computeStyle } from '../computed';
import { hrefOf, localId, type Here } from '../context';
import { parseLength } from '../lengths';
import { readOutline } from '../outlines';
import { parseTransform } from '../transforms';
import type { Flat, Letter } from './letters';
import { measureRun, type PlainRun } from './runs';

/** A letter that stands by itself: along a path, below the one before it, or turned. */
export interface PlainPlacedLetter {
  readonly run: PlainRun;
  /** From the letter's own coordinates, its origin on the baseline, to those of the text. */
  readonly matrix: Matrix;
}

/** What a letter may do that a line of letters cannot hold. */
export const PLACED = {
  path: 'letters along a path',
  vertical: 'vertical writing',
  turned: 'turned letters',
} as const;

/** The letters of a text one by one; null for a text that is lines of letters. */
export function placeLetters({ letters, oddities }: Flat, here: Here): readonly PlainPlacedLetter[] | null {
  if (oddities.has(PLACED.path)) return alongPaths(letters, here);
  if (oddities.has(PLACED.vertical)) return downwards(letters, here);
  return oddities.has(PLACED.turned) ? turned(letters, here) : null;
}

function measured(letter: Letter, { context }: Here): PlainRun {
  return measureRun(letter, context, 0);
}

/**
 * Each letter with the middle of its advance on the path, turned as the path is there; what lies past an end of
 * the path is not drawn (SVG 2, §11.8.3).
 */
function alongPaths(letters: readonly Letter[], here: Here): readonly PlainPlacedLetter[] {
  const placed: PlainPlacedLetter[] = [];
  for (const stretch of stretchesOf(letters)) {
    const along = stretch[0]?.along;
    if (!along) {
      placed.push(...turned(stretch, here));
      continue;
    }
    const path = pathOf(along, here);
    if (!path) continue;
    const length = path.getTotalLength();
    const runs = stretch.map((letter) => ({ letter, run: measured(letter, here) }));
    const total = runs.reduce((sum, { run, letter }) => sum + run.width + (letter.dx ?? 0), 0);
    const anchor = stretch[0]?.computed.style['text-anchor'];
    const share = anchor === 'middle' ? 0.5 : anchor === 'end' ? 1 : 0;
    let pen = startOf(along, length, here) - total * share;
    let up = 0;
    for (const { letter, run } of runs) {
      pen += letter.dx ?? 0;
      up += letter.dy ?? 0;
      const middle = pen + run.width / 2;
      pen += run.width;
      if (middle < 0 || middle > length) continue;
      const { x, y, tangentX, tangentY } = path.getPropertiesAtLength(middle);
      const way: Matrix = [tangentX, tangentY, -tangentY, tangentX, x, y];
      placed.push({ run, matrix: multiply(way, translation(-run.width / 2, up - run.baselineShift)) });
    }
  }
  return placed;
}

/** Neighbouring letters along one path, and those along none. */
function stretchesOf(letters: readonly Letter[]): readonly (readonly Letter[])[] {
  const stretches: Letter[][] = [];
  for (const letter of letters) {
    const last = stretches.at(-1);
    if (last && last[0]?.along === letter.along) last.push(letter);
    else stretches.push([letter]);
  }
  return stretches;
}

function pathOf(along: XmlNode, here: Here): InstanceType<typeof svgPathProperties> | null {
  const { byId, cascade } = here.context;
  const target = byId.get(localId(hrefOf(along)) ?? '');
  if (!target) return null;
  const computed = computeStyle(target, here.computed, cascade);
  const outline = readOutline(target, { ...here, computed });
  const own = parseTransform(computed.style.transform) ?? IDENTITY;
  return outline && new svgPathProperties(pathData(transformOutline(outline, own)));
}

function startOf({ attributes }: XmlNode, length: number, { computed }: Here): number {
  return parseLength(attributes.startOffset ?? '0', { fontSize: computed.fontSize, percentOf: length }) ?? 0;
}

/** Letters that stand upright in vertical text (UAX #50: ideographs, kana, hangul, wide forms). */
const UPRIGHT =
  /[\p{Ideographic}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Hangul}\p{Script=Bopomofo}\u3000-\u303f\uff00-\uffef]/u;

/** Letters from the top down, those of other scripts turned to the right (CSS Writing Modes 3, §5.1). */
function downwards(letters: readonly Letter[], here: Here): readonly PlainPlacedLetter[] {
  let pen = { x: letters[0]?.x ?? 0, y: letters[0]?.y ?? 0 };
  const anchor = letters[0]?.computed.style['text-anchor'];
  const placed: (PlainPlacedLetter & { readonly advance: number })[] = [];
  for (const letter of letters) {
    pen = { x: (letter.x ?? pen.x) + (letter.dx ?? 0), y: (letter.y ?? pen.y) + (letter.dy ?? 0) };
    const run = measured(letter, here);
    const metrics = here.context.faces.get(run.face)?.metrics;
    const em = metrics ? run.style.size / metrics.unitsPerEm : 0;
    const [ascent, descent] = [(metrics?.ascent ?? 0) * em, (metrics?.descent ?? 0) * em];
    const isUpright = UPRIGHT.test(letter.text);
    const advance = isUpright ? run.style.size + run.style.letterSpacing : run.width;
    const matrix = isUpright
      ? translation(
          pen.x - (run.width - run.style.letterSpacing) / 2,
          pen.y + uprightBaseline(run, ascent, descent),
        )
      : multiply(translation(pen.x, pen.y), multiply(rotation(90), translation(0, (ascent - descent) / 2)));
    placed.push({ run, matrix, advance });
    pen = { x: pen.x, y: pen.y + advance };
  }
  const total = placed.reduce((sum, { advance }) => sum + advance, 0);
  const shift = anchor === 'middle' ? -total / 2 : anchor === 'end' ? -total : 0;
  return placed.map(({ run, matrix }) => ({ run, matrix: multiply(translation(0, shift), matrix) }));
}

/** Px from the top of an upright letter's square to its baseline: the letter is centred in it. */
function uprightBaseline(run: PlainRun, ascent: number, descent: number): number {
  return (run.style.size + ascent - descent) / 2;
}

/** Letters in lines, each turned about its own origin by `rotate` (SVG 2, §11.4.3). */
function turned(letters: readonly Letter[], here: Here): readonly PlainPlacedLetter[] {
  let pen = { x: 0, y: 0 };
  const placed: PlainPlacedLetter[] = [];
  let chunk: PlainPlacedLetter[] = [];
  let [start, anchor] = [0, 'start'];
  const close = () => {
    const share = anchor === 'middle' ? 0.5 : anchor === 'end' ? 1 : 0;
    const move = translation((start - pen.x) * share, 0);
    placed.push(...chunk.map(({ run, matrix }) => ({ run, matrix: multiply(move, matrix) })));
    chunk = [];
  };
  for (const letter of letters) {
    if (letter.x !== undefined || letter.y !== undefined) {
      close();
      pen = { x: letter.x ?? pen.x, y: letter.y ?? pen.y };
      start = pen.x;
    }
    if (chunk.length === 0) anchor = letter.computed.style['text-anchor'];
    pen = { x: pen.x + (letter.dx ?? 0), y: pen.y + (letter.dy ?? 0) };
    const run = measured(letter, here);
    const place = translation(pen.x, pen.y - run.baselineShift);
    chunk.push({ run, matrix: letter.turn ? multiply(place, rotation(letter.turn)) : place });
    pen = { x: pen.x + run.width, y: pen.y };
  }
  close();
  return placed;
}
