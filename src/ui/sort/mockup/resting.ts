/** What of a large page is far from what is seen rests: browsers neither style nor lay out nor draw what stands in it. */
export interface Resting {
  /** Wakes elements, so that they stand as they should, and lets them rest soon after; in place of all that was asked before. */
  renew(elements: readonly Element[]): void;
  /** Lets no others rest than those that do. */
  stop(): void;
}

const MAY = 'data-rests';

/**
 * Sizes are kept from when an element was drawn last (CSS Sizing 4, last remembered size). What sticks out of it is seen
 * nevertheless (CSS Overflow, `overflow-clip-margin`).
 */
const RULES = `
[${MAY}] { contain-intrinsic-size: auto 100px }
[${MAY}='unseen'] { content-visibility: auto; overflow-clip-margin: 1000px }
`;

export function restingIn(shown: Document): Resting {
  shown.head.appendChild(shown.createElement('style')).textContent = RULES;
  let turn = 0;
  const letRest = async (elements: readonly Element[], own: number) => {
    await nextFrame();
    // Words have another size until their font is there; an environment that draws nothing has none.
    await (shown as Partial<Document>).fonts?.ready;
    // Drawn once more, its size is known.
    await nextFrame();
    if (own === turn) for (const element of elements) element.setAttribute(MAY, 'unseen');
  };
  return {
    renew(elements) {
      turn += 1;
      const able = new Set(elements.filter(canRest));
      for (const element of elements) {
        if (able.has(element)) element.setAttribute(MAY, '');
        else element.removeAttribute(MAY);
      }
      void letRest([...able], turn);
    },
    stop() {
      turn += 1;
    },
  };
}

/** Whether an element may rest stays when its code changes. */
export function keepResting(known: Element, next: Element): void {
  const rests = known.getAttribute(MAY);
  if (rests !== null) next.setAttribute(MAY, rests);
}

/** What rests has no baseline (CSS Containment 2, layout containment). */
function canRest(element: Element): boolean {
  if (element.childElementCount === 0) return false;
  const own = getComputedStyle(element).alignSelf;
  const around = element.parentElement;
  const align = own === 'auto' && around ? getComputedStyle(around).alignItems : own;
  return align !== 'baseline';
}

function nextFrame(): Promise<unknown> {
  return new Promise((resolve) => requestAnimationFrame(resolve));
}
