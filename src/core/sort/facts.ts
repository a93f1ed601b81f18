import type { Capabilities } from '../look/features';
import type { Measure, Measures } from '../mockup/bounds';
import { touches } from '../mockup/box';
import { wordsOf } from '../look/layerTitle';
import type { Layer, LayerId, TextLayer } from '../mockup/layer';
import type { Mockup, Screen } from '../mockup/mockup';
import { memoizeByObject, memoizeLast } from '../mockup/memoize';
import { walk } from '../mockup/walk';
import { findCovered } from './covered';
import { findFields, type Fields } from './fields';
import { sizeOnScreen } from './textSizes';
import { findPlaces, type PlaceRole } from './places';
import { findRepeats, type Repeats } from './repeats';
import { findStates, findTwins, type StatesOf } from './states';

/** The facts that rules may use. */
export interface Facts {
  readonly screen: Screen;
  /** What the target can draw as an element. */
  readonly capabilities: Capabilities;
  readonly mockup: Mockup;
  readonly measures: Measures;
  /** Most frequent text size, px of the screen. */
  readonly bodySize: number;
  /** The sizes above the body size in which headings stand, largest first, at most six. */
  readonly headingSizes: readonly number[];
  /** The topmost text of the largest of them: a page has one title. */
  readonly title: LayerId | null;
  /** Like-built siblings. */
  readonly repeats: Repeats;
  /** Layers that are state versions of another one. */
  readonly states: StatesOf;
  /**
   * Hidden layers of the size of a visible sibling at the same place, with that sibling: versions without a
   * stated state.
   */
  readonly twins: ReadonlyMap<LayerId, Layer>;
  /** Boxes that are form controls. */
  readonly fields: Fields;
  /** The fields by the text that labels them. */
  readonly labelled: ReadonlyMap<LayerId, LayerId>;
  /** Blocks that several screens share. */
  readonly furniture: Repeats;
  /** Parts with a role by their place: header, footer, navigation. */
  readonly places: ReadonlyMap<LayerId, PlaceRole>;
  /** Layers that are completely covered, with the covering layer. */
  readonly covered: ReadonlyMap<LayerId, Layer>;
  /** The content of the subtree. */
  contents(layer: Layer): Contents;
}

export interface Contents {
  readonly shapes: number;
  readonly texts: number;
  readonly bitmaps: number;
}

export function measureOf(facts: Facts, key: LayerId): Measure {
  const measure = facts.measures.get(key);
  if (!measure) throw new Error(`Layer ${key} was not measured.`);
  return measure;
}

/** The facts that tags do not change. */
const lastFacts = memoizeLast<Screen, Omit<Facts, 'covered' | 'capabilities'>>();

/** @param isOff whether a layer was put aside by a person or its own name */
export function gatherFacts(
  mockup: Mockup,
  screen: Screen,
  measures: Measures,
  isOff: (key: LayerId) => boolean,
  furniture: Repeats,
  capabilities: Capabilities,
): Facts {
  const facts = lastFacts(screen, [mockup, measures, furniture], () =>
    gatherStaticFacts(mockup, screen, measures, furniture),
  );
  return { ...facts, capabilities, covered: findCovered(screen, measures, isOff) };
}

function gatherStaticFacts(
  mockup: Mockup,
  screen: Screen,
  measures: Measures,
  furniture: Repeats,
): Omit<Facts, 'covered' | 'capabilities'> {
  const contents = new Map<LayerId, Contents>();
  countContents(screen.root, contents);
  const places = findPlaces(screen, measures, furniture);
  const fields = findFields(screen, measures);
  const sizes = textSizes(screen, measures);
  const bodySize = mostFrequent(sizes);
  const titles = titlesIn(screen.root, screen, measures, places)
    .filter(({ size }) => size >= bodySize * 1.2)
    .sort((one, other) => other.size - one.size || one.y - other.y);
  return {
    screen,
    mockup,
    measures,
    bodySize,
    headingSizes: [...new Set(titles.map(({ size }) => size))].slice(0, 6),
    title: titles[0]?.id ?? null,
    repeats: findRepeats(screen, measures),
    states: findStates(screen, measures, mockup),
    twins: findTwins(screen, measures, mockup),
    fields,
    labelled: new Map(
      [...fields].flatMap(([id, { label }]) => (label === null ? [] : [[label, id] as const])),
    ),
    furniture,
    places,
    contents: (layer) => contents.get(layer.id) ?? { shapes: 0, texts: 0, bitmaps: 0 },
  };
}

function countContents(layer: Layer, into: Map<LayerId, Contents>): Contents {
  let own: Contents = {
    shapes: layer.kind === 'shape' ? 1 : 0,
    texts: layer.kind === 'text' ? 1 : 0,
    bitmaps: layer.kind === 'bitmap' ? 1 : 0,
  };
  if (layer.kind === 'group') {
    for (const child of layer.layers) {
      const inner = countContents(child, into);
      own = {
        shapes: own.shapes + inner.shapes,
        texts: own.texts + inner.texts,
        bitmaps: own.bitmaps + inner.bitmaps,
      };
    }
  }
  into.set(layer.id, own);
  return own;
}

/** The number of letters on the screen by size, px of the screen. */
function textSizes(screen: Screen, measures: Measures): ReadonlyMap<number, number> {
  const sizes = new Map<number, number>();
  for (const layer of walk(screen.root)) {
    if (layer.kind !== 'text' || !isOnScreen(layer, screen, measures)) continue;
    const scale = Math.abs(measures.get(layer.id)?.matrix[3] ?? 1);
    for (const { runs } of layer.lines)
      for (const { text, style } of runs) {
        const size = Math.round(style.size * scale);
        sizes.set(size, (sizes.get(size) ?? 0) + text.length);
      }
  }
  return sizes;
}

/** Hidden layers and layers beside the screen (samples, notes) are no evidence about the page. */
function isOnScreen({ id, visible }: Layer, { width, height }: Screen, measures: Measures): boolean {
  const painted = measures.get(id)?.painted;
  return visible && Boolean(painted && touches(painted, { x: 0, y: 0, width, height }));
}

/** Common practice, no source: a heading has at most this many letters. */
export const HEADING_LETTERS = 90;

/** True for a text that can be a heading: numbers and long texts cannot. */
export const canTitle = memoizeByObject((text: TextLayer): boolean => {
  const letters = wordsOf(text);
  if (letters.length > HEADING_LETTERS || !/\p{L}{2}/u.test(letters)) return false;
  const [words, figures] = [letters.match(/\p{L}/gu)?.length ?? 0, letters.match(/\p{N}/gu)?.length ?? 0];
  return words > figures;
});

/** A text that may be a heading. */
interface Title {
  readonly id: LayerId;
  /** Whole px of the screen. */
  readonly size: number;
  readonly y: number;
}

/** The possible headings; furniture has names, not headings. */
function titlesIn(
  layer: Layer,
  screen: Screen,
  measures: Measures,
  places: ReadonlyMap<LayerId, PlaceRole>,
): readonly Title[] {
  if (!isOnScreen(layer, screen, measures) || places.has(layer.id)) return [];
  if (layer.kind === 'group')
    return layer.layers.flatMap((child) => titlesIn(child, screen, measures, places));
  if (layer.kind !== 'text' || !canTitle(layer)) return [];
  return [{ id: layer.id, size: sizeOnScreen(layer, measures), y: measures.get(layer.id)?.painted?.y ?? 0 }];
}

/** Common practice, no source: the size of plain text, and of titles, px. */
const PLAIN = 16;
const LARGE = 20;

function mostFrequent(sizes: ReadonlyMap<number, number>): number {
  // Of a single large size, the text is the title of the screen.
  const [only, ...more] = sizes.keys();
  if (only !== undefined && more.length === 0 && only >= LARGE) return PLAIN;
  let best = PLAIN;
  for (const [size, letters] of sizes) if (letters > (sizes.get(best) ?? 0)) best = size;
  return best;
}
