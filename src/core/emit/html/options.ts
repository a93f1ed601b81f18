import { SHEET_OPTIONS } from '../css/sheetOptions';
import type { EmitInput } from '../target';
import { settingOf, type TargetOptions } from '../targetOptions';

/** What a person chooses about HTML and CSS. */
export const HTML_OPTIONS = {
  ...SHEET_OPTIONS,
  icons: {
    label: 'Icons of one colour',
    values: { symbols: 'symbols in the page', files: 'files' },
  },
  shared: {
    label: 'Shared parts',
    values: { within: 'in each page', apart: 'also as files of their own' },
    isFor: 'several screens',
  },
} as const satisfies TargetOptions;

/** True when what several screens share is written as files of its own too, for a build tool. */
export function isSharedApart({ settings }: Pick<EmitInput, 'settings'>): boolean {
  return settingOf(HTML_OPTIONS, settings, 'shared') === 'apart';
}
