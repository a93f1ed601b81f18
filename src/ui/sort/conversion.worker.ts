import { treeOf } from '../../core/mockup/tree';
import { expose } from 'comlink';
import { type ConvertOptions, pagesFromDecisions, type ConvertedPages } from '../../core/convert';
import type { PagePiece } from '../../core/emit/preview';
import type { Fragment, Target } from '../../core/emit/target';
import type { TargetSettings } from '../../core/emit/targetOptions';
import { TARGETS, type TargetName } from '../../core/emit/targets';
import { measureMockup, type Measures } from '../../core/mockup/bounds';
import { findingList, type Finding } from '../../core/findings/finding';
import { touches, type Box } from '../../core/mockup/box';
import type { LayerId } from '../../core/mockup/layer';
import { createMemo, usingMemo } from '../../core/mockup/memoize';
import type { Mockup } from '../../core/mockup/mockup';
import { explainLayer, type Explanation } from '../../core/page/explain';
import { layoutCandidates, type LayoutCandidate } from '../../core/page/layoutCandidates';
import type { Arrangement } from '../../core/page/frame';
import { pageFiles } from '../../core/pictures/picture';
import type { PictureRecipes } from '../../core/pictures/recipes/recipe';
import type { Decided, Decision, Decisions } from '../../core/sort/decision';
import { decide } from '../../core/sort/decide/decide';
import { reportMerges } from '../../core/sort/merges';
import { reportStates } from '../../core/sort/report/states';
import { reportSharedNames } from '../../core/sort/sharedNames';
import type { Tags } from '../../core/sort/tag';
import { findSamples, themesOf } from '../../core/style/samples';
import { pageDelta, type PageDelta, type ShownPage, type SentPage } from './pageDelta';
import { viewportFirst, type ViewportFirst } from './viewportFirst';
import { applyTagDelta, type TagDelta } from './tagDelta';

/** The results of a conversion that the Sort step shows. */
export interface SortResult {
  readonly decisions: ReadonlyMap<LayerId, Decision>;
  /** The painted box of each layer, px of its screen. */
  readonly boxes: ReadonlyMap<LayerId, Box>;
  /** Findings of the decisions, known before the page is built. */
  readonly findings: readonly Finding[];
  /** The themes of the samples; null without samples. */
  readonly themes: readonly string[] | null;
}

/**
 * The same as a difference from the last message: copying thousands of decisions between threads takes longer
 * than deciding.
 */
export interface SortResultDelta extends Pick<SortResult, 'findings' | 'themes'> {
  readonly changed: SortResult['decisions'];
  /** Given in the first message after a mockup was loaded, which replaces all earlier ones. */
  readonly boxes: SortResult['boxes'] | null;
}

/** A request for code. */
export interface CodeQuery {
  /** The layer whose code is requested. */
  readonly cursor: LayerId | null;
  /** The key of the shown screen. */
  readonly screen: string;
  /** Whether its page is requested. */
  readonly isPaged: boolean;
  /**
   * The areas that must be up to date at once, px of that screen; other areas may follow later. Null for
   * everything.
   */
  readonly areas: readonly Box[] | null;
}

/** The code of a layer, and the page around it. */
export interface ShownCode {
  readonly code: Fragment | null;
  /** Why the layer's element is as it is; empty without a layer. */
  readonly explanations: readonly Explanation[];
  /** The layouts that its parts could have; empty without several parts in the flow. */
  readonly candidates: readonly LayoutCandidate[];
  readonly page: ShownPage | null;
}

/** The same, with the page as a difference from the last message. */
export interface ShownCodeDelta extends Pick<ShownCode, 'code' | 'explanations' | 'candidates'> {
  readonly page: PageDelta | null;
  /** False when more may follow: the requested areas are up to date, all others may not be. */
  readonly isWhole: boolean;
}

interface Loaded {
  /** The mockup's URL on the server, for its pictures and fonts. */
  readonly address: string;
  /** The target whose code the worksheet shows, and what a person chose about it. */
  readonly target: TargetName;
  readonly settings: TargetSettings;
  /** The recipes of pictures. Absent for the ready ones. */
  readonly pictures?: PictureRecipes;
  readonly mockup: Mockup;
  readonly measures: ReadonlyMap<string, Measures>;
}

/** The tags and arrangement; empty at first. */
interface TagInput {
  readonly tags: Tags;
  readonly arrangement: Arrangement;
}

/** The input with its decisions. */
interface PendingRun extends TagInput {
  readonly decided: Decided;
}

type PageResult = Omit<ConvertedPages, 'findings'>;

const NO_INPUT: TagInput = { tags: new Map(), arrangement: 'nested' };

/** What is kept from edit to edit; a new mockup begins with nothing. */
let memo = createMemo();
let loaded: Loaded | null = null;
let input = NO_INPUT;
/** Null until the first request. */
let pending: PendingRun | null = null;
/** The decisions that the tab has; null when it has none of this mockup. */
let lastSentDecisions: Decisions | null = null;
/** The last complete pages; null until the first request. They may be older than the last input. */
let lastPages: PageResult | null = null;
/** The pieces of the page that the tab has. */
let lastSentPage: SentPage | null = null;

/** The core's stages in a worker of the browser, on the current tags. */
const api = {
  /** Loads the mockup after structural tags. */
  load(
    mockup: Mockup,
    address: string,
    { target, settings = {}, pictures }: Pick<ConvertOptions, 'target' | 'settings' | 'pictures'>,
  ): void {
    memo = createMemo();
    const measures = usingMemo(memo, () => measureMockup(mockup));
    loaded = { address, target, settings, ...(pictures && { pictures }), mockup, measures };
    input = NO_INPUT;
    pending = null;
    lastSentDecisions = null;
    lastPages = null;
    lastSentPage = null;
  },

  /** Takes changed tags; the results are computed on request. */
  tag(news: TagDelta, arrangement: Arrangement): void {
    input = { tags: applyTagDelta(input.tags, news), arrangement };
    pending = null;
  },

  /** The decisions since the last message. */
  settle(): SortResultDelta {
    return usingMemo(memo, decisionDelta);
  },

  /** The current code of a layer, and the page around it. */
  show(query: CodeQuery): ShownCodeDelta {
    return usingMemo(memo, () => codeDelta(query));
  },
};

function decisionDelta(): SortResultDelta {
  const { mockup, measures, decisions } = currentDecisions().decided;
  const { findings, report } = findingList();
  reportMerges(mockup, measures, decisions, report);
  reportSharedNames(decisions, treeOf(mockup), report);
  reportStates(decisions, input.tags, report);
  const samples = findSamples({ mockup, decisions });
  const boxes = lastSentDecisions ? null : paintedBoxes(measures);
  const changed = new Map<LayerId, Decision>();
  for (const [key, decision] of decisions)
    if (lastSentDecisions?.get(key) !== decision) changed.set(key, decision);
  lastSentDecisions = decisions;
  return { changed, boxes, findings, themes: samples.length > 0 ? themesOf(samples) : null };
}

function codeDelta({ cursor, screen, isPaged, areas }: CodeQuery): ShownCodeDelta {
  if (cursor === null && !isPaged) {
    return { code: null, explanations: [], candidates: [], page: null, isWhole: true };
  }
  const now = currentDecisions();
  const { decided } = now;
  const measured = decided.measures.get(screen);
  const isSeen = (layer: LayerId) => {
    const here = measured?.get(layer);
    const painted = here?.painted;
    return areas === null || (!!here && (!painted || areas.some((area) => touches(painted, area))));
  };
  const isCurrent = lastPages?.decisions === decided.decisions;
  const hasty = lastPages && !isCurrent ? viewportFirst(decided, lastPages.decisions, isSeen) : null;
  const made = lastPages && isCurrent ? lastPages : currentPages(now, hasty);
  if (!hasty) lastPages = made;
  const page = isPaged ? pageDeltaOf(screen, isSeen, made) : null;
  const code =
    cursor === null ? null : targetNow().fragment({ ...made, settings: loadedNow().settings }, cursor);
  const explanations = cursor === null ? [] : explainLayer(made.pages, made.decisions, cursor);
  const candidates = cursor === null ? [] : layoutCandidates(made.pages, made.decisions, cursor);
  return { code, explanations, candidates, page, isWhole: !hasty && page?.isWhole !== false };
}

function targetNow(): Target {
  return TARGETS[loadedNow().target];
}

function loadedNow(): Loaded {
  if (!loaded) throw new Error('No mockup is loaded.');
  return loaded;
}

function currentDecisions(): PendingRun {
  const { mockup, measures } = loadedNow();
  pending ??= {
    ...input,
    decided: { mockup, measures, decisions: decide(mockup, measures, input.tags, targetNow().capabilities) },
  };
  return pending;
}

function currentPages({ tags, arrangement, decided }: PendingRun, hasty: ViewportFirst | null): PageResult {
  const { pictures, target } = loadedNow();
  const options = { arrangement, target, ...(pictures && { pictures }) } as const;
  const input = { assets: new Map(), tags, options, outliner: null, waiting: hasty?.waiting };
  const { decisions } = hasty ?? decided;
  return pagesFromDecisions({ ...decided, decisions }, input, () => {});
}

function pageDeltaOf(
  screen: string,
  isSeen: (layer: LayerId) => boolean,
  made: PageResult,
): PageDelta | null {
  const { address, settings } = loadedNow();
  const page = made.pages.find((each) => each.screen === screen);
  if (!page) return null;
  const screenOf = (key: LayerId) =>
    [...made.measures].find(([, measured]) => measured.has(key))?.[0] ?? screen;
  const pictures = made.plan.pictures.map((picture) => {
    const [first = ''] = picture.layers;
    const asked = new URLSearchParams({ screen: screenOf(first), of: 'layers', fit: 'true' });
    for (const key of made.decisions.get(first)?.merge?.layers ?? [first]) asked.append('layer', key);
    const files = pageFiles(picture)
      .slice(0, 1)
      .map((file) => ({ ...file, path: `${address}/drawing?${asked}` }));
    return { ...picture, files };
  });
  const fonts = made.fonts.map((font) => {
    const asked = new URLSearchParams({ source: font.source, file: font.file });
    return { ...font, path: `${address}/font?${asked}` };
  });
  const input = { ...made, pages: [page], fonts, plan: { ...made.plan, pictures }, settings } as const;
  const canWait = ({ layer, isOpen }: PagePiece) => !isOpen && !isSeen(layer);
  const { delta, sent: next } = pageDelta(
    lastSentPage,
    screen,
    (targetNow().preview ?? TARGETS.html.preview)(page, input),
    canWait,
  );
  lastSentPage = next;
  return delta;
}

function paintedBoxes(measures: ReadonlyMap<string, Measures>): ReadonlyMap<LayerId, Box> {
  const boxes = new Map<LayerId, Box>();
  for (const screen of measures.values()) {
    for (const [key, { painted }] of screen) if (painted) boxes.set(key, painted);
  }
  return boxes;
}

export type ConversionApi = typeof api;
expose(api);
