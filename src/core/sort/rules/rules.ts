import { beyondCss } from './beyondCss';
import { bitmap } from './bitmap';
import { box } from './box';
import { group } from './group';
import { icon } from './icon';
import type { Rule } from './rule';
import { text } from './text';
import { unseen } from './unseen';

/** The automatic rules in the order in which they are asked; the first verdict counts. */
export const RULES: readonly Rule[] = [unseen, bitmap, icon, beyondCss, text, box, group];
