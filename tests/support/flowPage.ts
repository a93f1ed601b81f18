import { writeFile } from 'node:fs/promises';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import type { Browser, Page as BrowserPage } from 'playwright-core';
import type { Conversion } from '../../src/core/convert';
import { USUAL_LANGUAGE } from '../../src/core/page/frame';
import { TARGETS } from '../../src/core/emit/targets';
import { drawnPlaces } from '../../src/core/drawnPlaces';
import { bottom, right, type Box } from '../../src/core/mockup/box';
import { measurePage } from '../../src/engine/proof/measurePage';

/** Writes the pages with layer attributes, and opens one at the size of its screen. */
export async function openKeyed(browser: Browser, folder: string, conversion: Conversion, at: number) {
  const { files } = TARGETS.html.emit({ ...conversion, settings: {}, language: USUAL_LANGUAGE, keyed: true });
  await Promise.all(files.map((file) => writeFile(path.join(folder, file.path), file.text)));
  const { width, height, file } = conversion.emission.screens[at]!;
  const page = await browser.newPage({ viewport: { width: Math.ceil(width), height: Math.ceil(height) } });
  await page.goto(pathToFileURL(path.join(folder, file)).href);
  await page.evaluate(() => document.fonts.ready);
  return page;
}

/**
 * By how many px everything that is seen stands off from the mockup, ascending. Lines drawn around a box, as a shadow that
 * is only spread, count as part of it.
 */
export async function offsets(
  page: BrowserPage,
  conversion: Conversion,
  at: number,
): Promise<readonly number[]> {
  const layers = await page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('.screen *')].map((element) => element.dataset.layer ?? null),
  );
  const measured = await measurePage(page);
  const wanted = drawnPlaces(conversion, at);
  return layers
    .flatMap((layer, at) => {
      const place = layer === null ? undefined : wanted.get(layer);
      const element = measured[at];
      if (!place || !element) return [];
      const { box, isText } = place;
      if (!isText) return edgeOffset(element.box, box);
      // Of a text, the letters of its first line: how high lines are says nothing of where they stand.
      const { line } = element;
      return line ? Math.max(Math.abs(line.x - box.x), Math.abs(line.y - box.y)) : [];
    })
    .sort((one, other) => one - other);
}

function edgeOffset(one: Box, other: Box): number {
  return Math.max(
    Math.abs(one.x - other.x),
    Math.abs(one.y - other.y),
    Math.abs(right(one) - right(other)),
    Math.abs(bottom(one) - bottom(other)),
  );
}

/** What happens to a page whose texts get longer. */
export interface Grown {
  /** Pairs of elements that overlap now and did not before. */
  readonly overlaps: readonly string[];
  /** What is cut off and was not before. */
  readonly cut: readonly string[];
}

/** Makes every text 30% longer, by words of its own. */
export async function grow(page: BrowserPage): Promise<Grown> {
  return page.evaluate(() => {
    const all = [...document.querySelectorAll<HTMLElement>('.screen *')];
    const hasWords = (element: Element) =>
      [...element.childNodes].some((child) => child.nodeType === Node.TEXT_NODE && child.textContent?.trim());
    const things = all.filter(
      (element) =>
        element.tagName !== 'BR' &&
        !element.classList.contains('run') &&
        (element.tagName === 'IMG' || hasWords(element) || element.childElementCount === 0),
    );
    const boxOf = (element: Element) => {
      if (!hasWords(element)) return element.getBoundingClientRect();
      const words = document.createRange();
      words.selectNodeContents(element);
      return words.getBoundingClientRect();
    };
    type Seen = Pick<DOMRect, 'left' | 'top' | 'right' | 'bottom'>;
    const meet = (one: Seen, other: Seen) =>
      Math.min(one.right, other.right) - Math.max(one.left, other.left) > 1 &&
      Math.min(one.bottom, other.bottom) - Math.max(one.top, other.top) > 1;
    // A list that goes on below where the mockup cuts it off goes on farther when it gets longer.
    const lists = new Set(
      all.filter(
        (element) =>
          getComputedStyle(element).overflow !== 'visible' && element.scrollHeight > element.clientHeight + 1,
      ),
    );
    const isCut = (element: HTMLElement) => {
      const { right, bottom: end } = boxOf(element);
      let bottom = end;
      for (let around = element.parentElement; around; around = around.parentElement) {
        if (getComputedStyle(around).overflow === 'visible') continue;
        const edge = around.getBoundingClientRect();
        if (lists.has(around)) bottom = Math.min(bottom, edge.bottom);
        if (right > edge.right + 1 || bottom > edge.bottom + 1) return true;
      }
      return false;
    };
    /** What is seen of an element in the lists around it. */
    const seenOf = (element: HTMLElement) =>
      [...lists].reduce<Seen>((seen, list) => {
        if (!list.contains(element) || list === element) return seen;
        const { left, top, right, bottom } = list.getBoundingClientRect();
        return {
          left: Math.max(seen.left, left),
          top: Math.max(seen.top, top),
          right: Math.min(seen.right, right),
          bottom: Math.min(seen.bottom, bottom),
        };
      }, boxOf(element));
    type Corners = readonly { readonly x: number; readonly y: number }[];
    /** The corners of a transformed element, which overlaps less than its bounding box. */
    const cornersOf = (element: HTMLElement): Corners | null => {
      let turn = new DOMMatrix();
      for (let each: HTMLElement | null = element; each; each = each.parentElement)
        turn = new DOMMatrix(getComputedStyle(each).transform).multiply(turn);
      if (Math.abs(turn.b) + Math.abs(turn.c) < 0.001 || Math.abs(turn.a) + Math.abs(turn.d) < 0.001)
        return null;
      const { offsetWidth: width, offsetHeight: height } = element;
      const corners = [
        [0, 0],
        [width, 0],
        [width, height],
        [0, height],
      ].map(([x = 0, y = 0]) => ({ x: turn.a * x + turn.c * y, y: turn.b * x + turn.d * y }));
      const { left, top } = element.getBoundingClientRect();
      const [dx, dy] = [
        left - Math.min(...corners.map(({ x }) => x)),
        top - Math.min(...corners.map(({ y }) => y)),
      ];
      return corners.map(({ x, y }) => ({ x: x + dx, y: y + dy }));
    };
    const cornersOfBox = ({ left, top, right, bottom }: Seen): Corners => [
      { x: left, y: top },
      { x: right, y: top },
      { x: right, y: bottom },
      { x: left, y: bottom },
    ];
    interface Shape {
      readonly seen: Seen;
      readonly turned: Corners | null;
    }
    const shapeOf = (element: HTMLElement): Shape => ({ seen: seenOf(element), turned: cornersOf(element) });
    /** Separating axes (Gottschalk, Lin, Manocha: OBBTree, 1996, §5). */
    const overlap = (one: Shape, other: Shape) => {
      if (!meet(one.seen, other.seen) || (!one.turned && !other.turned)) return meet(one.seen, other.seen);
      const shapes = [one, other].map(({ seen, turned }) => turned ?? cornersOfBox(seen));
      const axes = shapes.flatMap(([corner, next, , last]) =>
        [next!, last!].map(({ x, y }) => {
          const length = Math.hypot(x - corner!.x, y - corner!.y) || 1;
          return { x: (corner!.y - y) / length, y: (x - corner!.x) / length };
        }),
      );
      return axes.every((axis) => {
        const [first, second] = shapes.map((shape) => shape.map(({ x, y }) => x * axis.x + y * axis.y));
        return (
          Math.min(Math.max(...first!), Math.max(...second!)) -
            Math.max(Math.min(...first!), Math.min(...second!)) >
          1
        );
      });
    };
    const before = things.map(shapeOf);
    const cutBefore = things.map(isCut);
    const texts = document.createTreeWalker(document.querySelector('.screen')!, NodeFilter.SHOW_TEXT);
    const nodes: Text[] = [];
    while (texts.nextNode()) nodes.push(texts.currentNode as Text);
    for (const node of nodes) {
      const text = node.data.trim();
      // Icons that are glyphs of a font are the same in any language.
      if (/[\p{L}\p{N}]/u.test(text))
        node.data = `${text} ${text.repeat(2).slice(0, Math.max(1, Math.round(text.length * 0.3) - 1))}`;
    }
    const after = things.map(shapeOf);
    const nameOf = (element: HTMLElement) => element.dataset.layer ?? element.textContent.slice(0, 40);
    const overlaps = things.flatMap((one, at) =>
      things.flatMap((other, index) => {
        if (index <= at || one.contains(other) || other.contains(one)) return [];
        const isNew = !overlap(before[at]!, before[index]!) && overlap(after[at]!, after[index]!);
        return isNew ? [`${nameOf(one)} and ${nameOf(other)}`] : [];
      }),
    );
    return { overlaps, cut: things.filter((thing, at) => !cutBefore[at] && isCut(thing)).map(nameOf) };
  });
}

/** Px by which the page is wider than a window of this width. */
export async function sidewaysAt(page: BrowserPage, width: number): Promise<number> {
  await page.setViewportSize({ width, height: 800 });
  return page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
}
