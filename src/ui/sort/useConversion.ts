import { useEffect } from 'react';
import { wrap } from 'comlink';
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

type Wish = ReturnType<typeof wishOf>;

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
  /** What was decided and is not shown yet. */
  let unshown: Settled | null = null;
  const showSettled = () => {
    if (unshown) store.getState().settle(unshown);
    unshown = null;
  };
  /** The tags that the worker knows of the mockup that it has. */
  let told: Tags = NO_TAGS;
  const show = latestOnly(
    (asked: Asked) => remote.show(asked),
    ({ code, page: news, isWhole }: ShownNews, isLast) => {
      page = news ? withPageNews(page, news) : page;
      store.getState().take({ code, page: news && page });
      showSettled();
      if (isLast && !isWhole) ask(store.getState(), null);
    },
  );
  const ask = (state: SortState, areas: Asked['areas']) => {
    const { cursor, screen, isPaged } = wishOf(state);
    show({ cursor, screen, isPaged, areas });
  };
  const askSeen = (state: SortState) => ask(state, seenAreas(state));
  const settle = latestOnly(
    (wish: Wish) => {
      unshown = null;
      const answer = remote.settle(tagNews(told, wish.tags), wish.arrangement);
      told = wish.tags;
      // Asked for at once: the worker does one after the other while the tab still takes in what was decided.
      askSeen(store.getState());
      return answer;
    },
    (news, isLast) => {
      // What comes too late was told all the same: the next news build on it. But it is not shown over what is foreseen.
      known = withNews(known, news);
      if (!isLast) return;
      // An edit is foreseen in the worksheet already. Its code is not, and would wait while thousands of rows are drawn anew.
      unshown = known;
      if (news.boxes) showSettled();
    },
  );
  const follow = (state: SortState, before: SortState | null) => {
    const [now, last] = [wishOf(state), before && wishOf(before)];
    if (now.mockup !== last?.mockup) {
      void remote.load(now.mockup, `/api/mockups/${state.opened.id}`);
      told = NO_TAGS;
    }
    const isEdited =
      now.mockup !== last?.mockup || now.tags !== last.tags || now.arrangement !== last.arrangement;
    if (isEdited) settle(now);
    else if (now.cursor !== last.cursor || now.isPaged !== last.isPaged || now.screen !== last.screen)
      askSeen(state);
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
