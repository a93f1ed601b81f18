/**
 * Contains the off-screen parts of a large page: browsers neither style nor lay out nor draw their content.
 */
export interface OffscreenContainment {
  /**
   * Releases elements, so that they are laid out, and contains them again soon after; replaces all earlier
   * requests.
   */
  renew(elements: readonly Element[]): void;
  /** Contains no further elements. */
  stop(): void;
}

const MAY_CONTAIN = 'data-rests';

/**
 * Sizes are those of the last rendering (CSS Sizing 4, last remembered size). Overflow stays visible (CSS
 * Overflow, `overflow-clip-margin`).
 */
const RULES = `
[${MAY_CONTAIN}] { contain-intrinsic-size: auto 100px }
[${MAY_CONTAIN}='unseen'] { content-visibility: auto; overflow-clip-margin: 1000px }
`;

export function containOffscreen(shown: Document): OffscreenContainment {
  shown.head.appendChild(shown.createElement('style')).textContent = RULES;
  let turn = 0;
  const letRest = async (elements: readonly Element[], own: number) => {
    await nextFrame();
    // Words have another size until their font is loaded; an environment without rendering has no fonts.
    await (shown as Partial<Document>).fonts?.ready;
    // After one more rendering the size is known.
    await nextFrame();
    if (own === turn) for (const element of elements) element.setAttribute(MAY_CONTAIN, 'unseen');
  };
  return {
    renew(elements) {
      turn += 1;
      const able = new Set(elements.filter(canContain));
      for (const element of elements) {
        if (able.has(element)) element.setAttribute(MAY_CONTAIN, '');
        else element.removeAttribute(MAY_CONTAIN);
      }
      void letRest([...able], turn);
    },
    stop() {
      turn += 1;
    },
  };
}

/** Keeps the containment of an element when its code changes. */
export function keepContainment(known: Element, next: Element): void {
  const rests = known.getAttribute(MAY_CONTAIN);
  if (rests !== null) next.setAttribute(MAY_CONTAIN, rests);
}

/** A contained element has no baseline (CSS Containment 2, layout containment). */
function canContain(element: Element): boolean {
  if (element.childElementCount === 0) return false;
  const own = getComputedStyle(element).alignSelf;
  const around = element.parentElement;
  const align = own === 'auto' && around ? getComputedStyle(around).alignItems : own;
  return align !== 'baseline';
}

function nextFrame(): Promise<unknown> {
  return new Promise((resolve) => requestAnimationFrame(resolve));
}
