import { SHEET_OPTIONS } from '../css/sheetOptions';
import type { EmitInput } from '../target';
import { settingOf, type TargetOptions } from '../targetOptions';

/** What a person chooses about Vue components. */
export const VUE_OPTIONS = {
  ...SHEET_OPTIONS,
  styles: {
    label: 'Style sheet',
    values: { scoped: 'rules of one component in its file', plain: 'CSS for the whole page' },
  },
} as const satisfies TargetOptions;

/** True where a rule that only one component needs stands in its file. */
export function isScoped({ settings }: Pick<EmitInput, 'settings'>): boolean {
  return settingOf(VUE_OPTIONS, settings, 'styles') === 'scoped';
}
