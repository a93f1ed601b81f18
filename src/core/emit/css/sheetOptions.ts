import type { Unit } from '../../page/frame';
import { TOKEN_FORMATS, type TokenFormat } from '../../style/tokens/formats/formats';
import type { EmitInput } from '../target';
import { settingOf, type TargetOptions } from '../targetOptions';

/** What a person chooses about a style sheet, whatever it goes with. */
export const SHEET_OPTIONS = {
  unit: { label: 'Units', values: { px: 'px', rem: 'rem' } },
  values: {
    label: 'Repeated values',
    values: { named: 'as custom properties', plain: 'written out' },
  },
  tokens: {
    label: 'Token file',
    values: {
      none: 'none',
      css: TOKEN_FORMATS.css.label,
      scss: TOKEN_FORMATS.scss.label,
      dtcg: TOKEN_FORMATS.dtcg.label,
    },
  },
} as const satisfies TargetOptions;

/** The unit in which lengths are written. */
export function unitOf({ settings }: Pick<EmitInput, 'settings'>): Unit {
  return settingOf(SHEET_OPTIONS, settings, 'unit');
}

/** True when values that are used again become custom properties. */
export function namesValues({ settings }: Pick<EmitInput, 'settings'>): boolean {
  return settingOf(SHEET_OPTIONS, settings, 'values') === 'named';
}

/** The format in which tokens are written for other tools; null for none. */
export function tokenFormatOf({ settings }: Pick<EmitInput, 'settings'>): TokenFormat | null {
  const name = settingOf(SHEET_OPTIONS, settings, 'tokens');
  return name === 'none' ? null : TOKEN_FORMATS[name];
}
