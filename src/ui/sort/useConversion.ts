import { useEffect, useRef, useState } from 'react';
import { wrap } from 'comlink';
import type { PagePieces } from '../../core/emit/html/pagePieces';
import type { LayerKey } from '../../core/mockup/layer';
import type { Mockup } from '../../core/mockup/mockup';
import type { Arrangement } from '../../core/page/node';
import type { Tags } from '../../core/sort/tag';
import { latestOnly } from '../shared/latestOnly';
import type { ConversionApi, PageNews, Settled, SettledNews, ShownCode } from './conversion.worker';
import { useSort } from './SortContext';

const NOTHING: ShownCode = { code: null, page: null };

interface Conversions {
  readonly load: (mockup: Mockup) => void;
  readonly settle: (wish: { readonly tags: Tags; readonly arrangement: Arrangement }) => void;
  readonly show: (wish: { readonly key: LayerKey | null; readonly screen: string | null }) => void;
}

/**
 * Keeps the worker's conversion up to date with the tags, and gives the code of the layer under the cursor, and the page
 * where that is shown.
 */
export function useConversion(): ShownCode {
  const id = useSort((state) => state.opened.id);
  const mockup = useSort((state) => state.mockup);
  const tags = useSort((state) => state.tags);
  const arrangement = useSort((state) => state.arrangement);
  const cursor = useSort((state) => state.cursor);
  const settle = useSort((state) => state.settle);
  const paged = useSort((state) => (state.shown === 'page' ? state.screen.key : null));
  const conversions = useRef<Conversions | null>(null);
  const [code, setCode] = useState(NOTHING);
  /** Counts what the worker decided; what is only foreseen is not shown yet. */
  const [decided, setDecided] = useState(0);

  useEffect(() => {
    const thread = new Worker(new URL('./conversion.worker.ts', import.meta.url), { type: 'module' });
    const remote = wrap<ConversionApi>(thread);
    let known: Settled | null = null;
    let page: PagePieces | null = null;
    conversions.current = {
      load: (next) => void remote.load(next, `/api/mockups/${id}`),
      settle: latestOnly(
        (wish) => remote.settle(wish.tags, wish.arrangement),
        (news, isLast) => {
          // What comes too late was told all the same: the next news build on it. But it is not shown over what is foreseen.
          known = withNews(known, news);
          if (!isLast) return;
          settle(known);
          setDecided((count) => count + 1);
        },
      ),
      show: latestOnly(
        ({ key, screen }) => remote.show(key, screen),
        ({ code: next, page: news }) => {
          page = news ? pageWithNews(page, news) : page;
          setCode({ code: next, page: news && page });
        },
      ),
    };
    return () => {
      conversions.current = null;
      thread.terminate();
    };
  }, [id, settle]);

  useEffect(() => conversions.current?.load(mockup), [mockup]);
  useEffect(() => conversions.current?.settle({ tags, arrangement }), [mockup, tags, arrangement]);
  useEffect(() => {
    if (decided > 0) conversions.current?.show({ key: cursor, screen: paged });
  }, [cursor, paged, decided]);
  return code;
}

function withNews(known: Settled | null, { changed, boxes, ...others }: SettledNews): Settled {
  if (boxes || !known) return { decisions: changed, boxes: boxes ?? new Map(), ...others };
  const decisions = changed.size === 0 ? known.decisions : new Map([...known.decisions, ...changed]);
  return { decisions, boxes: known.boxes, ...others };
}

function pageWithNews(
  known: PagePieces | null,
  { isNew, order, changed, css, screen }: PageNews,
): PagePieces {
  const before = new Map(isNew || !known ? [] : known.parts.map(({ id, html }) => [id, html]));
  return { css, screen, parts: order.map((id) => ({ id, html: changed.get(id) ?? before.get(id) ?? '' })) };
}
