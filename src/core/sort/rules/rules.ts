import { bars } from './bars';
import { beyondTarget } from './beyondTarget';
import { bitmap } from './bitmap';
import { box } from './box';
import { covered } from './covered';
import { drawing } from './drawing';
import { group } from './group';
import { guides } from './guides';
import { icon } from './icon';
import { outside } from './outside';
import type { Rule } from './rule';
import { state } from './state';
import { text } from './text';
import { unseen } from './unseen';

/** The automatic rules in order; the first verdict counts. */
export const RULES: readonly Rule[] = [
  state,
  unseen,
  outside,
  guides,
  covered,
  bitmap,
  drawing,
  icon,
  bars,
  beyondTarget,
  text,
  box,
  group,
];
