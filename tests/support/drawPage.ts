import { pathToFileURL } from 'node:url';
import type { Browser } from 'playwright-core';

/** A page drawn as a mockup, with the computed layout of its containers. */
export interface DrawnPage {
  readonly svg: string;
  readonly boxes: readonly WrittenBox[];
}

/** The computed layout of one element, by CSS's own words; lengths in px. */
export interface WrittenBox {
  readonly name: string;
  readonly display: string;
  readonly direction: string;
  readonly columns: number;
  readonly gap: number;
  readonly rowGap: number;
  readonly padding: readonly [top: number, right: number, bottom: number, left: number];
  readonly align: string;
  /** True when it shows a background or a border. */
  readonly seen: boolean;
  /** Whether the content reaches its padding: top, right, bottom, left. */
  readonly reaches: readonly [boolean, boolean, boolean, boolean];
  /** The boxes of its children, px of the page. */
  readonly children: readonly (readonly [x: number, y: number, width: number, height: number])[];
}

/**
 * Draws a hand-written page as a designer would have: a group an element, named by its id, boxes for backgrounds and
 * borders, a text with its lines. What the page's CSS says is lost, and returned beside it.
 */
export async function drawPage(
  browser: Browser,
  file: string,
  width: number,
  height: number,
): Promise<DrawnPage> {
  const page = await browser.newPage({ viewport: { width, height } });
  try {
    await page.goto(pathToFileURL(file).href);
    await page.evaluate(() => document.fonts.ready);
    return await page.evaluate(draw);
  } finally {
    await page.close();
  }
}

/** Runs in the page. */
function draw(): DrawnPage {
  const boxes: WrittenBox[] = [];
  const escape = (text: string) => text.replace(/[&<>"]/g, (letter) => `&#${letter.codePointAt(0)};`);
  const canvas = document.createElement('canvas').getContext('2d')!;

  function drawElement(element: Element): string {
    const style = getComputedStyle(element);
    const { x, y, width, height } = element.getBoundingClientRect();
    note(element, style);
    const inside = [...element.childNodes].map((child) =>
      child instanceof Element ? drawElement(child) : drawText(child as Text, style),
    );
    return `<g id="${escape(element.id)}">${drawBox(style, x, y, width, height)}${inside.join('')}</g>`;
  }

  function drawBox(style: CSSStyleDeclaration, x: number, y: number, width: number, height: number): string {
    const border = parseFloat(style.borderTopWidth);
    const filled = style.backgroundColor !== 'rgba(0, 0, 0, 0)';
    if (!filled && border === 0) return '';
    const inset = border / 2;
    const radius = Math.max(0, parseFloat(style.borderTopLeftRadius) - inset);
    const stroke = border > 0 ? `stroke="${style.borderTopColor}" stroke-width="${border}"` : '';
    return `<rect x="${x + inset}" y="${y + inset}" width="${width - border}" height="${height - border}" rx="${radius}" fill="${filled ? style.backgroundColor : 'none'}" ${stroke}/>`;
  }

  function drawText(node: Text, style: CSSStyleDeclaration): string {
    if (node.data.trim() === '') return '';
    const lines: { text: string; x: number; top: number }[] = [];
    const range = document.createRange();
    for (let at = 0; at < node.data.length; at++) {
      range.setStart(node, at);
      range.setEnd(node, at + 1);
      const [rect] = range.getClientRects();
      const letter = node.data[at]!.replace(/\s/, ' ');
      if (!rect || rect.width === 0) continue;
      const line = lines.at(-1);
      if (line && Math.abs(line.top - rect.top) < 2) line.text += letter;
      else lines.push({ text: letter, x: rect.left, top: rect.top });
    }
    canvas.font = `${style.fontWeight} ${style.fontSize} ${style.fontFamily}`;
    const ascent = Math.round(canvas.measureText('x').fontBoundingBoxAscent);
    const spans = lines.map(
      (line) => `<tspan x="${line.x}" y="${line.top + ascent}">${escape(line.text.trimEnd())}</tspan>`,
    );
    return `<text font-family="${escape(style.fontFamily)}" font-size="${style.fontSize}" font-weight="${style.fontWeight}" fill="${style.color}">${spans.join('')}</text>`;
  }

  function note(element: Element, style: CSSStyleDeclaration): void {
    if (!['flex', 'grid'].includes(style.display)) return;
    const px = (value: string) => parseFloat(value) || 0;
    const rects = [...element.children].map((child) => child.getBoundingClientRect());
    const own = element.getBoundingClientRect();
    const border = px(style.borderTopWidth);
    const near = (one: number, other: number) => Math.abs(one - other) < 0.6;
    const meets = (edge: number, edges: readonly number[]) => edges.some((each) => near(each, edge));
    boxes.push({
      seen: style.backgroundColor !== 'rgba(0, 0, 0, 0)' || border > 0,
      reaches: [
        meets(
          own.top + border + px(style.paddingTop),
          rects.map((rect) => rect.top),
        ),
        meets(
          own.right - border - px(style.paddingRight),
          rects.map((rect) => rect.right),
        ),
        meets(
          own.bottom - border - px(style.paddingBottom),
          rects.map((rect) => rect.bottom),
        ),
        meets(
          own.left + border + px(style.paddingLeft),
          rects.map((rect) => rect.left),
        ),
      ],
      name: element.id,
      display: style.display,
      direction: style.flexDirection,
      columns: style.display === 'grid' ? style.gridTemplateColumns.split(' ').length : 0,
      gap: px(style.columnGap),
      rowGap: px(style.rowGap),
      padding: [px(style.paddingTop), px(style.paddingRight), px(style.paddingBottom), px(style.paddingLeft)],
      align: style.alignItems,
      children: [...element.children].map((child) => {
        const rect = child.getBoundingClientRect();
        return [rect.x, rect.y, rect.width, rect.height] as const;
      }),
    });
  }

  const { clientWidth: width } = document.documentElement;
  const height = Math.max(document.documentElement.scrollHeight, innerHeight);
  const content = [...document.body.children].map(drawElement).join('');
  return {
    svg: `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}">${content}</svg>`,
    boxes,
  };
}
