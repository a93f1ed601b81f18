import { expose } from 'comlink';
import { convert, type Conversion } from '../../core/convert';
import { layerCode, type LayerCode } from '../../core/emit/html/layerCode';
import { measureMockup, type Measures } from '../../core/mockup/bounds';
import { findingList, type Finding } from '../../core/findings/finding';
import type { Box } from '../../core/mockup/box';
import type { LayerKey } from '../../core/mockup/layer';
import type { Mockup } from '../../core/mockup/mockup';
import type { Arrangement } from '../../core/page/node';
import type { Decision } from '../../core/sort/decision';
import { decide } from '../../core/sort/decide';
import { reportMerges } from '../../core/sort/merges';
import { reportSharedNames } from '../../core/sort/sharedNames';
import type { Tags } from '../../core/sort/tag';
import { findSamples, themesOf } from '../../core/style/samples';

/** What the Sort step shows of a conversion. */
export interface Settled {
  readonly decisions: ReadonlyMap<LayerKey, Decision>;
  /** What each layer paints, px of its screen. */
  readonly boxes: ReadonlyMap<LayerKey, Box>;
  /** What the decisions lead to and is better known before the page is built. */
  readonly findings: readonly Finding[];
  /** The themes that the samples have; null when there are no samples. */
  readonly themes: readonly string[] | null;
}

interface Loaded {
  readonly mockup: Mockup;
  readonly measures: ReadonlyMap<string, Measures>;
}

let loaded: Loaded | null = null;
let wanted: { readonly tags: Tags; readonly arrangement: Arrangement } | null = null;
let conversion: Conversion | null = null;

/** The same stages as the server's, in a worker of the browser: what the tags give right now. */
const api = {
  /** Takes the mockup as its tags arrange it. */
  load(mockup: Mockup): void {
    loaded = { mockup, measures: measureMockup(mockup) };
    conversion = null;
  },

  /** Decides anew. The page itself is made when someone asks for its code. */
  settle(tags: Tags, arrangement: Arrangement): Settled {
    if (!loaded) throw new Error('No mockup is loaded.');
    wanted = { tags, arrangement };
    conversion = null;
    const { mockup, measures } = loaded;
    const boxes = new Map<LayerKey, Box>();
    for (const screen of measures.values()) {
      for (const [key, { painted }] of screen) if (painted) boxes.set(key, painted);
    }
    const decisions = decide(mockup, measures, tags);
    const { findings, report } = findingList();
    reportMerges(mockup, measures, decisions, report);
    reportSharedNames(decisions, report);
    const samples = findSamples(mockup, decisions);
    return { decisions, boxes, findings, themes: samples.length > 0 ? themesOf(samples) : null };
  },

  code(key: LayerKey): LayerCode | null {
    if (!loaded || !wanted) return null;
    const { tags, arrangement } = wanted;
    const options = { arrangement, target: 'html' } as const;
    conversion ??= convert({ mockup: loaded.mockup, assets: new Map(), tags, options, outliner: null });
    return layerCode(conversion, key);
  },
};

export type ConversionApi = typeof api;
expose(api);
