import { printColour } from '../../markup/colours';
import type { Colour } from '../../mockup/paint';
import { px } from '../../markup/numbers';
import type { Declaration } from '../../markup/printCss';
import type { Page } from '../../page/frame';
import { layoutDeclarations } from './placing';

/**
 * The declarations that place the page's element in the window.
 * @param common the background colour of all pages
 */
export function frameDeclarations(page: Page, common: Colour | null): Declaration[] {
  const { frame, width, layout, ground } = page;
  const isCentred = frame.stands === 'centred';
  const list: (Declaration | null)[] = [
    ...(layout ? flowing(page) : placed(page)),
    layout && isCentred ? ['max-width', px(width)] : null,
    isCentred ? ['margin', '0 auto'] : null,
    frame.edge === 'spilling' ? ['overflow', 'visible'] : null,
    ...(layout ? layoutDeclarations(layout) : []),
    ground && (!common || printColour(ground) !== printColour(common))
      ? ['background', printColour(ground)]
      : null,
  ];
  return list.filter((entry) => entry !== null);
}

function flowing({ frame, height }: Page): Declaration[] {
  return frame.reaches === 'content'
    ? [['min-height', px(height)]]
    : [['height', px(height)], ...(frame.edge === 'clipped' ? [['overflow', 'hidden'] as const] : [])];
}

function placed(page: Page): Declaration[] {
  const { frame, width, height } = page;
  return [
    ['width', px(width)],
    ['height', px(frame.reaches === 'content' ? contentHeight(page) : height)],
  ];
}

/** The height of the page's content, px; at least that of the screen. */
function contentHeight({ children, height }: Page): number {
  return Math.max(height, ...children.map(({ place }) => place.y + place.height));
}
