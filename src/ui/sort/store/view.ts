import { keptColumns } from '../columns';
import type { Appearance, MakeSlice, ViewSlice } from './state';

export const viewSlice: MakeSlice<ViewSlice> = (set) => ({
  shown: 'screen',
  appearance: 'drawn',
  zoomCommand: null,
  dialog: null,
  columns: keptColumns(),
  showColumns: (columns) => set({ columns }),
  menuAt: null,
  openMenu: (menuAt) => set({ menuAt }),
  show: (shown) => set({ shown }),
  setAppearance: (appearance) => set({ appearance }),
  nextAppearance: () =>
    set(({ appearance, result }) => {
      const all = appearanceChoices(result?.themes ?? null);
      return { appearance: all[(all.indexOf(appearance) + 1) % all.length] ?? 'drawn' };
    }),
  askZoom: (kind) => set({ zoomCommand: { kind } }),
  open: (dialog) => set({ dialog }),
});

/** The looks of a mockup; without samples only those as drawn. */
export function appearanceChoices(themes: readonly string[] | null): readonly Appearance[] {
  return themes ? ['drawn', 'all', ...themes.map((theme): Appearance => `.${theme}`)] : ['drawn'];
}
