import { wcagContrast } from 'culori';
import type { Report } from '../../findings/finding';
import type { Look } from '../../look/look';
import type { Colour } from '../../mockup/paint';
import type { Page } from '../../page/frame';
import type { PageNode } from '../../page/node';

/** The least contrast of letters, and of large ones (WCAG 2.2, 1.4.3). */
const [LEAST, LEAST_LARGE] = [4.5, 3];
/** Large letters: 18 pt, or 14 pt when they are bold (WCAG 2.2, large scale; a pt is 4/3 px). */
const [LARGE, LARGE_BOLD, BOLD] = [24, 18.66, 700];

/** Reports texts whose letters are too close to the plain colour behind them, in each theme. */
export function reportContrast(page: Page, themes: readonly string[], report: Report): void {
  for (const theme of themes) {
    const ground = colourOf(lookIn(page.themes, theme) ?? {}) ?? page.ground;
    for (const node of page.children) visit(node, ground, theme, report);
  }
}

function lookIn(themes: PageNode['themes'], theme: string): Look | undefined {
  return themes?.find((each) => each.theme === theme)?.look;
}

function visit(node: PageNode, behind: Colour | null, theme: string, report: Report): void {
  const look = lookIn(node.themes, theme) ?? node.look;
  // Behind a gradient or a picture no one colour is known.
  const ground = look.fills ? colourOf(look) : behind;
  const { type } = look;
  if (type?.colour && type.colour.alpha === 1 && ground) {
    const ratio = wcagContrast(rgb(type.colour), rgb(ground));
    const isLarge = type.size >= LARGE || (type.size >= LARGE_BOLD && type.weight >= BOLD);
    if (ratio < (isLarge ? LEAST_LARGE : LEAST))
      report('contrast-low', node.layer, { theme, ratio: ratio.toFixed(1) });
  }
  if (node.kind === 'box') for (const child of node.children) visit(child, ground, theme, report);
}

function colourOf({ fills = [] }: Look): Colour | null {
  const fill = fills.at(-1);
  return fill?.kind === 'solid' && fill.colour.alpha === 1 ? fill.colour : null;
}

function rgb({ r, g, b }: Colour) {
  return { mode: 'rgb', r: r / 255, g: g / 255, b: b / 255 } as const;
}
