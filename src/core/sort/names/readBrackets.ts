import { parseAttribute } from './attributes';
import { isState, ROLE_NAMES, roleEntry, type Role, type State } from '../vocabulary';
import type { Tag } from '../tag';

/** Elements that mean an outcome rather than a role. */
const OUTCOMES = { img: 'picture', svg: 'picture', picture: 'picture', style: 'sample' } as const;

const COMPOUND = /^(?<element>[a-z][a-z0-9]*)?(?<rest>(?:[.:#][\w-]+)*)$/i;
const TOKEN = /[^\s=]+(?:=(?:"[^"]*"|'[^']*'|\S*))?/g;

/**
 * What the brackets at the end of a layer's name say: a compound CSS selector, then HTML attributes
 * (`button.primary`, `nav hidden`, `data-slot=wind`, `-` for a layer that is put aside). What is not known is left out.
 */
export function readBrackets(brackets: string): Tag {
  if (/^[-–]$/.test(brackets)) return { outcome: 'aside' };
  const tokens = brackets.match(TOKEN) ?? [];
  const [first = ''] = tokens;
  const compound = isAttribute(first) ? null : COMPOUND.exec(first)?.groups;
  const tag = compound ? readCompound(compound.element?.toLowerCase(), compound.rest ?? '') : {};
  return Object.assign(tag, ...(compound ? tokens.slice(1) : tokens).map(readAttribute)) as Tag;
}

function isAttribute(token: string): boolean {
  return token.includes('=') || token === 'hidden' || token.startsWith('data-');
}

function readCompound(element: string | undefined, rest: string): Tag {
  const classes = [...rest.matchAll(/\.([\w-]+)/g)].map(([, name]) => name ?? '').filter(Boolean);
  const outcome = OUTCOMES[element as keyof typeof OUTCOMES] as Tag['outcome'];
  const role = element === undefined || outcome ? undefined : roleOf(element);
  const [state] = [...rest.matchAll(/:([\w-]+)/g)].flatMap(([, name]) => stateOf(name ?? '') ?? []);
  return {
    ...(outcome && { outcome }),
    ...(role && { role }),
    ...(classes.length > 0 && { classes }),
    ...(state && { state }),
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

function readAttribute(token: string): Tag {
  const [name = '', ...parts] = token.split('=');
  const value = parts.join('=').replace(/^(["'])(.*)\1$/, '$2');
  return parseAttribute(name.toLowerCase(), value);
}
