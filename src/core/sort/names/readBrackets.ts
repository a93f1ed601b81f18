import { attributeNames, parseAttribute } from './attributes';
import { parseFacet } from '../facets/facets';
import { isState, ROLE_NAMES, roleEntry, STATES, type Role, type State } from '../vocabulary';
import type { Tag } from '../tag';

/** Elements that mean an outcome rather than a role. */
const OUTCOMES = { img: 'picture', svg: 'picture', picture: 'picture', style: 'sample' } as const;

const COMPOUND = /^(?<element>[a-z][a-z0-9-]*)?(?<rest>(?:[.:#][\w-]+)*)$/i;
const TOKEN = /[^\s=]+(?:=(?:"[^"]*"|'[^']*'|\S*))?/g;

/** A part of the brackets that is not understood, and of which nothing is taken. */
export interface BracketProblem {
  readonly token: string;
  /** The words that could stand in its place. */
  readonly words: readonly string[];
}

export interface Brackets {
  readonly tag: Tag;
  readonly problems: readonly BracketProblem[];
}

/** The tag that the brackets at the end of a layer's name say; see `parseBrackets`. */
export function readBrackets(brackets: string): Tag {
  return parseBrackets(brackets).tag;
}

/**
 * What the brackets at the end of a layer's name say: a compound CSS selector, then HTML attributes
 * (`button.primary`, `nav hidden`, `data-slot=wind`, `-` for a layer that is put aside). Each part is taken as
 * a whole or is a problem.
 */
export function parseBrackets(brackets: string): Brackets {
  if (/^[-–]$/.test(brackets)) return { tag: { outcome: 'aside' }, problems: [] };
  const tokens = brackets.match(TOKEN) ?? [];
  const parts: Brackets[] = [];
  tokens.forEach((token, at) => {
    if (isAttribute(token)) {
      // An unquoted value ends at a space: what follows belongs to it.
      const next = tokens[at + 1];
      const isCut = next !== undefined && !isAttribute(next) && /=[^"']+$/.test(token);
      parts.push(isCut ? problem(`${token} ${next}`, []) : readAttribute(token));
    } else if (at === 0) parts.push(readCompound(token));
    else if (!isAttribute(tokens[at - 1]!) || !/=[^"']+$/.test(tokens[at - 1]!))
      parts.push(problem(token, attributeNames()));
  });
  return {
    tag: Object.assign({}, ...parts.map(({ tag }) => tag)) as Tag,
    problems: parts.flatMap(({ problems }) => problems),
  };
}

function problem(token: string, words: readonly string[]): Brackets {
  return { tag: {}, problems: [{ token, words }] };
}

function isAttribute(token: string): boolean {
  return token.includes('=') || token === 'hidden' || token.startsWith('data-');
}

function readCompound(token: string): Brackets {
  const { element, rest = '' } = COMPOUND.exec(token)?.groups ?? {};
  if (element === undefined && rest === '') return problem(token, ELEMENTS);
  const outcome = OUTCOMES[element?.toLowerCase() as keyof typeof OUTCOMES] as Tag['outcome'];
  const role = element === undefined || outcome ? undefined : roleOf(element.toLowerCase());
  if (element !== undefined && !outcome && !role) return problem(token, ELEMENTS);
  const names = [...rest.matchAll(/\.([\w-]+)/g)].flatMap(([, name]) => name ?? []);
  if (names.length > 0 && parseFacet('classes', names) === undefined) return problem(token, []);
  const pseudos = [...rest.matchAll(/:([\w-]+)/g)].flatMap(([, name]) => name ?? []);
  const [state] = pseudos.flatMap((name) => stateOf(name) ?? []);
  if (pseudos.length > 0 && !state) return problem(token, STATES);
  return {
    tag: {
      ...(outcome && { outcome }),
      ...(role && { role }),
      ...(names.length > 0 && { classes: names }),
      ...(state && { state }),
    },
    problems: [],
  };
}

/** The state of a pseudo-class (Selectors 4, §9 and §10). */
function stateOf(pseudo: string): State | null {
  const state = pseudo.replace(/^focus-(?:visible|within)$/, 'focus');
  return isState(state) ? state : null;
}

/** The role whose element has that name; a role's own name counts too. */
function roleOf(element: string): Role | undefined {
  return (
    ROLE_NAMES.find((role) => roleEntry(role).element === element) ??
    ROLE_NAMES.find((role) => role === element)
  );
}

/** All words that a compound may begin with. */
const ELEMENTS: readonly string[] = [
  ...new Set([...Object.keys(OUTCOMES), ...ROLE_NAMES.map((role) => roleEntry(role).element), ...ROLE_NAMES]),
];

function readAttribute(token: string): Brackets {
  const [name = '', ...parts] = token.split('=');
  const value = parts.join('=').replace(/^(["'])(.*)\1$/, '$2');
  const tag = parseAttribute(name.toLowerCase(), value);
  if (tag === null) return problem(token, attributeNames());
  return Object.keys(tag).length > 0 ? { tag, problems: [] } : problem(token, []);
}
