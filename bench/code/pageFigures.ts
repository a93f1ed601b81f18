import type { Page } from 'playwright-core';

/** What can be counted in the code of a page, by the browser that shows it. */
export interface CodeFigures {
  readonly elements: number;
  readonly styled: number;
  readonly px: number;
  readonly fractions: number;
  /** `scaleX`, `translate` and negative margins. */
  readonly corrections: number;
  readonly classes: number;
  readonly once: number;
  /** Groups of siblings of one build; those whose own classes differ, and those that have no class in common. */
  readonly siblings: number;
  readonly unlike: number;
  readonly unrelated: number;
  readonly cssBytes: number;
  readonly tables: number;
  readonly fields: number;
  readonly labelled: number;
  readonly mains: number;
  readonly absolute: number;
}

/** Counts the code of the page that is shown. */
export async function codeFigures(page: Page, css: string): Promise<CodeFigures> {
  const px = [
    ...`${css} ${await page.evaluate(() => [...document.querySelectorAll('[style]')].map((e) => e.getAttribute('style')).join(';'))}`.matchAll(
      /(-?\d*\.?\d+)px/g,
    ),
  ].map(([, figure]) => Number(figure));
  const said = await page.evaluate(() => {
    const all = [...document.body.querySelectorAll('*')].filter(
      (e) => !e.closest('svg') || e.tagName === 'svg',
    );
    const worn = new Map<string, number>();
    for (const e of all)
      for (const name of e.classList) if (name !== 'screen') worn.set(name, (worn.get(name) ?? 0) + 1);
    const shapeOf = (e: Element): string =>
      `${e.tagName}(${e.tagName === 'svg' ? '' : [...e.children].map(shapeOf).join()})`;
    // What an icon is drawn with is no code of the page.
    const html = all.filter((e) => e.tagName !== 'svg');
    const groups = html.flatMap((parent) => {
      const byShape = new Map<string, Element[]>();
      for (const child of parent.children) {
        if (child.tagName === 'svg') continue;
        const shape = shapeOf(child);
        byShape.set(shape, [...(byShape.get(shape) ?? []), child]);
      }
      return [...byShape.values()].filter((group) => group.length > 1 && group[0]!.childElementCount > 0);
    });
    const isUnlike = (group: readonly Element[]) =>
      new Set(group.map((e) => e.getAttribute('class'))).size > 1;
    const haveOne = ([first, ...others]: readonly Element[]) =>
      [...first!.classList].some((name) => others.every((e) => e.classList.contains(name)));
    const fields = all.filter((e) => /^(?:INPUT|SELECT|TEXTAREA)$/.test(e.tagName)) as HTMLInputElement[];
    return {
      elements: all.length,
      styled: all.filter((e) => e.hasAttribute('style')).length,
      classes: worn.size,
      once: [...worn.values()].filter((count) => count === 1).length,
      siblings: groups.length,
      unlike: groups.filter(isUnlike).length,
      unrelated: groups.filter((group) => isUnlike(group) && !haveOne(group)).length,
      tables: all.filter((e) => e.tagName === 'TABLE').length,
      fields: fields.length,
      labelled: fields.filter((e) => (e.labels?.length ?? 0) > 0).length,
      mains: all.filter((e) => e.tagName === 'MAIN').length,
      absolute: all.filter((e) => getComputedStyle(e).position === 'absolute').length,
    };
  });
  const inline = await page.evaluate(() =>
    [...document.querySelectorAll('[style]')].map((e) => e.getAttribute('style')).join(';'),
  );
  const corrections = [
    ...`${css};${inline}`.matchAll(/scaleX\(|translate[XY]?\(|margin(?:-\w+)?:\s*(?:[\w.%]+\s+)*-\d/g),
  ].length;
  return {
    ...said,
    px: px.length,
    fractions: px.filter((figure) => !Number.isInteger(figure)).length,
    corrections,
    cssBytes: css.length,
  };
}
