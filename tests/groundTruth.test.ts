import { readdirSync } from 'node:fs';
import path from 'node:path';
import type { Browser } from '@playwright/test';
import { walkNodes } from '../src/core/page/walk';
import type { Layout } from '../src/core/page/layout';
import { launchChromium } from './support/chromium';
import { drawPage, type WrittenBox } from './support/drawPage';
import { convertReading, readBytes } from './support/mockups';

/**
 * Compares inferred layouts with written ones: hand-written pages are drawn as mockups, which lose their CSS,
 * and converted again. The truth is the computed style of the pages in Chromium.
 */
const PAGES = path.resolve('tests/groundTruth');
let browser: Browser;

beforeAll(async () => {
  browser = await launchChromium();
});
afterAll(() => browser.close());

/** Px by which a length may be off. */
const NEAR = 1;

interface Answer {
  readonly what: string;
  readonly right: boolean;
}

it('direction, gap, padding and alignment agree with the CSS that was written', async () => {
  const answers: Answer[] = [];
  for (const file of readdirSync(PAGES).filter((name) => name.endsWith('.html'))) {
    const { svg, boxes } = await drawPage(browser, path.join(PAGES, file), 1280, 800);
    const reading = readBytes(new TextEncoder().encode(svg), file.replace('.html', '.svg'));
    const [page] = convertReading(reading, 'flow').pages;
    const nodes = walkNodes(page!.children);
    for (const box of boxes) {
      const node = nodes.find(
        (each) => each.kind === 'box' && !each.anonymous && each.path.endsWith(`/${box.name}`),
      );
      // A box around a single one that shows nothing is no element.
      if (node?.kind !== 'box' || !node.layout) continue;
      for (const answer of compare(box, node.layout))
        answers.push({ ...answer, what: `${file} ${box.name}: ${answer.what}` });
    }
  }
  const wrong = answers.filter(({ right }) => !right).map(({ what }) => what);
  expect(answers.length).toBeGreaterThan(200);
  expect(wrong.length / answers.length).toBeLessThanOrEqual(0.1);
});

function* compare(box: WrittenBox, layout: Layout): Generator<Answer> {
  const { children } = box;
  const isRow = box.display === 'flex' && box.direction === 'row';
  if (children.length > 1) {
    // A row of equal shares is a grid of one line, whichever way it was written.
    const across = isRow || box.columns > 1;
    const found = layout.direction === 'row' || (layout.direction === 'grid' && layout.tracks.length > 1);
    yield { what: `${box.display} ${box.direction}, found ${layout.direction}`, right: across === found };
    if (layout.direction === 'grid' && box.display === 'grid')
      yield { what: 'columns', right: layout.tracks.length === box.columns };
    const gap = isRow || box.display === 'grid' ? box.gap : box.rowGap;
    // What is pushed apart has no gap of its own.
    if (layout.justify !== 'between')
      yield { what: `gap ${gap}, found ${layout.gap}`, right: Math.abs(layout.gap - gap) <= NEAR };
    const expected = alignsOf(box, isRow);
    if (expected)
      yield { what: `align ${box.align}, found ${layout.align}`, right: expected.includes(layout.align) };
  }
  if (!box.seen) return;
  const found = [layout.padding.top, layout.padding.right, layout.padding.bottom, layout.padding.left];
  const sides = ['top', 'right', 'bottom', 'left'] as const;
  for (const [at, side] of sides.entries()) {
    // Free space beside the content does not show the padding.
    if (!box.reaches[at]) continue;
    yield {
      what: `padding-${side} ${box.padding[at]}, found ${found[at]}`,
      right: Math.abs(found[at]! - box.padding[at]!) <= NEAR,
    };
  }
}

/** The alignments that look like the written one; null when all do. */
function alignsOf({ align, children, display }: WrittenBox, isRow: boolean): readonly string[] | null {
  const across = display === 'grid' || isRow;
  const sizes = children.map(([, , width, height]) => (across ? height : width));
  const starts = children.map(([x, y]) => (across ? y : x));
  const spread = (values: readonly number[]) => Math.max(...values) - Math.min(...values);
  if (spread(sizes) <= NEAR && spread(starts) <= NEAR) return null;
  const css = align === 'normal' ? 'stretch' : align.replace('flex-', '');
  // Boxes of their own height at the start, and texts that could be as wide as there is room, look stretched.
  if (css === 'stretch' || css === 'start') return ['stretch', 'start'];
  return css === 'center' ? ['middle'] : [css];
}
