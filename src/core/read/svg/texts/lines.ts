import { spread } from '../../../mockup/box';
import type { SvgContext } from '../context';
import { continues, measureRun, totalWidth, typeStyle, type PlainLine, type PlainRun } from './runs';

/** A stretch of letters; `placed` when the file says where it starts, not how far it is moved from the last. */
export interface Segment extends PlainLine {
  readonly placed: boolean;
}

/** How far letters may stand from where their font would put them and still be one line, px at `size`. */
function slack(size: number): number {
  return 0.3 + size * 0.02;
}

/**
 * Joins segments on one baseline: those that follow each other without a gap, letters that are all spaced alike,
 * and words that a space lies between.
 */
export function joinLines(segments: readonly Segment[], context: SvgContext): PlainLine[] {
  const joined: PlainLine[] = [];
  for (const row of rowsOf(segments)) {
    const spaced = joinSpacedLetters(row, context);
    if (spaced) joined.push(spaced);
    else joined.push(...joinNeighbours(row, context));
  }
  return joined;
}

/** Segments in order, cut where the baseline changes. */
function rowsOf(segments: readonly Segment[]): Segment[][] {
  const rows: Segment[][] = [];
  for (const segment of segments) {
    const row = rows.at(-1);
    if (row && row[0]?.baseline === segment.baseline) row.push(segment);
    else rows.push([segment]);
  }
  return rows;
}

/** Single letters of one style whose gaps are all alike are one run with letter spacing; null for anything else. */
function joinSpacedLetters(row: readonly PlainLine[], context: SvgContext): PlainLine | null {
  const [first] = row;
  const run = first?.runs[0];
  if (!first || !run || row.length < 3 || row.length > 400) return null;
  const alike = row.every(
    ({ runs: [only, ...others], stretch }) =>
      only && others.length === 0 && continues(run, only) && stretch === 1,
  );
  if (!alike || row.some(({ runs }) => [...(runs[0]?.text ?? '')].length > 1)) return null;
  const text = row.map(({ runs }) => runs[0]?.text ?? '').join('');
  // Measured together, since positions written letter by letter hold the kerning too.
  const starts = row.map((_, at) => measureRun({ ...run, text: text.slice(0, at) }, context, 0).width);
  const gaps = row.slice(1).map((segment, at) => segment.x - first.x - (starts[at + 1] ?? 0));
  const spacing = (gaps.at(-1) ?? 0) / gaps.length;
  const even = gaps.every((gap, at) => Math.abs(gap - spacing * (at + 1)) <= slack(run.style.size));
  if (!even || Math.abs(spacing) > run.style.size) return null;
  const extra = Math.abs(spacing * gaps.length) <= slack(run.style.size) ? 0 : spacing;
  const whole = measureRun({ ...run, text }, context, extra);
  return { ...first, anchor: 'start', width: whole.width, runs: [whole] };
}

function joinNeighbours(row: readonly Segment[], context: SvgContext): PlainLine[] {
  const joined: PlainLine[] = [];
  for (const segment of row) {
    const last = joined.at(-1);
    const bridge = last ? bridgeOf(last, segment, context) : null;
    if (last && bridge !== null) {
      const runs = joinRuns([...last.runs, ...segment.runs], bridge, last.runs.length);
      const width = segment.x + segment.width - last.x;
      joined[joined.length - 1] = { ...last, anchor: 'start', width, runs };
    } else {
      joined.push(segment);
    }
  }
  return joined;
}

/** What stands between two segments of one line: nothing, or a space; null when they stand apart. */
function bridgeOf(last: PlainLine, next: Segment, context: SvgContext): '' | ' ' | null {
  const before = last.runs.at(-1);
  if (!before || last.stretch !== next.stretch) return null;
  const gap = next.x - last.x - last.width;
  const { size } = before.style;
  if (Math.abs(gap) <= slack(size)) return '';
  if (!next.placed || before.text.endsWith(' ') || next.runs[0]?.text.startsWith(' ')) return null;
  const space = measureRun({ ...before, text: ' ' }, context, 0).width * last.stretch;
  return Math.abs(gap - space) <= slack(size) ? ' ' : null;
}

function joinRuns(runs: readonly PlainRun[], bridge: string, bridgeAt: number): PlainRun[] {
  const joined: PlainRun[] = [];
  runs.forEach((run, at) => {
    const last = joined.at(-1);
    const between = at === bridgeAt ? bridge : '';
    if (last && continues(last, run) && last.style.letterSpacing === run.style.letterSpacing) {
      const text = last.text + between + run.text;
      joined[joined.length - 1] = { ...last, text, width: last.width + run.width };
    } else {
      if (last && between) joined[joined.length - 1] = { ...last, text: last.text + between };
      joined.push(run);
    }
  });
  return joined;
}

/** How far edges may differ and still be in line, px. */
const IN_LINE = 0.6;

/** How lines that were all written from their left ends are in fact aligned. */
export function alignmentOf(lines: readonly PlainLine[]): 'start' | 'middle' | 'end' {
  const inLine = (edge: (line: PlainLine) => number) => spread(lines.map(edge)) <= IN_LINE;
  if (lines.length < 2 || inLine((line) => line.x)) return 'start';
  for (const counted of [0, 1]) {
    const drawn = ({ width, trailingSpace }: PlainLine) => width + counted * trailingSpace;
    if (inLine((line) => line.x + drawn(line) / 2)) return 'middle';
    if (inLine((line) => line.x + drawn(line))) return 'end';
  }
  return 'start';
}

/** Spaces at a line's ends are not seen: they only move where it starts. */
export function trimLine(line: PlainLine, context: SvgContext): PlainLine {
  const runs = line.runs.filter((run, at) => run.text.trim() !== '' || (at > 0 && at < line.runs.length - 1));
  const cut = (run: PlainRun, text: string): PlainRun => {
    if (text === run.text) return run;
    return measureRun({ ...run, text }, context, run.style.letterSpacing - ownSpacing(run));
  };
  const [first] = runs;
  const lead = first ? first.text.length - first.text.trimStart().length : 0;
  const dropped = line.runs.indexOf(first ?? line.runs[0]!);
  let x = line.x + totalWidth(line.runs.slice(0, Math.max(0, dropped))) * line.stretch;
  const trimmed = runs.map((run, at) => {
    const text = at === 0 ? run.text.slice(lead) : run.text;
    return cut(run, at === runs.length - 1 ? text.trimEnd() : text);
  });
  if (first && lead > 0) x += (first.width - cut(first, first.text.slice(lead)).width) * line.stretch;
  const width = totalWidth(trimmed) * line.stretch;
  const whole = Math.abs(width - line.width) < 1e-6;
  return {
    ...line,
    x,
    width,
    anchor: whole ? line.anchor : 'start',
    runs: trimmed,
    trailingSpace: Math.max(0, line.x + line.width - x - width),
  };
}

function ownSpacing(run: PlainRun): number {
  return typeStyle(run.computed, 0).letterSpacing;
}
