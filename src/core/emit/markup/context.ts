import { inRem } from '../../markup/units';
import { printInlineCss, type Declaration } from '../../markup/printCss';
import type { LayerId } from '../../mockup/layer';
import type { Page, Unit } from '../../page/frame';
import type { Icons } from '../../pictures/iconSymbol';
import type { PicturePlan } from '../../pictures/picture';
import type { StyleSheet } from '../../style/styleSheet';

export interface MarkupContext {
  readonly sheet: StyleSheet;
  readonly plan: PicturePlan;
  /** The pictures that the page holds as symbols. Absent for none. */
  readonly icons?: Icons;
  readonly keyed?: boolean;
  readonly unit?: Unit;
  /** True where nodes have fixed coordinates unless a parent has a layout. */
  readonly placed?: boolean;
  /** All pages that share the style sheet; absent for a single page. */
  readonly pages?: readonly Page[];
  /** The id of a layer's element, when links lead to it. Absent where there are no links. */
  readonly idOf?: (layer: LayerId) => string | undefined;
  /** The id of a field that a text labels. Absent where there are none. */
  readonly fieldIdOf?: (layer: LayerId) => string | undefined;
  /** The address of a link to a screen or layer. Absent where there are no such links. */
  readonly address?: (href: string) => string;
  /** The window width up to which a page for two screens shows the narrow one, px. */
  readonly below?: number;
}

/** The address that a link is written with. */
export function addressOf(href: string, { address }: MarkupContext): string {
  return address?.(href) ?? href;
}

/** Declarations for a `style` attribute, in the page's unit; null for none. */
export function inline(declarations: readonly Declaration[], { unit }: MarkupContext): string | null {
  if (declarations.length === 0) return null;
  return printInlineCss(unit === 'rem' ? declarations.map(inRem) : declarations);
}
