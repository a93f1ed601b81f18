import { useEffect } from 'react';
import { wrap } from 'comlink';
import { shallow } from 'zustand/shallow';
import type { Box } from '../../core/mockup/box';
import type { Tags } from '../../core/sort/tag';
import { latestOnly } from '../shared/latestOnly';
import type { Asked, ConversionApi, Settled, SettledNews, ShownNews } from './conversion.worker';
import { withPageNews, type ShownPage } from './pageNews';
import { useSortStore } from './SortContext';
import { tagNews } from './tagNews';
import type { SortState, SortStore } from './store';

/** Keeps the worker's conversion up to date with the tags, and the store with what it gives. */
export function useConversion(): void {
  const store = useSortStore();
  useEffect(() => connect(store), [store]);
}

const NO_TAGS: Tags = new Map();

/** What of the Sort step a conversion depends on. */
function wishOf({ mockup, tags, arrangement, cursor, shown, screen }: SortState) {
  return { mockup, tags, arrangement, cursor, screen: screen.key, isPaged: shown === 'page' };
}

/** What is seen of the screen: the page, as far as it is in view, and the layer whose code stands beside it. */
function seenAreas({ shown, seenArea, cursor, settled }: SortState): readonly Box[] | null {
  if (shown === 'page' && !seenArea) return null;
  const areas = [seenArea?.(), cursor === null ? null : settled?.boxes.get(cursor)].filter((area) => !!area);
  return areas.length > 0 ? areas : null;
}

/** Follows the store itself, not what React makes of it: an edit is on its way before anything is drawn anew. */
function connect(store: SortStore): () => void {
  const thread = new Worker(new URL('./conversion.worker.ts', import.meta.url), { type: 'module' });
  const remote = wrap<ConversionApi>(thread);
  let known: Settled | null = null;
  let page: ShownPage | null = null;
  /** The tags that the worker knows of the mockup that it has. */
  let told: Tags = NO_TAGS;
  /** Those of which it was asked last what was decided. */
  let asked: Tags | null = null;
  const settle = latestOnly(
    async (tags: Tags) => {
      asked = tags;
      return { tags, news: await remote.settle() };
    },
    ({ tags, news }) => {
      // What comes too late was told all the same: the next news build on it. But it is not shown over what is foreseen.
      known = withNews(known, news);
      if (tags === told) store.getState().settle(known);
    },
  );
  const show = latestOnly(
    (wanted: Asked) => remote.show(wanted),
    ({ code, page: news, isWhole }: ShownNews, isLast) => {
      page = news ? withPageNews(page, news) : page;
      store.getState().take({ code, page: news && page });
      if (!isLast) return;
      // An edit is foreseen in the worksheet already. Its code is not, and would wait while thousands of rows are drawn anew.
      if (asked !== told) settle(told);
      if (!isWhole) ask(store.getState(), null);
    },
  );
  const ask = (state: SortState, areas: Asked['areas']) => {
    const { cursor, screen, isPaged } = wishOf(state);
    show({ cursor, screen, isPaged, areas });
  };
  const follow = (state: SortState, before: SortState | null) => {
    const [now, last] = [wishOf(state), before && wishOf(before)];
    const isNew = now.mockup !== last?.mockup;
    if (isNew) {
      void remote.load(now.mockup, `/api/mockups/${state.opened.id}`);
      told = NO_TAGS;
    }
    if (isNew || now.tags !== last?.tags || now.arrangement !== last.arrangement) {
      void remote.tag(tagNews(told, now.tags), now.arrangement);
      told = now.tags;
    }
    // Where its layers stand comes before their code.
    if (isNew) settle(told);
    if (!last || !shallow(now, last)) ask(state, seenAreas(state));
  };
  follow(store.getState(), null);
  const leave = store.subscribe(follow);
  return () => {
    leave();
    thread.terminate();
  };
}

function withNews(known: Settled | null, { changed, boxes, ...others }: SettledNews): Settled {
  if (boxes || !known) return { decisions: changed, boxes: boxes ?? new Map(), ...others };
  const decisions = changed.size === 0 ? known.decisions : new Map([...known.decisions, ...changed]);
  return { decisions, boxes: known.boxes, ...others };
}
