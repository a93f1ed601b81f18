import { inRem } from '../../markup/units';
import { printInlineCss, type Declaration } from '../../markup/printCss';
import type { Page, Unit } from '../../page/frame';
import type { PicturePlan } from '../../pictures/picture';
import type { StyleSheet } from '../../style/styleSheet';

export interface MarkupContext {
  readonly sheet: StyleSheet;
  readonly plan: PicturePlan;
  readonly keyed?: boolean;
  readonly unit?: Unit;
  /** True where nodes have fixed coordinates unless a parent has a layout. */
  readonly placed?: boolean;
  /** All pages that share the style sheet; absent for a single page. */
  readonly pages?: readonly Page[];
  /** The window width up to which a page for two screens shows the narrow one, px. */
  readonly below?: number;
}

/** Declarations for a `style` attribute, in the page's unit; null for none. */
export function inline(declarations: readonly Declaration[], { unit }: MarkupContext): string | null {
  if (declarations.length === 0) return null;
  return printInlineCss(unit === 'rem' ? declarations.map(inRem) : declarations);
}
