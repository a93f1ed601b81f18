import { SHEET_OPTIONS } from '../css/sheetOptions';
import type { EmitInput } from '../target';
import { settingOf, type TargetOptions } from '../targetOptions';

/** What a person chooses about React components. */
export const REACT_OPTIONS = {
  ...SHEET_OPTIONS,
  styles: {
    label: 'Style sheet',
    values: { plain: 'CSS for the whole page', modules: 'a CSS module' },
  },
} as const satisfies TargetOptions;

/** True where class names are looked up in a CSS module. */
export function hasModules({ settings }: Pick<EmitInput, 'settings'>): boolean {
  return settingOf(REACT_OPTIONS, settings, 'styles') === 'modules';
}
