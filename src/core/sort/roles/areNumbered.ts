import { wordsOf } from '../../look/layerTitle';
import type { Layer, TextLayer } from '../../mockup/layer';
import { walk } from '../../mockup/walk';

/** True for parts whose first words are the numbers from 1: `1`, `1.` or `1) Cast off`. */
export function areNumbered(items: readonly Layer[]): boolean {
  return items.every((item, at) => {
    const first = walk(item).find((each): each is TextLayer => each.kind === 'text' && each.visible);
    const number = first && /^\s*(\d{1,3})(?:[.)]|\s*$)/.exec(wordsOf(first))?.[1];
    return Number(number) === at + 1;
  });
}
