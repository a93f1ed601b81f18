'use client';
import { Box } from '@mui/material';
import { useEffect, useLayoutEffect, useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import { wheelFactor, ZOOM_STEP } from './zoomSteps';

const LARGEST = 8;

interface ZoomedPaneProps {
  readonly label: string;
  /** @param zoom 1 where the content is as wide as the pane */
  readonly children: (zoom: number) => ReactNode;
}

/** A pane with a picture: Control with the wheel, + and − zoom; 0 shows the whole width again. */
export function ZoomedPane({ label, children }: ZoomedPaneProps) {
  const pane = useRef<HTMLDivElement>(null);
  const [zoom, setZoom] = useState(1);
  /** Where the point under the pointer has to be again, as a share of the content, and px of the pane. */
  const kept = useRef<{ readonly share: readonly [number, number]; readonly at: readonly [number, number] }>(
    null,
  );
  useLayoutEffect(() => {
    const element = pane.current;
    if (!element || !kept.current) return;
    const { share, at } = kept.current;
    kept.current = null;
    element.scrollTo(share[0] * element.scrollWidth - at[0], share[1] * element.scrollHeight - at[1]);
  }, [zoom]);
  useEffect(() => {
    const element = pane.current;
    if (!element) return undefined;
    const onWheel = (event: WheelEvent) => {
      if (!event.ctrlKey && !event.metaKey) return;
      // Only a listener that is not passive can prevent the browser's zoom.
      event.preventDefault();
      const frame = element.getBoundingClientRect();
      const at = [event.clientX - frame.left, event.clientY - frame.top] as const;
      kept.current = {
        share: [
          (element.scrollLeft + at[0]) / element.scrollWidth,
          (element.scrollTop + at[1]) / element.scrollHeight,
        ],
        at,
      };
      setZoom((now) => clamp(now * wheelFactor(event)));
    };
    element.addEventListener('wheel', onWheel, { passive: false });
    return () => element.removeEventListener('wheel', onWheel);
  }, []);
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.target !== event.currentTarget) return;
    if (event.key === '+' || event.key === '=') setZoom((now) => clamp(now * ZOOM_STEP));
    else if (event.key === '-') setZoom((now) => clamp(now / ZOOM_STEP));
    else if (event.key === '0') setZoom(1);
    else return;
    event.preventDefault();
  };
  return (
    <Box
      ref={pane}
      tabIndex={0}
      role="group"
      aria-label={label}
      aria-keyshortcuts="+ - 0"
      title="Control with the wheel, or + and −, zooms; 0 shows the whole width."
      onKeyDown={onKeyDown}
      sx={{ flex: 1, height: '100%', minHeight: 0, overflow: 'auto', bgcolor: 'background.default' }}
    >
      {children(zoom)}
    </Box>
  );
}

function clamp(zoom: number): number {
  return Math.min(LARGEST, Math.max(1, zoom));
}
