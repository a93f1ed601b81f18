import morphdom from 'morphdom';
import { useEffect, useRef, useState } from 'react';
import type { Screen } from '../../../core/mockup/mockup';
import type { PageCode } from '../conversion.worker';

interface PagePictureProps {
  readonly page: PageCode;
  readonly screen: Screen;
  readonly scale: number;
}

const EMPTY =
  '<!doctype html><html lang="en"><head><title>The page</title><style></style></head><body></body></html>';

/** The page that a screen gives right now, without scripts; an edit changes only what it changes. */
export function PagePicture({ page, screen, scale }: PagePictureProps) {
  const frame = useRef<HTMLIFrameElement>(null);
  const [isLoaded, setLoaded] = useState(false);
  useEffect(() => {
    const shown = frame.current?.contentDocument;
    const sheet = shown?.querySelector('style');
    if (!isLoaded || !shown || !sheet) return;
    if (sheet.textContent !== page.css) sheet.textContent = page.css;
    const { body } = new DOMParser().parseFromString(page.html, 'text/html');
    morphdom(shown.body, body, { onBeforeElUpdated: (from, to) => !from.isEqualNode(to) });
  }, [page, isLoaded]);
  return (
    <iframe
      ref={frame}
      title={`The page of ${screen.name}`}
      srcDoc={EMPTY}
      sandbox="allow-same-origin"
      tabIndex={-1}
      onLoad={() => setLoaded(true)}
      style={{
        width: screen.width,
        height: screen.height,
        border: 0,
        display: 'block',
        transform: `scale(${scale})`,
        transformOrigin: '0 0',
        pointerEvents: 'none',
      }}
    />
  );
}
