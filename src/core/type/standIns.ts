import type { TextLayer, TextRun } from '../mockup/layer';
import { memoizeByObject } from '../mockup/memoize';
import type { GroupLayer, Layer } from '../mockup/layer';
import type { Mockup } from '../mockup/mockup';
import type { TypeStyle } from '../mockup/type';
import { layersOf } from '../mockup/walk';

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
}

/** Families that every browser resolves by itself (CSS Fonts 4, §2.1.3, and what system style sheets write before). */
const GENERIC =
  /^(?:(?:sans-)?serif|monospace|cursive|fantasy|system-ui|ui-[\w-]+|-apple-system|blinkmacsystemfont)$/i;

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
  const lines = new Map<
    string,
    { readonly run: TextRun; readonly drawn: number; readonly stretch: number }[]
  >();
  for (const layer of layersOf(mockup)) {
    if (layer.kind !== 'text') continue;
    for (const { runs, width, stretch } of layer.lines) {
      const [run] = runs;
      if (!run || width < SHORTEST || runs.some(({ face }) => face !== run.face)) continue;
      const key = keyOf(run.style);
      const known = lines.get(key) ?? [];
      lines.set(key, known);
      known.push({ run, drawn: width, stretch });
    }
  }
  const found = new Map<string, StandIn>();
  for (const [key, all] of lines) {
    const [{ run }] = all as [(typeof all)[number]];
    const face = mockup.faces[run.face];
    if (face?.source !== 'system' || run.style.families.includes(face.family)) continue;
    const sum = (of: (each: (typeof all)[number]) => number) =>
      all.reduce((total, each) => total + of(each), 0);
    const share = sum(({ drawn }) => drawn) / sum(({ drawn, stretch }) => drawn / stretch);
    const alike = all.filter(({ stretch }) => Math.abs(stretch - share) <= ALIKE).length;
    if (Math.abs(share - 1) <= SEEN || Math.abs(share - 1) > MOST || alike < MAJORITY * all.length) continue;
    const { families, weight, italic } = run.style;
    const missing = families.find((family) => !GENERIC.test(family)) ?? face.family;
    found.set(key, {
      family: `${missing} stand-in`,
      local: face.localNames ?? [face.family],
      weight,
      italic,
      sizeAdjust: Math.round(share * 1000) / 1000,
    });
  }
  return found;
});

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
    const first = style.families.findIndex((family) => GENERIC.test(family));
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
