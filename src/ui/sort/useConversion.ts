import { USUAL_OPTIONS } from '../../core/usualOptions';
import { useEffect } from 'react';
import { wrap } from 'comlink';
import { shallow } from 'zustand/shallow';
import type { Box } from '../../core/mockup/box';
import type { Tags } from '../../core/sort/tag';
import { latestOnly } from '../shared/latestOnly';
import type {
  CodeQuery,
  ConversionApi,
  SortResult,
  SortResultDelta,
  ShownCodeDelta,
} from './conversion.worker';
import { applyPageDelta, type ShownPage } from './pageDelta';
import { useSortStore } from './SortContext';
import { tagDelta } from './tagDelta';
import type { SortState, SortStore } from './store/state';

/** Sends tag changes to the worker, and its results to the store. */
export function useConversion(): void {
  const store = useSortStore();
  useEffect(() => connect(store), [store]);
}

const NO_TAGS: Tags = new Map();

/** The parts of the state that a conversion depends on. */
function conversionInputs({ mockup, tags, arrangement, cursor, shown, screen }: SortState) {
  return { mockup, tags, arrangement, cursor, screen: screen.id, isPaged: shown === 'page' };
}

/** The visible areas of the screen: the page in view, and the layer whose code is shown. */
function visibleAreas({ shown, visibleArea, cursor, result }: SortState): readonly Box[] | null {
  if (shown === 'page' && !visibleArea) return null;
  const areas = [visibleArea?.(), cursor === null ? null : result?.boxes.get(cursor)].filter(
    (area) => !!area,
  );
  return areas.length > 0 ? areas : null;
}

/** Subscribes to the store directly: an edit is sent before React renders. */
function connect(store: SortStore): () => void {
  const thread = new Worker(new URL('./conversion.worker.ts', import.meta.url), { type: 'module' });
  const remote = wrap<ConversionApi>(thread);
  let known: SortResult | null = null;
  let page: ShownPage | null = null;
  /** The tags that the worker has. */
  let sentTags: Tags = NO_TAGS;
  /** The tags of the last request for decisions. */
  let queriedTags: Tags | null = null;
  const settle = latestOnly(
    async (tags: Tags) => {
      queriedTags = tags;
      return { tags, news: await remote.settle() };
    },
    ({ tags, news }) => {
      // A late response still updates the base of the next difference, but does not replace an optimistic
      // result.
      known = applyResultDelta(known, news);
      if (tags === sentTags) store.getState().settle(known);
    },
  );
  const show = latestOnly(
    (wanted: CodeQuery) => remote.show(wanted),
    ({ code, explanations, candidates, page: news, isWhole }: ShownCodeDelta, isLast) => {
      page = news ? applyPageDelta(page, news) : page;
      store.getState().take({ code, explanations, candidates, page: news && page });
      if (!isLast) return;
      // The worksheet already shows the optimistic result. The code would wait while thousands of rows
      // render.
      if (queriedTags !== sentTags) settle(sentTags);
      if (!isWhole) ask(store.getState(), null);
    },
  );
  const ask = (state: SortState, areas: CodeQuery['areas']) => {
    const { cursor, screen, isPaged } = conversionInputs(state);
    show({ cursor, screen, isPaged, areas });
  };
  const follow = (state: SortState, before: SortState | null) => {
    const [now, last] = [conversionInputs(state), before && conversionInputs(before)];
    const isNew = now.mockup !== last?.mockup;
    if (isNew) {
      const { id, options } = state.opened;
      void remote.load(now.mockup, `/api/mockups/${id}`, options ?? USUAL_OPTIONS);
      sentTags = NO_TAGS;
    }
    if (isNew || now.tags !== last?.tags || now.arrangement !== last.arrangement) {
      void remote.tag(tagDelta(sentTags, now.tags), now.arrangement);
      sentTags = now.tags;
    }
    // The boxes of its layers come before their code.
    if (isNew) settle(sentTags);
    if (!last || !shallow(now, last)) ask(state, visibleAreas(state));
  };
  follow(store.getState(), null);
  const leave = store.subscribe(follow);
  return () => {
    leave();
    thread.terminate();
  };
}

function applyResultDelta(
  known: SortResult | null,
  { changed, boxes, ...others }: SortResultDelta,
): SortResult {
  if (boxes || !known) return { decisions: changed, boxes: boxes ?? new Map(), ...others };
  const decisions = changed.size === 0 ? known.decisions : new Map([...known.decisions, ...changed]);
  return { decisions, boxes: known.boxes, ...others };
}
