import path from 'node:path';
import fc from 'fast-check';
import { buildInto } from './support/build';
import { inChromium } from './support/inChromium';
import { readText } from './support/mockups';

/** Texts in generated styles: the page shows each word as Chromium shows it in the mockup itself. */
const here = inChromium();

const either = <T>(...values: readonly T[]) => fc.constantFrom(...values);
const DECLARATIONS = fc.record(
  {
    'font-size': either('18px', '1.5em', '120%', 'larger', 'calc(10px + 1em)'),
    'font-weight': either('700', 'bold', 'bolder', 'lighter', 'normal'),
    'font-style': either('italic', 'normal'),
    'font-family': either("'DejaVu Sans'", '"DejaVu Serif", serif', 'DejaVu Sans Mono'),
    font: either(
      "italic bold 24px/30px 'DejaVu Serif', serif",
      '700 20px DejaVu Sans',
      "small-caps 18px/1.2 'DejaVu Sans'",
      '20px "DejaVu Sans Mono",monospace',
    ),
    'font-variant': either('small-caps', 'normal'),
    'letter-spacing': either('2px', '.1em', 'normal'),
    'word-spacing': either('3px', '.5em', 'normal'),
    'text-decoration': either('underline', 'line-through', 'underline overline', 'none'),
    'text-transform': either('uppercase', 'lowercase', 'capitalize', 'none'),
    fill: either('#c00', 'rgb(0 80 160 / 50%)', 'teal', 'none'),
    stroke: either('#123456', 'none'),
    'stroke-width': either('2', '0.5px'),
    opacity: either('.5', '1', '40%'),
  },
  { requiredKeys: [] },
);
type Declarations = Record<string, string>;

/** A text of three stretches, the second inside the first's element, with styles of their own. */
const TEXTS = fc.sample(fc.tuple(DECLARATIONS, DECLARATIONS, DECLARATIONS), { numRuns: 60, seed: 28 });

const styled = (declarations: Declarations) =>
  Object.entries(declarations)
    .map(([name, value]) => `${name}:${value}`)
    .join(';')
    .replaceAll('"', '&quot;');

const SVG = `<svg xmlns="http://www.w3.org/2000/svg" width="1600" height="${TEXTS.length * 50}" font-family="DejaVu Sans">
  <style>@media (min-width: 1000px) { .wide { stroke-linejoin: round } } @media print { text { fill: none } }</style>
  ${TEXTS.map(
    (
      [outer, inner, last],
      at,
    ) => `<text class="wide" x="20" y="${at * 50 + 40}" style="${styled(outer as Declarations)}">one${at}a
    <tspan style="${styled(inner as Declarations)}">two${at}b</tspan> <tspan style="${styled(last as Declarations)}">six${at}c</tspan></text>`,
  ).join('\n')}
</svg>`;

/** How a word is shown, by the styles of the element around it and of those outside. */
interface Shown {
  readonly size: number;
  readonly weight: string;
  readonly italic: boolean;
  readonly caps: string;
  readonly spacing: readonly number[];
  readonly lines: readonly string[];
  /** The alpha of the letters, all opacities included. */
  readonly alpha: number;
  readonly colour: string;
  readonly outline: number;
  readonly family: string;
}

/** Runs inside Chromium: what is shown of each word, by its number and letter. */
function wordsShown(isDrawing: boolean): Record<string, Shown> {
  const shown: Record<string, Shown> = {};
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  for (let node = walker.nextNode(); node; node = walker.nextNode()) {
    const element = node.parentElement;
    if (!element || element.closest('style, title')) continue;
    for (const [word] of (node.textContent ?? '').matchAll(/(?:one|two|six)\d+[abc]/gi)) {
      const style = getComputedStyle(element);
      const px = (text: string) => Math.round((parseFloat(text) || 0) * 100) / 100;
      const lines = new Set<string>();
      let alpha = 1;
      for (let around: Element | null = element; around; around = around.parentElement) {
        const own = getComputedStyle(around);
        for (const line of own.textDecorationLine.split(' ')) if (line !== 'none') lines.add(line);
        alpha *= Number(own.opacity);
      }
      const paint = isDrawing ? style.fill : style.color;
      const [r, g, b, a = '1'] = paint.match(/[\d.]+/g) ?? ['0', '0', '0', '0'];
      const isClear = paint === 'none' || Number(a) === 0;
      const own = isDrawing ? Number(style.fillOpacity) : 1;
      const hasOutline = isDrawing ? style.stroke !== 'none' : true;
      const outline = isDrawing ? style.strokeWidth : style.getPropertyValue('-webkit-text-stroke-width');
      shown[word.toLowerCase()] = {
        size: px(style.fontSize),
        weight: style.fontWeight,
        italic: style.fontStyle === 'italic',
        caps: style.fontVariantCaps,
        spacing: [px(style.letterSpacing), px(style.wordSpacing)],
        lines: [...lines].sort(),
        alpha: isClear ? 0 : Math.round(alpha * Number(a) * own * 50) / 50,
        colour: isClear ? '' : [r, g, b].join(' '),
        outline: hasOutline ? px(outline) : 0,
        family: style.fontFamily.split(',')[0]!.replace(/["']/g, '').trim(),
      };
    }
  }
  return shown;
}

/** Runs inside Chromium: the words in the case in which they are shown. */
function wordsInCase(): string[] {
  const apply = (word: string, element: Element) =>
    ({
      uppercase: word.toUpperCase(),
      lowercase: word.toLowerCase(),
      capitalize: word[0]!.toUpperCase() + word.slice(1),
    })[getComputedStyle(element).textTransform] ?? word;
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  const words: string[] = [];
  for (let node = walker.nextNode(); node; node = walker.nextNode())
    for (const [word] of (node.textContent ?? '').matchAll(/(?:one|two|six)\d+[abc]/gi))
      words.push(apply(word, node.parentElement!));
  return words.sort();
}

it.each(['fixed', 'flow'] as const)('%s shows every word in the style of the mockup', async (arrangement) => {
  const page = await here.browser.newPage({ viewport: { width: 1600, height: 900 } });
  await page.setContent(`<!doctype html><body>${SVG}</body>`);
  const [drawn, cases] = [await page.evaluate(wordsShown, true), await page.evaluate(wordsInCase)];
  const out = path.join(here.folder, arrangement);
  await buildInto(out, readText(SVG), arrangement);
  await page.goto(`file://${out}/index.html`);
  expect(await page.evaluate(wordsInCase)).toEqual(cases);
  const built = await page.evaluate(wordsShown, false);
  expect(Object.keys(built).sort()).toEqual(Object.keys(drawn).sort());
  for (const [word, shown] of Object.entries(drawn))
    expect({ word, ...built[word] }).toEqual({ word, ...shown });
  await page.close();
});
