import path from 'node:path';
import type { Page } from 'playwright-core';
import { comparePictures } from '../src/engine/proof/compare';
import { buildInto } from './support/build';
import { inChromium } from './support/inChromium';
import { readText } from './support/mockups';
import { screenshot } from '../src/engine/proof/screenshot';

/** States are tried on the built page: pointed at, pressed, focused, switched; the mockup shows the version. */
const here = inChromium();

/** Where something is in a state: the point to act on, and what is done to get there. */
interface Trial {
  readonly name: string;
  readonly at: readonly [x: number, y: number];
  readonly act: 'point' | 'press' | 'focus' | 'disable' | 'switch';
  /** Layers of the mockup that the state hides and shows. */
  readonly base: string;
  readonly version: string;
}

const word = (x: number, y: number, text: string, more = '') =>
  `<text x="${x}" y="${y}" ${more}>${text}</text>`;
const sail = (x: number, y: number, fill: string) =>
  `<path d="M${x} ${y}c10 -20 30 20 40 0l-6 30h-28z" fill="${fill}"/>`;

/** The layers of the mockup by name, the hidden ones marked. */
const MOCKUP = (shown: (name: string, isHidden: boolean) => boolean) => {
  const layer = (name: string, isHidden: boolean, content: string) =>
    `<g data-name="${name}"${shown(name, isHidden) ? '' : ' display="none"'}>${content}</g>`;
  return `<svg xmlns="http://www.w3.org/2000/svg" width="600" height="400" font-family="DejaVu Sans" font-size="15">
  <rect data-name="ground" width="600" height="400" fill="#fff"/>
  <g data-name="Menu">
    ${layer('home', false, `<rect x="20" y="20" width="100" height="36" fill="#eee"/>${word(40, 43, 'Home')}`)}
    ${layer('home hover', true, `<rect x="20" y="20" width="100" height="36" fill="#ffd"/>${word(40, 43, 'Home', 'fill="#a00"')}`)}
    ${layer('tours', false, `<rect x="140" y="20" width="100" height="36" fill="#eee"/>${word(160, 43, 'Tours')}`)}
  </g>
  <g data-name="Sail button">
    ${layer('sail normal', false, `<rect x="20" y="80" width="140" height="60" rx="30" fill="#2a7"/>${sail(40, 95, '#fff')}`)}
    ${layer('sail pressed', true, `<rect x="20" y="80" width="140" height="60" rx="30" fill="#175"/>${sail(40, 95, '#fd8')}`)}
    ${word(95, 116, 'Sail', 'fill="#fff"')}
  </g>
  <g data-name="Settings button">
    ${layer('box', false, '<rect x="180.5" y="80.5" width="139" height="43" rx="6" fill="#fff" stroke="#222"/>')}
    ${layer('box focused', true, '<rect x="180.5" y="80.5" width="139" height="43" rx="6" fill="#fff" stroke="#22a" stroke-width="3"/>')}
    ${layer('box disabled', true, '<rect x="180.5" y="80.5" width="139" height="43" rx="6" fill="#ddd" stroke="#bbb"/>')}
    ${word(210, 107, 'Settings')}
  </g>
  <g data-name="Fog toggle">
    ${layer('fog off', false, '<rect x="340" y="80" width="70" height="36" rx="18" fill="#bbb"/><circle cx="358" cy="98" r="15" fill="#fff"/>')}
    ${layer('fog on', true, '<rect x="340" y="80" width="70" height="36" rx="18" fill="#2a7"/><circle cx="392" cy="98" r="15" fill="#fff"/>')}
  </g>
  <g data-name="Lamp switch">
    ${layer('lamp off', true, '<rect x="440" y="80" width="40" height="40" rx="4" fill="#333"/>')}
    ${layer('lamp on', false, '<rect x="440" y="80" width="40" height="40" rx="4" fill="#fd4"/>')}
  </g>
  <g data-name="Ticket">
    ${layer('card', false, `<rect x="40" y="180" width="200" height="100" rx="8" fill="#eee"/>${word(60, 220, 'Day ticket')}`)}
    ${layer('card hover', true, `<rect x="36" y="174" width="208" height="112" rx="8" fill="#def"/>${word(60, 220, 'Day ticket')}${word(60, 250, 'Buy it', 'fill="#06c"')}`)}
  </g>
  <g data-name="Terms [a href=/terms]">
    ${layer('words', false, word(300, 200, 'Terms', 'fill="#06c"'))}
    ${layer('words hover', true, word(300, 200, 'Terms', 'fill="#c00"'))}
  </g>
  <g data-name="Rating">
    ${layer('key', false, '<rect x="300" y="240" width="60" height="40" fill="#ddd"/>')}
    ${layer('key down', false, '<rect x="370" y="240" width="60" height="40" fill="#bbb"/>')}
  </g>
</svg>`;
};

const TRIALS: readonly Trial[] = [
  { name: 'a link in a menu', at: [110, 50], act: 'point', base: 'home', version: 'home hover' },
  {
    name: 'a picture, pressed on its caption',
    at: [105, 112],
    act: 'press',
    base: 'sail normal',
    version: 'sail pressed',
  },
  {
    name: 'a box behind words, by keyboard',
    at: [190, 115],
    act: 'focus',
    base: 'box',
    version: 'box focused',
  },
  {
    name: 'a box behind words, disabled',
    at: [190, 115],
    act: 'disable',
    base: 'box',
    version: 'box disabled',
  },
  { name: 'a switch', at: [345, 98], act: 'switch', base: 'fog off', version: 'fog on' },
  {
    name: 'a switch that is on at first',
    at: [460, 100],
    act: 'switch',
    base: 'lamp on',
    version: 'lamp off',
  },
  {
    name: 'a card that grows and says more',
    at: [230, 270],
    act: 'point',
    base: 'card',
    version: 'card hover',
  },
  { name: 'the words of a link', at: [310, 196], act: 'point', base: 'words', version: 'words hover' },
];

/** The share of pixels that may differ in a state. */
const MOST_DIFFERING = 0.0005;

/** Runs inside Chromium: does to the control at a point what a program does. */
function change([x, y, act]: readonly [number, number, Trial['act']]): void {
  const control = document.elementFromPoint(x, y)!.closest<HTMLElement>('button, label')!;
  if (act === 'disable') (control as HTMLButtonElement).disabled = true;
  if (act === 'focus') control.focus({ focusVisible: true } as FocusOptions);
  if (act === 'switch')
    control.setAttribute('aria-pressed', String(control.getAttribute('aria-pressed') === 'false'));
}

async function put(page: Page, { at: [x, y], act }: Trial): Promise<void> {
  if (act === 'point' || act === 'press') await page.mouse.move(x, y);
  if (act === 'press') await page.mouse.down();
  if (act !== 'point' && act !== 'press') await page.evaluate(change, [x, y, act] as const);
}

/** By how much a page differs from a drawing; pictures that the state shows may have to be decoded first. */
async function differenceFrom(page: Page, wanted: Buffer, trial: Trial): Promise<number> {
  await put(page, trial);
  for (let tries = 0; ; tries++) {
    const { differing } = await comparePictures(await screenshot(page), wanted);
    if (differing <= MOST_DIFFERING || tries === 5) return differing;
    await page.waitForTimeout(100);
  }
}

async function drawn(page: Page, svg: string): Promise<Buffer> {
  await page.setContent(`<!doctype html><body style="margin:0">${svg}</body>`);
  return screenshot(page);
}

describe.each(['fixed', 'nested', 'flow'] as const)('%s', (arrangement) => {
  it('shows every state as it is drawn, and at rest all that is visible', async () => {
    const page = await here.browser.newPage({ viewport: { width: 600, height: 400 } });
    const atRest = MOCKUP((_, isHidden) => !isHidden);
    const out = path.join(here.folder, arrangement);
    const { findings } = await buildInto(out, readText(atRest), arrangement);
    expect(findings.filter(({ code }) => code.startsWith('state'))).toEqual([]);
    const open = () => page.goto(`file://${out}/index.html`);
    const drawing = await drawn(page, atRest);
    await open();
    const { differing } = await comparePictures(await screenshot(page), drawing);
    expect(differing).toBeLessThan(0.001);
    const off: (readonly [string, boolean])[] = [];
    for (const trial of TRIALS) {
      const wanted = await drawn(
        page,
        MOCKUP((name, isHidden) => name === trial.version || (!isHidden && name !== trial.base)),
      );
      await open();
      off.push([trial.name, (await differenceFrom(page, wanted, trial)) > MOST_DIFFERING]);
      expect((await comparePictures(await screenshot(page), drawing)).differing).toBeGreaterThan(0);
      await page.mouse.up();
      await page.mouse.move(590, 390);
    }
    expect(off).toEqual(TRIALS.map(({ name }) => [name, false]));
    await page.close();
  });
});
