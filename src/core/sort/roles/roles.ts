import { bySource } from './bySource';
import { byName } from './byName';
import { byLinks } from './byLinks';
import { byForm } from './byForm';
import { byLook } from './byLook';
import { byPlace } from './byPlace';
import { byRepeat } from './byRepeat';
import { byTextSize } from './byTextSize';
import { byKind } from './byKind';
import type { RoleRule } from './roleRule';

/** The role rules in order; the last one always answers. */
export const ROLE_RULES: readonly RoleRule[] = [
  bySource,
  byName,
  byLinks,
  byRepeat,
  byPlace,
  byForm,
  byLook,
  byTextSize,
  byKind,
];
