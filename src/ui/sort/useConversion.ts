import { useEffect, useRef, useState } from 'react';
import { wrap } from 'comlink';
import type { LayerKey } from '../../core/mockup/layer';
import type { Mockup } from '../../core/mockup/mockup';
import type { Arrangement } from '../../core/page/node';
import type { Tags } from '../../core/sort/tag';
import { latestOnly } from '../shared/latestOnly';
import type { ConversionApi, Settled, SettledNews, ShownCode } from './conversion.worker';
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
  const settled = useSort((state) => state.settled);
  const paged = useSort((state) => (state.shown === 'page' ? state.screen.key : null));
  const conversions = useRef<Conversions | null>(null);
  const [code, setCode] = useState(NOTHING);

  useEffect(() => {
    const thread = new Worker(new URL('./conversion.worker.ts', import.meta.url), { type: 'module' });
    const remote = wrap<ConversionApi>(thread);
    let known: Settled | null = null;
    conversions.current = {
      load: (next) => void remote.load(next, `/api/mockups/${id}`),
      settle: latestOnly(
        (wish) => remote.settle(wish.tags, wish.arrangement),
        (news) => settle((known = withNews(known, news))),
      ),
      show: latestOnly(({ key, screen }) => remote.show(key, screen), setCode),
    };
    return () => {
      conversions.current = null;
      thread.terminate();
    };
  }, [id, settle]);

  useEffect(() => conversions.current?.load(mockup), [mockup]);
  useEffect(() => conversions.current?.settle({ tags, arrangement }), [mockup, tags, arrangement]);
  useEffect(() => {
    if (settled) conversions.current?.show({ key: cursor, screen: paged });
  }, [cursor, paged, settled]);
  return code;
}

function withNews(known: Settled | null, { changed, boxes, ...others }: SettledNews): Settled {
  if (boxes || !known) return { decisions: changed, boxes: boxes ?? new Map(), ...others };
  const decisions = changed.size === 0 ? known.decisions : new Map([...known.decisions, ...changed]);
  return { decisions, boxes: known.boxes, ...others };
}
