import { safeName } from '../../sort/outputNames';
import type { Page } from '../frame';
import type { Shared, Width } from '../node';

/** Classes of nodes that are shown on one screen only, and of containers that exist on one screen only. */
const WIDTH_CLASS: Readonly<Record<'only' | 'box', Readonly<Record<Width, string>>>> = {
  only: { wide: 'wide-only', narrow: 'narrow-only' },
  box: { wide: 'wide-box', narrow: 'narrow-box' },
};

export const WIDTH_CLASSES: readonly string[] = Object.values(WIDTH_CLASS).flatMap(Object.values<string>);

/** The class that limits a node to one screen; null for a node on both. */
export function widthClass(shared: Shared | undefined): string | null {
  return !shared || shared.kind === 'both' ? null : WIDTH_CLASS[shared.kind][shared.on];
}

/** The class of a page for two screens. */
export function pageClass({ name }: Page): string {
  return `page-${safeName(name) || 'screen'}`;
}
