import type { Capabilities } from '../../look/features';
import { layerLabel } from '../../look/layerLabel';
import { treeOf } from '../../mockup/tree';
import { findingList, type Finding } from '../../findings/finding';
import { splitName } from '../../mockup/layerName';
import { measureMockup, type Measures } from '../../mockup/bounds';
import { moveBox, type Box } from '../../mockup/box';
import type { Layer, LayerId } from '../../mockup/layer';
import type { Mockup } from '../../mockup/mockup';
import { patternsOf } from '../../mockup/patterns';
import type { FaceSource } from '../../mockup/type';
import { layersOf, walk } from '../../mockup/walk';
import { decide } from '../decide/decide';
import { findScreens, type ScreenCandidate } from '../screens/findScreens';
import { applyStructuralTags } from '../structuralTags';
import type { Tags } from '../tag';
import { reportBeside } from './beside';
import { reportHalfPixels, reportPastEdge } from './geometry';

export interface ReportedScreen {
  readonly id: string;
  readonly name: string;
  readonly width: number;
  readonly height: number;
  readonly layers: number;
}

/** A family that the mockup asks for, and the family that Orden uses. */
export interface ReportedFont {
  readonly family: string;
  /** `present`: the family itself; `replaced`: another family; `missing`: no file here, metrics at best. */
  readonly state: 'present' | 'replaced' | 'missing';
  readonly face: string;
  readonly source: FaceSource;
  readonly texts: number;
  /** A text in this family. */
  readonly layer: LayerId;
}

/** The report on a mockup. */
export interface ReadingReport {
  readonly screens: readonly ReportedScreen[];
  readonly candidates: readonly ScreenCandidate[];
  readonly kinds: Readonly<Record<Layer['kind'], number>>;
  /** Bitmaps that became pictures without a tag. */
  readonly bitmapPictures: number;
  readonly patterns: number;
  readonly instances: number;
  readonly unnamed: number;
  readonly fonts: readonly ReportedFont[];
  readonly findings: readonly Finding[];
  /** The sheet that everything is drawn on, px. */
  readonly sheet: { readonly width: number; readonly height: number };
  /** The boxes of the layers that findings name, px on the sheet. */
  readonly places: Readonly<Record<LayerId, Box>>;
  /** The names of those layers for people. */
  readonly titles: Readonly<Record<LayerId, string>>;
}

/** Counts and findings of a mockup with its tags. `found`: the reader's findings. */
export function readingReport(
  read: Mockup,
  found: readonly Finding[],
  tags: Tags,
  capabilities: Capabilities,
): ReadingReport {
  const mockup = applyStructuralTags(read, tags);
  const drawn = measureMockup(read);
  const measures = mockup === read ? drawn : measureMockup(mockup);
  const decisions = decide(mockup, measures, tags, capabilities);
  const { findings, report } = findingList();
  const kinds = { group: 0, shape: 0, text: 0, bitmap: 0 };
  let [unnamed, bitmapPictures] = [0, 0];
  for (const layer of layersOf(mockup)) {
    kinds[layer.kind] += 1;
    const decision = decisions.get(layer.id);
    if (layer.kind === 'bitmap' && decision?.outcome === 'picture') bitmapPictures += 1;
    if (layer.kind !== 'text' && !splitName(layer.sourceName ?? '').bare) unnamed += 1;
    if (decision?.origin === 'beyond-target')
      report('beyond-target', layer.id, { why: decision.reason.replace(/^[^:]*: /, '') });
  }
  reportBeside(read, mockup, report);
  reportPastEdge(mockup, measures, decisions, report);
  reportHalfPixels(mockup, measures, report);
  for (const screen of mockup.screens) {
    for (const [name, keys] of namesOf(screen.root)) {
      if (keys.length > 1) report('name-double', keys[0] ?? null, { name, count: keys.length });
    }
  }
  const patterns = patternsOf(mockup);
  const fonts = fontsOf(mockup);
  const all = [...found, ...findings];
  const [sheet] = read.screens;
  const wanted = new Set([...all, ...fonts].flatMap(({ layer }) => layer ?? []));
  return {
    screens: mockup.screens.map(({ id, name, width, height, root }) => ({
      id,
      name,
      width,
      height,
      layers: walk(root).length - 1,
    })),
    candidates: findScreens(read, tags),
    kinds,
    bitmapPictures,
    patterns: patterns.size,
    instances: [...patterns.values()].reduce((sum, keys) => sum + keys.length, 0),
    unnamed,
    fonts,
    findings: all,
    sheet: { width: sheet?.width ?? 1, height: sheet?.height ?? 1 },
    titles: { ...titlesOf(read, wanted), ...titlesOf(mockup, wanted) },
    places: {
      ...placesOf(read, drawn, wanted),
      ...placesOf(mockup, measures, wanted),
    },
  };
}

function titlesOf(mockup: Mockup, wanted: ReadonlySet<LayerId>): Record<LayerId, string> {
  const tree = treeOf(mockup);
  return Object.fromEntries(
    [...wanted].flatMap((id) => {
      const layer = tree.layer(id);
      return layer ? [[id, layerLabel(layer).text]] : [];
    }),
  );
}

/** The boxes of the given layers on the sheet; layers without a painted box have none. */
function placesOf(
  mockup: Mockup,
  measures: ReadonlyMap<string, Measures>,
  wanted: ReadonlySet<LayerId>,
): Record<LayerId, Box> {
  const places: Record<LayerId, Box> = {};
  for (const { id: screen, origin } of mockup.screens) {
    for (const [key, { painted }] of measures.get(screen) ?? []) {
      if (painted && wanted.has(key)) places[key] = moveBox(painted, origin.x, origin.y);
    }
  }
  return places;
}

/** The layers of a screen by their own names, without texts. */
function namesOf(root: Layer): ReadonlyMap<string, readonly LayerId[]> {
  const names = new Map<string, LayerId[]>();
  for (const layer of walk(root)) {
    const name = layer.kind === 'text' ? '' : splitName(layer.sourceName ?? '').bare;
    if (!name || layer === root) continue;
    const keys = names.get(name);
    if (keys) keys.push(layer.id);
    else names.set(name, [layer.id]);
  }
  return names;
}

function fontsOf(mockup: Mockup): ReportedFont[] {
  const fonts = new Map<string, ReportedFont>();
  for (const layer of layersOf(mockup)) {
    if (layer.kind !== 'text') continue;
    const seen = new Set<string>();
    for (const run of layer.lines.flatMap((line) => line.runs)) {
      const face = mockup.faces[run.face];
      const family = run.style.families[0] ?? 'no family';
      if (!face || seen.has(family)) continue;
      seen.add(family);
      const known = fonts.get(family);
      const { source } = face;
      const state = source === 'known' ? 'missing' : isSame(family, face.family) ? 'present' : 'replaced';
      fonts.set(family, {
        ...(known ?? { family, state, face: face.family, source, layer: layer.id }),
        texts: (known?.texts ?? 0) + 1,
      });
    }
  }
  return [...fonts.values()].sort((one, other) => other.texts - one.texts);
}

const GENERIC = /^(serif|sans-serif|monospace|cursive|fantasy|system-ui|ui-[\w-]+|-apple-system|no family)$/i;

/** A generic family is present as whatever it means here. */
function isSame(requested: string, face: string): boolean {
  return GENERIC.test(requested) || requested.toLowerCase() === face.toLowerCase();
}
