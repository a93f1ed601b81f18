import { useEffect, useState } from 'react';
import { intersection, type Box } from '../../../core/mockup/box';
import type { Screen } from '../../../core/mockup/mockup';
import { useSort, useSortStore } from '../SortContext';
import { livePage, type LivePage } from './livePage';

interface PagePictureProps {
  readonly screen: Screen;
  readonly scale: number;
}

const EMPTY = '<!doctype html><html lang="en"><head><title>The page</title></head><body></body></html>';

/** The current page of a screen, without scripts; an edit patches only what differs. */
export function PagePicture({ screen, scale }: PagePictureProps) {
  const store = useSortStore();
  const seeThrough = useSort((state) => state.setVisibleArea);
  const [live, setLive] = useState<LivePage | null>(null);
  useEffect(() => {
    const put = () => {
      const { page } = store.getState().code;
      if (page) live?.put(page);
    };
    put();
    // Subscribes to the store directly: the page is updated before React renders.
    const leave = store.subscribe((state, before) => {
      if (state.code.page !== before.code.page) put();
    });
    return () => {
      leave();
      live?.stop();
    };
  }, [store, live]);
  useEffect(() => () => seeThrough(null), [seeThrough]);
  return (
    <iframe
      title={`The page of ${screen.name}`}
      srcDoc={EMPTY}
      sandbox="allow-same-origin"
      tabIndex={-1}
      onLoad={({ currentTarget }) => {
        const { contentDocument } = currentTarget;
        if (!contentDocument) return;
        const seen = () => visibleArea(currentTarget);
        setLive(livePage(contentDocument, seen));
        seeThrough(seen);
      }}
      style={{
        width: screen.width,
        height: screen.height,
        border: 0,
        display: 'block',
        transform: `scale(${scale})`,
        transformOrigin: '0 0',
        pointerEvents: 'none',
        // A compositing layer of its own: otherwise Chromium walks the whole page for every frame in which a
        // row changes.
        willChange: 'opacity',
      }}
    />
  );
}

/** The visible area of a frame's document, px of the document: not clipped by any ancestor. */
function visibleArea(frame: HTMLIFrameElement): Box {
  const { left, top, width, height } = frame.getBoundingClientRect();
  const nothing: Box = { x: 0, y: 0, width: 0, height: 0 };
  let seen: Box = { x: 0, y: 0, width: window.innerWidth, height: window.innerHeight };
  for (let around = frame.parentElement; around; around = around.parentElement)
    if (getComputedStyle(around).overflow !== 'visible')
      seen = intersection(seen, around.getBoundingClientRect()) ?? nothing;
  const [across, down] = [width / frame.offsetWidth, height / frame.offsetHeight];
  return {
    x: (seen.x - left) / across,
    y: (seen.y - top) / down,
    width: seen.width / across,
    height: seen.height / down,
  };
}
