import { splitName } from '../../mockup/layerName';
import { ROLE_NAMES, roleEntry, type Role } from '../vocabulary';
import type { RoleRule } from './roleRule';

const WORDS: ReadonlyMap<string, Role> = new Map(
  ROLE_NAMES.flatMap((role) => (roleEntry(role).words ?? []).map((word) => [word, role] as const)),
);

/** A group's name says it, by its last telling word: "main navigation" is navigation. */
export const byName: RoleRule = (layer, outcome) => {
  if (outcome !== 'element' || layer.kind !== 'group' || layer.sourceName === null) return null;
  const words = splitName(layer.sourceName)
    .bare.toLowerCase()
    .split(/[^a-z]+/);
  const word = words.findLast((candidate) => WORDS.has(candidate));
  const role = word === undefined ? undefined : WORDS.get(word);
  return role ? { role, reason: `its name says "${word}"` } : null;
};
