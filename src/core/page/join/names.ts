import { safeName } from '../../sort/outputNames';
import type { Page, Shared, Width } from '../node';

/** Classes of what is there on one of two screens only, and of what is a container on one of them only. */
const WIDTH_CLASS: Readonly<Record<'only' | 'box', Readonly<Record<Width, string>>>> = {
  only: { wide: 'wide-only', narrow: 'narrow-only' },
  box: { wide: 'wide-box', narrow: 'narrow-box' },
};

export const WIDTH_CLASSES: readonly string[] = Object.values(WIDTH_CLASS).flatMap(Object.values<string>);

/** The class by which a node says on which screen it is; null for what is on both. */
export function widthClass(shared: Shared | undefined): string | null {
  return !shared || shared.kind === 'both' ? null : WIDTH_CLASS[shared.kind][shared.on];
}

/** The class of a page for two screens. */
export function pageClass({ name }: Page): string {
  return `page-${safeName(name) || 'screen'}`;
}
