import type { Font, Glyph } from 'fontkit';

/** A glyph's outline in px: the start of its first contour from the pen, then relative commands. */
interface GlyphOutline {
  readonly x: number;
  readonly y: number;
  readonly rest: string;
}

/** Cached, since mockups repeat their letters. */
const outlines = new WeakMap<Font, Map<string, GlyphOutline | null>>();
const MOST_OUTLINES = 20_000;

/**
 * Path data of the shaped text, y downwards, from the pen's place at its start; hundredths of a px.
 * @param size px
 * @param letterSpacing px; with some, ligatures are left out (CSS Text 3, §8.2)
 */
export function outlineText(font: Font, text: string, size: number, letterSpacing: number): string {
  const run = letterSpacing === 0 ? font.layout(text) : font.layout(text, { liga: false, clig: false });
  const em = size / font.unitsPerEm;
  let pen = 0;
  const parts: string[] = [];
  run.glyphs.forEach((glyph, at) => {
    const position = run.positions[at];
    const outline = outlineOnce(font, glyph, em);
    if (outline) {
      const x = outline.x + pen + (position?.xOffset ?? 0) * em;
      const y = outline.y - (position?.yOffset ?? 0) * em;
      parts.push(`M${round(x)} ${round(y)}${outline.rest}`);
    }
    pen += (position?.xAdvance ?? glyph.advanceWidth) * em + letterSpacing;
  });
  return parts.join('');
}

function outlineOnce(font: Font, glyph: Glyph, em: number): GlyphOutline | null {
  const known = outlines.get(font) ?? new Map<string, GlyphOutline | null>();
  outlines.set(font, known);
  const mark = `${glyph.id} ${em}`;
  const ready = known.get(mark);
  if (ready !== undefined) return ready;
  if (known.size >= MOST_OUTLINES) known.clear();
  const outline = outlineGlyph(glyph, em);
  known.set(mark, outline);
  return outline;
}

const LETTERS = {
  moveTo: 'm',
  lineTo: 'l',
  quadraticCurveTo: 'q',
  bezierCurveTo: 'c',
  closePath: 'z',
} as const;

function outlineGlyph(glyph: Glyph, em: number): GlyphOutline | null {
  const [first, ...others] = glyph.path.commands;
  if (first?.command !== 'moveTo') return null;
  const [x = 0, y = 0] = scaled(first.args, em);
  // Steps are relative to the rounded position, so that rounding errors do not accumulate.
  let [atX, atY] = [round(x), round(y)];
  let [startX, startY] = [atX, atY];
  let rest = '';
  for (const { command, args } of others) {
    rest += LETTERS[command];
    if (command === 'closePath') {
      [atX, atY] = [startX, startY];
      continue;
    }
    const steps = scaled(args, em).map((value, index) => round(value - (index % 2 === 0 ? atX : atY)));
    rest += steps.join(' ').replaceAll(' -', '-');
    atX = round(atX + (steps.at(-2) ?? 0));
    atY = round(atY + (steps.at(-1) ?? 0));
    if (command === 'moveTo') [startX, startY] = [atX, atY];
  }
  return { x, y, rest };
}

/** From the font's units, y upwards, to px, y downwards. */
function scaled(args: readonly number[], em: number): number[] {
  return args.map((value, index) => (index % 2 === 0 ? value * em : -value * em));
}

function round(value: number): number {
  return Math.round(value * 100) / 100;
}
