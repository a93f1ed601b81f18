import { HTML_OPTIONS } from '../html/options';
import type { EmitInput } from '../target';
import { settingOf, type TargetOptions } from '../targetOptions';

const { unit, values, tokens } = HTML_OPTIONS;

/** What a person chooses about Vue components. */
export const VUE_OPTIONS = {
  unit,
  values,
  tokens,
  styles: {
    label: 'Style sheet',
    values: { scoped: 'rules of one component in its file', plain: 'CSS for the whole page' },
  },
} as const satisfies TargetOptions;

/** True where a rule that only one component needs stands in its file. */
export function isScoped({ settings }: Pick<EmitInput, 'settings'>): boolean {
  return settingOf(VUE_OPTIONS, settings, 'styles') === 'scoped';
}
