import type { Page } from 'playwright-core';
import type { Box } from '../../core/mockup/box';

/** An element of a built page as the browser laid it out, px of the page. */
export interface MeasuredElement {
  /** Its border box with the lines drawn around it. */
  readonly box: Box;
  /** The box of its first line of letters; null for none. */
  readonly line: Box | null;
  /** By how many px its letters are cut off at the right or the bottom; 0 for not at all. */
  readonly cut: number;
}

/** The elements inside the screen's own, in document order, as the source map counts them. */
export function measurePage(page: Page): Promise<readonly MeasuredElement[]> {
  return page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('.screen *')].map((element) => {
      const own = element.getBoundingClientRect();
      const rings = getComputedStyle(element)
        .boxShadow.split(/,(?![^(]*\))/)
        .map((shadow) => Number(/ 0px 0px 0px ([\d.]+)px$/.exec(shadow)?.[1] ?? 0));
      const ring = Math.max(0, ...rings);
      const text = document.createTreeWalker(element, NodeFilter.SHOW_TEXT).nextNode();
      const words = document.createRange();
      words.selectNodeContents(text ?? element);
      const [line] = text ? words.getClientRects() : [];
      let cut = 0;
      if (text?.parentElement === element) {
        const all = words.getBoundingClientRect();
        for (let around: HTMLElement | null = element; around; around = around.parentElement) {
          if (getComputedStyle(around).overflow === 'visible') continue;
          const edge = around.getBoundingClientRect();
          cut = Math.max(cut, all.right - edge.right, all.bottom - edge.bottom);
        }
      }
      return {
        box: {
          x: own.x + scrollX - ring,
          y: own.y + scrollY - ring,
          width: own.width + 2 * ring,
          height: own.height + 2 * ring,
        },
        line: line
          ? { x: line.x + scrollX, y: line.y + scrollY, width: line.width, height: line.height }
          : null,
        cut,
      };
    }),
  );
}
