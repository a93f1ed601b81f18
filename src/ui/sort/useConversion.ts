import { useEffect, useRef, useState } from 'react';
import { wrap, type Remote } from 'comlink';
import type { LayerCode } from '../../core/emit/html/layerCode';
import type { ConversionApi } from './conversion.worker';
import { useSort } from './SortContext';

/** Keeps the worker's conversion up to date with the tags, and gives the code of the layer under the cursor. */
export function useConversion(): LayerCode | null {
  const mockup = useSort((state) => state.mockup);
  const tags = useSort((state) => state.tags);
  const arrangement = useSort((state) => state.arrangement);
  const cursor = useSort((state) => state.cursor);
  const settle = useSort((state) => state.settle);
  const settled = useSort((state) => state.settled);
  const worker = useRef<Remote<ConversionApi> | null>(null);
  const [code, setCode] = useState<LayerCode | null>(null);

  useEffect(() => {
    const thread = new Worker(new URL('./conversion.worker.ts', import.meta.url), { type: 'module' });
    const remote = wrap<ConversionApi>(thread);
    worker.current = remote;
    return () => {
      worker.current = null;
      thread.terminate();
    };
  }, []);

  useEffect(() => {
    void worker.current?.load(mockup);
  }, [mockup]);

  useEffect(() => {
    let wanted = true;
    void worker.current?.settle(tags, arrangement).then((next) => {
      if (wanted) settle(next);
    });
    return () => {
      wanted = false;
    };
  }, [mockup, tags, arrangement, settle]);

  useEffect(() => {
    let wanted = true;
    if (cursor !== null && settled) {
      void worker.current?.code(cursor).then((next) => {
        if (wanted) setCode(next);
      });
    }
    return () => {
      wanted = false;
    };
  }, [cursor, settled]);
  return code;
}
