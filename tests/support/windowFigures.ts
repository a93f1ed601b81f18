import type { Page } from 'playwright-core';
import { windowProblems, type WindowProblems } from '../../src/ui/build/windowProblems';

/** How a page stands in a window of a width. */
export async function windowFigures(page: Page, width: number): Promise<WindowProblems> {
  await page.setViewportSize({ width, height: 800 });
  return page.evaluate(windowProblems, undefined);
}
