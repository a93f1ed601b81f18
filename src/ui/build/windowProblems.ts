/** A text that a window of some width does not show as it is meant. */
export interface TextProblem {
  readonly words: string;
  readonly what: 'cut off' | 'over another text';
}

/** How a page stands in its window. */
export interface WindowProblems {
  readonly texts: number;
  readonly problems: readonly TextProblem[];
  /** Px that the page is wider than its window, were nothing cut off. */
  readonly sideways: number;
}

/**
 * The texts of a page that are cut off in its window, or lie over each other. It stands by itself: browsers that are
 * driven from outside run it, too.
 */
export function windowProblems(page: Document = document): WindowProblems {
  const view = page.defaultView!;
  const walker = page.createTreeWalker(page.body, NodeFilter.SHOW_TEXT);
  const texts: { readonly rect: DOMRect; readonly around: HTMLElement }[] = [];
  while (walker.nextNode()) {
    const node = walker.currentNode;
    const around = node.parentElement!;
    if (!node.textContent?.trim() || view.getComputedStyle(around).visibility === 'hidden') continue;
    const range = page.createRange();
    range.selectNodeContents(node);
    const rect = range.getBoundingClientRect();
    if (rect.width > 0) texts.push({ rect, around });
  }
  const width = page.documentElement.clientWidth;
  const isCut = ({ rect, around }: (typeof texts)[number]) => {
    for (let each: HTMLElement | null = around; each; each = each.parentElement) {
      const { overflowX } = view.getComputedStyle(each);
      if (overflowX === 'auto' || overflowX === 'scroll') return false;
      if (overflowX !== 'hidden' && overflowX !== 'clip') continue;
      const clip = each.getBoundingClientRect();
      if (rect.right > clip.right + 1.5 || rect.left < clip.left - 1.5) return true;
    }
    return rect.right > width + 1.5 || rect.left < -1.5;
  };
  const isOver = (one: DOMRect, other: DOMRect) =>
    Math.min(one.right, other.right) - Math.max(one.left, other.left) > 2 &&
    Math.min(one.bottom, other.bottom) - Math.max(one.top, other.top) >
      Math.min(one.height, other.height) * 0.35;
  const problems = texts.flatMap((each): TextProblem[] => {
    const words = each.around.textContent.trim().slice(0, 60);
    if (isCut(each)) return [{ words, what: 'cut off' }];
    const lies = texts.some(
      (other) =>
        !other.around.contains(each.around) &&
        !each.around.contains(other.around) &&
        isOver(each.rect, other.rect),
    );
    return lies ? [{ words, what: 'over another text' }] : [];
  });
  const screens = [...page.querySelectorAll<HTMLElement>('.screen')];
  for (const screen of screens) screen.style.overflow = 'visible';
  const sideways = Math.max(0, page.documentElement.scrollWidth - view.innerWidth);
  for (const screen of screens) screen.style.overflow = '';
  return { texts: texts.length, problems, sideways };
}
