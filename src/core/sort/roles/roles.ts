import { bySource } from './bySource';
import { byName } from './byName';
import { byLinks } from './byLinks';
import { byForm } from './byForm';
import { byLook } from './byLook';
import { byPlace } from './byPlace';
import { byButtonName } from './byButtonName';
import { byCheck } from './byCheck';
import { byField } from './byField';
import { byStates } from './byStates';
import { byRepeat } from './byRepeat';
import { byTextSize } from './byTextSize';
import { byKind } from './byKind';
import type { RoleRule } from './roleRule';

/** The rules of groups whose parts form a picture: how they look says nothing about what they are. */
export const DRAWN_ROLE_RULES: readonly RoleRule[] = [bySource, byName, byStates, byPlace, byKind];

/** The role rules of layers that are a picture; one without a verdict is an image. */
export const PICTURE_ROLE_RULES: readonly RoleRule[] = [byButtonName, byStates];

/** The role rules in order; the last one always answers. */
export const ROLE_RULES: readonly RoleRule[] = [
  bySource,
  byField,
  byCheck,
  byName,
  byLinks,
  byStates,
  byRepeat,
  byPlace,
  byForm,
  byLook,
  byTextSize,
  byKind,
];
