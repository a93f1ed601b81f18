import { boxForm } from '../../look/boxForm';
import { walk } from '../../mockup/walk';
import { drawingWord } from '../pictureSets';
import type { Rule } from './rule';

/** The most texts of a drawing: the labels of a larger chart are content. */
const MOST_TEXTS = 3;

/** A group that is called a logo, a chart or a map and holds free shapes is one drawing, its letters included. */
export const drawing: Rule = {
  name: 'drawing',
  judge(layer, facts) {
    const word = layer.kind === 'group' ? drawingWord(layer) : null;
    if (word === null || facts.contents(layer).bitmaps > 0) return null;
    const free = walk(layer).filter((part) => part.kind === 'shape' && !boxForm(part)).length;
    const { texts } = facts.contents(layer);
    return free > 0 && texts <= MOST_TEXTS
      ? { outcome: 'picture', reason: `vector picture: its name says "${word}"` }
      : null;
  },
};
