'use client';
import { Box } from '@mui/material';
import { useEffect, useRef, useState } from 'react';
import { selectorsOfState } from '../../core/emit/css/stateRules';
import type { State } from '../../core/sort/vocabulary';
import { useWidth } from '../shared/useWidth';

interface LivePageProps {
  readonly address: string;
  /** The highlighted element, by its index on the screen; null for none. */
  readonly lit: number | null;
  /** The state that all elements are shown in, by the page's own rules; null for none. */
  readonly state: State | null;
  /** The width of the page's window, px. */
  readonly width: number;
  readonly height: number;
  /** True to show elements that start hidden. */
  readonly hiddenToo: boolean;
  readonly onPick: (element: number) => void;
}

const LIT_RULE = '[data-lit] { outline: 2px solid #c2410c !important; outline-offset: 1px; }';
const HIDDEN_TOO =
  '.screen [hidden] { display: revert !important; opacity: 0.6; outline: 1px dashed #5b554b; }';

/** The built page without scripts, scaled to the available space. */
export function LivePage({ address, lit, state, width, height, hiddenToo, onPick }: LivePageProps) {
  const frame = useRef<HTMLIFrameElement>(null);
  const pane = useRef<HTMLDivElement>(null);
  const room = useWidth(pane, 600);
  const [loads, setLoads] = useState(0);
  const pick = useRef(onPick);
  useEffect(() => {
    pick.current = onPick;
  }, [onPick]);

  const scale = Math.min(1, room / width);
  useEffect(() => {
    const all = elementsOf(frame.current);
    for (const each of all) delete each.dataset.lit;
    const element = lit === null ? undefined : all[lit];
    if (!element) return;
    element.dataset.lit = '';
    // Scrolls only this pane, not its ancestors.
    const { y, height: high } = element.getBoundingClientRect();
    const view = pane.current;
    const seen = scaleOf(frame.current);
    const top = y * seen;
    if (view && (top < view.scrollTop || top + high * seen > view.scrollTop + view.clientHeight))
      view.scrollTop = top - view.clientHeight / 3;
  }, [lit, loads]);
  useEffect(() => showState(frame.current?.contentDocument ?? null, state), [state, loads]);

  useEffect(() => {
    const page = frame.current?.contentDocument;
    if (!page || loads === 0) return;
    const sheet = page.createElement('style');
    sheet.textContent = hiddenToo ? LIT_RULE + HIDDEN_TOO : LIT_RULE;
    page.head.append(sheet);
    const onClick = (event: MouseEvent) => {
      event.preventDefault();
      const at = elementsOf(frame.current).indexOf(event.target as HTMLElement);
      if (at >= 0) pick.current(at);
    };
    page.addEventListener('click', onClick);
    return () => {
      sheet.remove();
      page.removeEventListener('click', onClick);
    };
  }, [loads, hiddenToo]);

  return (
    <Box
      ref={pane}
      tabIndex={0}
      role="group"
      aria-label="The live page"
      sx={{ minWidth: 0, minHeight: 0, overflow: 'auto', bgcolor: 'background.default' }}
    >
      <Box sx={{ width: width * scale, height: height * scale, overflow: 'hidden', bgcolor: '#fff' }}>
        <iframe
          ref={frame}
          title="The built page"
          src={address}
          sandbox="allow-same-origin"
          onLoad={() => setLoads((count) => count + 1)}
          style={{ width, height, border: 0, transform: `scale(${scale})`, transformOrigin: '0 0' }}
        />
      </Box>
    </Box>
  );
}

function elementsOf(frame: HTMLIFrameElement | null): HTMLElement[] {
  return [...(frame?.contentDocument?.querySelectorAll<HTMLElement>('.screen *') ?? [])];
}

/** The scale at which a frame is seen. */
function scaleOf(frame: HTMLIFrameElement | null): number {
  return frame ? frame.getBoundingClientRect().width / frame.offsetWidth : 1;
}

/** Shows a state by copies of its rules without the state's selector. */
function showState(page: Document | null, state: State | null): void {
  if (!page) return;
  page.querySelector('style[data-state-shown]')?.remove();
  if (state === null) return;
  const rules = [...page.styleSheets].flatMap((sheet) => [...sheet.cssRules]).map((rule) => rule.cssText);
  const marks = selectorsOfState(state);
  const shown = rules
    .filter((rule) => marks.some((mark) => rule.includes(mark)))
    .map((rule) => marks.reduce((text, mark) => text.replaceAll(mark, ''), rule));
  const sheet = page.createElement('style');
  sheet.dataset.stateShown = '';
  sheet.textContent = shown.join('\n');
  page.head.append(sheet);
}
