import { expose } from 'comlink';
import { shapeDecided, type Shaped } from '../../core/convert';
import { pagePieces, type PagePiece } from '../../core/emit/html/pagePieces';
import { layerCode, type LayerCode } from '../../core/emit/html/layerCode';
import { measureMockup, type Measures } from '../../core/mockup/bounds';
import { findingList, type Finding } from '../../core/findings/finding';
import { touches, type Box } from '../../core/mockup/box';
import type { LayerKey } from '../../core/mockup/layer';
import type { Mockup } from '../../core/mockup/mockup';
import type { Arrangement } from '../../core/page/node';
import type { Decided, Decision, Decisions } from '../../core/sort/decision';
import { decide } from '../../core/sort/decide';
import { reportMerges } from '../../core/sort/merges';
import { reportSharedNames } from '../../core/sort/sharedNames';
import type { Tags } from '../../core/sort/tag';
import { findSamples, themesOf } from '../../core/style/samples';
import { pageNews, type PageNews, type ShownPage, type ToldPage } from './pageNews';
import { seenFirst, type SeenFirst } from './seenFirst';
import { withTagNews, type TagNews } from './tagNews';

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

/** The same, as what differs from what was told last: copying thousands of decisions between threads takes longer than deciding. */
export interface SettledNews extends Pick<Settled, 'findings' | 'themes'> {
  readonly changed: Settled['decisions'];
  /** Given the first time after a mockup was loaded; nothing that was told before holds any more. */
  readonly boxes: Settled['boxes'] | null;
}

/** What is to be shown of a conversion. */
export interface Asked {
  /** The layer whose code is wanted. */
  readonly cursor: LayerKey | null;
  /** The key of the screen that is shown. */
  readonly screen: string;
  /** Whether its page is wanted. */
  readonly isPaged: boolean;
  /** What has to be right at once, px of that screen: what lies elsewhere may be told later. Null for everything. */
  readonly areas: readonly Box[] | null;
}

/** What is shown of a layer and of the page around it. */
export interface ShownCode {
  readonly code: LayerCode | null;
  readonly page: ShownPage | null;
}

/** The same, with the page as what differs from what was told last. */
export interface ShownNews {
  readonly code: LayerCode | null;
  readonly page: PageNews | null;
  /** False while there may be more to tell, which can wait: what was asked for is right already, all else may not be. */
  readonly isWhole: boolean;
}

interface Loaded {
  /** Of the mockup on the server, for its pictures and fonts. */
  readonly address: string;
  readonly mockup: Mockup;
  readonly measures: ReadonlyMap<string, Measures>;
}

/** What is said of the mockup; nothing at first. */
interface Said {
  readonly tags: Tags;
  readonly arrangement: Arrangement;
}

/** What it leads to. */
interface Wanted extends Said {
  readonly decided: Decided;
}

type Made = Omit<Shaped, 'findings'>;

const UNSAID: Said = { tags: new Map(), arrangement: 'nested' };

let loaded: Loaded | null = null;
let said = UNSAID;
/** Null until someone asks. */
let wanted: Wanted | null = null;
/** The decisions that the tab knows; null when it knows nothing of this mockup. */
let told: Decisions | null = null;
/** The last whole pages; null until someone asks. They may be from before what was said last. */
let whole: Made | null = null;
/** The pieces of the page that the tab knows. */
let toldPage: ToldPage | null = null;

/** The same stages as the server's, in a worker of the browser: what the tags give right now. */
const api = {
  /** Takes the mockup as its tags arrange it. */
  load(mockup: Mockup, address: string): void {
    loaded = { address, mockup, measures: measureMockup(mockup) };
    said = UNSAID;
    wanted = null;
    told = null;
    whole = null;
    toldPage = null;
  },

  /** Takes what is said otherwise; what it leads to is worked out when someone asks. */
  tag(news: TagNews, arrangement: Arrangement): void {
    said = { tags: withTagNews(said.tags, news), arrangement };
    wanted = null;
  },

  /** What was decided since it was told last. */
  settle(): SettledNews {
    const { mockup, measures, decisions } = decideNow().decided;
    const { findings, report } = findingList();
    reportMerges(mockup, measures, decisions, report);
    reportSharedNames(decisions, report);
    const samples = findSamples({ mockup, decisions });
    const boxes = told ? null : paintedBoxes(measures);
    const changed = new Map<LayerKey, Decision>();
    for (const [key, decision] of decisions) if (told?.get(key) !== decision) changed.set(key, decision);
    told = decisions;
    return { changed, boxes, findings, themes: samples.length > 0 ? themesOf(samples) : null };
  },

  /** The code of a layer, and the page around it, as the tags are now. */
  show({ cursor, screen, isPaged, areas }: Asked): ShownNews {
    if (cursor === null && !isPaged) return { code: null, page: null, isWhole: true };
    const now = decideNow();
    const { decided } = now;
    const measured = decided.measures.get(screen);
    const isSeen = (layer: LayerKey) => {
      const here = measured?.get(layer);
      const painted = here?.painted;
      return areas === null || (!!here && (!painted || areas.some((area) => touches(painted, area))));
    };
    const isCurrent = whole?.decisions === decided.decisions;
    const hasty = whole && !isCurrent ? seenFirst(decided, whole.decisions, isSeen) : null;
    const made = whole && isCurrent ? whole : shapeNow(now, hasty);
    if (!hasty) whole = made;
    const page = isPaged ? newsOf(screen, isSeen, made) : null;
    const code = cursor === null ? null : layerCode(made, cursor);
    return { code, page, isWhole: !hasty && page?.isWhole !== false };
  },
};

function loadedNow(): Loaded {
  if (!loaded) throw new Error('No mockup is loaded.');
  return loaded;
}

function decideNow(): Wanted {
  const { mockup, measures } = loadedNow();
  wanted ??= { ...said, decided: { mockup, measures, decisions: decide(mockup, measures, said.tags) } };
  return wanted;
}

function shapeNow({ tags, arrangement, decided }: Wanted, hasty: SeenFirst | null): Made {
  const options = { arrangement, target: 'html' } as const;
  const input = { assets: new Map(), tags, options, outliner: null, waiting: hasty?.waiting };
  const { decisions } = hasty ?? decided;
  return shapeDecided({ ...decided, decisions }, input, () => {});
}

function newsOf(screen: string, isSeen: (layer: LayerKey) => boolean, made: Made): PageNews | null {
  const { address } = loadedNow();
  const page = made.pages.find((each) => each.screen === screen);
  if (!page) return null;
  const screenOf = (key: LayerKey) =>
    [...made.measures].find(([, measured]) => measured.has(key))?.[0] ?? screen;
  const pictures = made.plan.pictures.map((picture) => {
    const [first = ''] = picture.layers;
    const asked = new URLSearchParams({ screen: screenOf(first), of: 'layers', fit: 'true' });
    for (const key of made.decisions.get(first)?.merge?.layers ?? [first]) asked.append('layer', key);
    const files = picture.files.slice(0, 1).map((file) => ({ ...file, path: `${address}/drawing?${asked}` }));
    return { ...picture, files };
  });
  const fonts = made.fonts.map((font) => {
    const asked = new URLSearchParams({ source: font.source, file: font.file });
    return { ...font, path: `${address}/font?${asked}` };
  });
  const input = { ...made, pages: [page], fonts, plan: { ...made.plan, pictures }, unit: 'px' } as const;
  const canWait = ({ layer, isOpen }: PagePiece) => !isOpen && !isSeen(layer);
  const { news, told: next } = pageNews(toldPage, screen, pagePieces(page, input), canWait);
  toldPage = next;
  return news;
}

function paintedBoxes(measures: ReadonlyMap<string, Measures>): ReadonlyMap<LayerKey, Box> {
  const boxes = new Map<LayerKey, Box>();
  for (const screen of measures.values()) {
    for (const [key, { painted }] of screen) if (painted) boxes.set(key, painted);
  }
  return boxes;
}

export type ConversionApi = typeof api;
expose(api);
