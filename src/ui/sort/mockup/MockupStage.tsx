'use client';
import { useCallback, useMemo, useRef, type ReactNode } from 'react';
import { useSort, useSortStore } from '../SortContext';
import type { SortState } from '../store/state';
import { hitIndex, type HitIndex } from './hitIndex';
import { Stage } from './Stage';
import type { ZoomCommand } from './zoom';

interface MockupStageProps {
  readonly onScale: (scale: number) => void;
  readonly children: ReactNode;
}

/** The stage of the shown screen: its marks are the worksheet's selection, and a click selects in the worksheet. */
export function MockupStage({ onScale, children }: MockupStageProps) {
  const screen = useSort((state) => state.screen);
  const boxes = useSort((state) => state.result?.boxes);
  const cursor = useSort((state) => state.cursor);
  const selection = useSort((state) => state.selection);
  const hovered = useSort((state) => state.hovered);
  const found = useSort((state) => state.found);
  const hover = useSort((state) => state.hover);
  const reveal = useSort((state) => state.reveal);
  const choose = useSort((state) => state.choose);
  const askZoom = useSort((state) => state.askZoom);
  const store = useSortStore();

  // Created on the first pointer event: keyboard edits need no index.
  const made = useRef<Pick<SortState, 'screen' | 'result'> & { readonly index: HitIndex }>(null);
  const index = (): HitIndex => {
    const { screen: shown, result } = store.getState();
    if (made.current?.screen !== shown || made.current.result !== result) {
      const { boxes: painted = new Map(), decisions = new Map() } = result ?? {};
      made.current = { screen: shown, result, index: hitIndex(shown, painted, decisions) };
    }
    return made.current.index;
  };
  /** The boxes of layers are known after the decisions. Answers then, if the screen is still shown. */
  const whenSettled = (answer: () => void): void => {
    if (store.getState().result) {
      answer();
      return;
    }
    const leave = store.subscribe((now) => {
      if (!now.result) return;
      leave();
      if (now.screen === screen) answer();
    });
  };
  const followZoom = useCallback(
    (answer: (kind: ZoomCommand) => void) =>
      store.subscribe(({ zoomCommand }, before) => {
        if (zoomCommand && zoomCommand !== before.zoomCommand) answer(zoomCommand.kind);
      }),
    [store],
  );
  const marks = useMemo(() => {
    const boxesOf = (ids: Iterable<string>) => [...ids].flatMap((id) => boxes?.get(id) ?? []);
    const pointed = hovered === null ? null : (boxes?.get(hovered) ?? null);
    return { found: boxesOf(found), chosen: boxesOf(selection), pointed };
  }, [boxes, found, selection, hovered]);
  return (
    <Stage
      screen={screen}
      marks={marks}
      followZoom={followZoom}
      onZoomKey={askZoom}
      onScale={onScale}
      onPoint={(point) => hover(point && (index().at(point.x, point.y)[0] ?? null))}
      onClick={(point) =>
        whenSettled(() => {
          const hits = index().at(point.x, point.y);
          // A further click on the selected layer selects the one beneath.
          const next = hits[(hits.indexOf(cursor ?? '') + 1) % Math.max(1, hits.length)];
          if (next !== undefined) reveal(next);
        })
      }
      onDrag={(area, adds) => whenSettled(() => choose(index().inside(area), adds))}
    >
      {children}
    </Stage>
  );
}
