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

/** The page that a screen gives right now, without scripts; an edit changes only what it changes. */
export function PagePicture({ screen, scale }: PagePictureProps) {
  const store = useSortStore();
  const seeThrough = useSort((state) => state.seeThrough);
  const [live, setLive] = useState<LivePage | null>(null);
  useEffect(() => {
    const put = () => {
      const { page } = store.getState().given;
      if (page) live?.put(page);
    };
    put();
    // Follows the store itself: the page is there before anything else is drawn anew.
    const leave = store.subscribe((state, before) => {
      if (state.given.page !== before.given.page) put();
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
        const seen = () => seenArea(currentTarget);
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
        // In a layer of its own: otherwise Chromium goes through all of the page for every frame in which a row changes.
        willChange: 'opacity',
      }}
    />
  );
}

/** What is seen of what a frame shows, px of the document in it: what no box around cuts off. */
function seenArea(frame: HTMLIFrameElement): Box {
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
