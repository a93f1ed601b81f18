import type { GroupLayer, Layer, TextLayer, TextRun } from '../mockup/layer';
import { memoizeByObject } from '../mockup/memoize';
import type { Mockup } from '../mockup/mockup';
import type { TypeStyle } from '../mockup/type';
import { layersOf } from '../mockup/walk';
import { fontStretch } from './fontStretch';
import { isGenericFamily } from './genericFamilies';

/** A local face that stands in for a missing family, at the width that the family's words were drawn with. */
export interface StandIn {
  /** The family that style sheets name. */
  readonly family: string;
  /** The names of the local face (CSS Fonts 4, §4.3.2 local()). */
  readonly local: readonly string[];
  readonly weight: number;
  readonly italic: boolean;
  /** The size of its letters, 1 for the font's own (CSS Fonts 5, §6 size-adjust). */
  readonly sizeAdjust: number;
  /** Shares of the size above and below the baseline, before the adjustment: lines stand where they were drawn. */
  readonly ascent: number;
  readonly descent: number;
}

/** Lines that are shorter tell too little of a font, px. */
const SHORTEST = 12;
/** A share of width that nobody sees. */
const SEEN = 0.015;
/** The share by which sizes of a font may be adjusted: beyond it, widths were set for another reason. */
const MOST = 0.3;
/** How far lines may stand off the common share, and how many must not. */
const [ALIKE, MAJORITY] = [0.12, 0.6];

/**
 * The faces that stand in for families that are missing here: texts in them were drawn wider or narrower than the local
 * font has them, all by about one share.
 */
export const standInsOf = memoizeByObject((mockup: Mockup): ReadonlyMap<string, StandIn> => {
  const byStyle = new Map<string, DrawnLine[]>();
  for (const { run, ...line } of layersOf(mockup).flatMap(linesOfOneFace)) {
    const key = keyOf(run.style);
    byStyle.set(key, [...(byStyle.get(key) ?? []), { run, ...line }]);
  }
  return new Map(
    [...byStyle].flatMap(([key, lines]) => {
      const standIn = standInFor(lines, mockup);
      return standIn ? [[key, standIn] as const] : [];
    }),
  );
});

interface DrawnLine {
  readonly run: TextRun;
  /** Px. */
  readonly width: number;
  readonly stretch: number;
}

function linesOfOneFace(layer: Layer): readonly DrawnLine[] {
  if (layer.kind !== 'text') return [];
  return layer.lines.flatMap((line) => {
    const { runs, width, stretch } = line;
    const [run] = runs;
    const isOne = run && width >= SHORTEST && runs.every(({ face }) => face === run.face);
    const own = fontStretch(line);
    return isOne ? [{ run, width: (width / stretch) * own, stretch: own }] : [];
  });
}

/** The face for lines of one style; null where they are as wide as the local font has them. */
function standInFor(lines: readonly DrawnLine[], { faces }: Mockup): StandIn | null {
  const { style, face: id } = lines[0]!.run;
  const face = faces[id];
  if (face?.source !== 'system' || style.families.includes(face.family)) return null;
  const sum = (of: (line: DrawnLine) => number) => lines.reduce((all, line) => all + of(line), 0);
  const share = sum(({ width }) => width) / sum(({ width, stretch }) => width / stretch);
  const alike = lines.filter(({ stretch }) => Math.abs(stretch - share) <= ALIKE).length;
  const change = Math.abs(share - 1);
  if (change <= SEEN || change > MOST || alike < MAJORITY * lines.length) return null;
  const missing = style.families.find((family) => !isGenericFamily(family)) ?? face.family;
  return {
    family: `${missing} stand-in`,
    local: face.localNames ?? [face.family],
    weight: style.weight,
    italic: style.italic,
    sizeAdjust: Math.round(share * 1000) / 1000,
    ascent: face.metrics.ascent / face.metrics.unitsPerEm,
    descent: Math.abs(face.metrics.descent) / face.metrics.unitsPerEm,
  };
}

function keyOf({ families, weight, italic }: TypeStyle): string {
  return `${weight} ${italic} ${families.join()}`;
}

/** The mockup whose texts name the stand-ins of their families, before the first family that a browser resolves. */
export const withStandIns = memoizeByObject((mockup: Mockup): Mockup => {
  const standIns = standInsOf(mockup);
  if (standIns.size === 0) return mockup;
  const named = (layer: Layer): Layer => {
    if (layer.kind === 'group') {
      const layers = layer.layers.map(named);
      return layers.every((child, at) => child === layer.layers[at]) ? layer : { ...layer, layers };
    }
    return layer.kind === 'text' ? withFamilies(layer, standIns) : layer;
  };
  const screens = mockup.screens.map((screen) => ({ ...screen, root: named(screen.root) as GroupLayer }));
  return { ...mockup, screens };
});

function withFamilies(layer: TextLayer, standIns: ReadonlyMap<string, StandIn>): TextLayer {
  const familiesOf = ({ style }: TextRun): readonly string[] => {
    const standIn = standIns.get(keyOf(style));
    if (!standIn) return style.families;
    const first = style.families.findIndex(isGenericFamily);
    return style.families.toSpliced(first === -1 ? style.families.length : first, 0, standIn.family);
  };
  const runs = layer.lines.flatMap((line) => line.runs);
  if (runs.every((run) => !standIns.has(keyOf(run.style)))) return layer;
  const lines = layer.lines.map((line) => ({
    ...line,
    runs: line.runs.map((run) => ({ ...run, style: { ...run.style, families: familiesOf(run) } })),
  }));
  return { ...layer, lines };
}
