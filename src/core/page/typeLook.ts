import type { Look, TypeLook } from '../look/look';
import type { TextLayer, TextRun } from '../mockup/layer';

/**
 * The look of a text without what only some of its runs have and CSS cannot take back in the others, or takes
 * back only by declarations for each: lines, spacing and outlines.
 */
export function neutralWhereRunsDiffer(type: TypeLook, { lines }: TextLayer): TypeLook {
  const [first, ...others] = lines.flatMap((line) => line.runs);
  if (!first) return type;
  const isShared = (of: (run: TextRun) => unknown) =>
    others.every((run) => JSON.stringify(of(run)) === JSON.stringify(of(first)));
  const decorations = ({ style }: TextRun) => [style.underline, style.overline, style.lineThrough];
  return {
    ...type,
    ...(!isShared(decorations) && { decorations: [] }),
    ...(!isShared(({ style }) => style.letterSpacing) && { letterSpacing: 0 }),
    ...(!isShared(({ style }) => style.wordSpacing) && { wordSpacing: 0 }),
    ...(!isShared(({ stroke }) => stroke) && { outline: null }),
  };
}

/** The run's own look; empty when it equals that of the text. */
export function spanLook(run: TextRun, scale: number, type: TypeLook): Look {
  const { keepsSpaces, rightToLeft, outlineFirst } = type;
  const own: TypeLook = {
    ...typeLook(run, scale, null, type.align, null),
    keepsSpaces,
    rightToLeft,
    outlineFirst,
  };
  const same = JSON.stringify({ ...own, lineHeight: null }) === JSON.stringify({ ...type, lineHeight: null });
  return same ? {} : { type: own };
}

/**
 * How the letters of a run look.
 * @param scale of the sizes
 * @param lineHeight px; null for a span, which has that of its text
 * @param layer the text of the run; null for a span, which has its directions and spaces from the text
 */
export function typeLook(
  run: TextRun,
  scale: number,
  lineHeight: number | null,
  align: TypeLook['align'],
  layer: TextLayer | null,
): TypeLook {
  const { style, fill, stroke } = run;
  const decorations = [
    ...(style.underline ? (['underline'] as const) : []),
    ...(style.overline ? (['overline'] as const) : []),
    ...(style.lineThrough ? (['line-through'] as const) : []),
  ];
  return {
    families: style.families,
    size: style.size * scale,
    smallCaps: style.smallCaps,
    rightToLeft: layer?.rightToLeft ?? false,
    baselineShift: layer ? 0 : run.baselineShift * scale,
    outlineFirst: layer?.strokeFirst ?? false,
    weight: style.weight,
    italic: style.italic,
    letterSpacing: style.letterSpacing * scale,
    wordSpacing: style.wordSpacing * scale,
    decorations,
    colour: fill?.kind === 'solid' ? fill.colour : null,
    outline:
      stroke?.paint.kind === 'solid' ? { width: stroke.width * scale, colour: stroke.paint.colour } : null,
    lineHeight,
    align,
    exact: style.exact,
    keepsSpaces:
      layer !== null &&
      layer.lines.some((line) => / {2}|^ | $/.test(line.runs.map((each) => each.text).join(''))),
  };
}
