import { splitName } from '../mockup/layerName';
import { nameWords } from './nameWords';
import type { State } from './vocabulary';

/** Common practice, no source: words for versions in names of layers. Null marks the version at rest. */
const WORDS: ReadonlyMap<string, State | null> = new Map<string, State | null>([
  ...words('normal default up off idle rest resting unpressed unchecked unselected closed collapsed', null),
  ...words('hover hovered hovering over rollover mouseover', 'hover'),
  ...words('active pressed press pressing down clicked tapped', 'active'),
  ...words('focus focused focussed', 'focus'),
  ...words('disabled inactive unavailable', 'disabled'),
  ...words('checked on ticked toggled', 'checked'),
  ...words('selected current', 'selected'),
  ...words('open opened expanded', 'open'),
]);

function words(list: string, state: State | null): readonly (readonly [string, State | null])[] {
  return list.split(' ').map((word) => [word, state] as const);
}

/** The parts of a name that may name a version. */
export interface StateName {
  /** The name without the word for the state, in lower case. */
  readonly stem: string;
  /** True when a word says that it is the version at rest. */
  readonly isRest: boolean;
  readonly state: State | null;
}

/**
 * What a name says about a state, by its last word or its first: `Save pressed`, `save_over`, `saveHover 2`,
 * `hover/Save`. A name of one word, such as `hover`, has an empty stem.
 */
export function readStateName(name: string): StateName {
  const all = nameWords(splitName(name).bare);
  const numbers = all.length - 1 - all.findLastIndex((word) => !/^\d+$/.test(word));
  const [parts, count] = [all.slice(0, all.length - numbers), all.slice(all.length - numbers)];
  const ends = WORDS.get(parts.at(-1) ?? '');
  if (ends !== undefined) return named([...parts.slice(0, -1), ...count], ends);
  const starts = parts.length > 1 ? WORDS.get(parts[0] ?? '') : undefined;
  if (starts) return named(all.slice(1), starts);
  return { stem: all.join(' '), isRest: false, state: null };
}

function named(stem: readonly string[], state: State | null): StateName {
  return { stem: stem.join(' '), isRest: state === null, state };
}

/** A stem without its numbers: drawing programs number copies. */
export function withoutNumbers(stem: string): string {
  return stem
    .split(' ')
    .filter((word) => !/^\d+$/.test(word))
    .join(' ');
}
