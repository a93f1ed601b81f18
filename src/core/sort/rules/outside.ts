import { overlaps } from '../../mockup/box';
import { measureOf } from '../facts';
import type { Rule } from './rule';

/** Layers off the screen are aside, unless one can scroll to them. */
export const outside: Rule = {
  name: 'outside',
  judge({ id }, facts) {
    const { painted } = measureOf(facts, id);
    const { width, height } = facts.screen;
    const isSeen = painted !== null && overlaps(painted, { x: 0, y: 0, width, height }, 0);
    return isSeen ? null : { outcome: 'aside', reason: 'aside: it lies wholly outside of the screen' };
  },
};
