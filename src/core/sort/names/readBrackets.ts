import { isSafeHref } from '../../mockup/href';
import {
  MOST_GAP,
  ROLE_NAMES,
  isContents,
  isOutcome,
  isRole,
  isScroll,
  isState,
  isWidth,
  roleEntry,
  type Role,
} from '../vocabulary';
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
  const tag: { -readonly [K in keyof Tag]: Tag[K] } = compound
    ? readCompound(compound.element?.toLowerCase(), compound.rest ?? '')
    : {};
  for (const token of compound ? tokens.slice(1) : tokens) readAttribute(token, tag);
  return tag;
}

function isAttribute(token: string): boolean {
  return token.includes('=') || token === 'hidden' || token.startsWith('data-');
}

function readCompound(element: string | undefined, rest: string): Tag {
  const classes = [...rest.matchAll(/\.([\w-]+)/g)].map(([, name]) => name ?? '').filter(Boolean);
  const outcome = OUTCOMES[element as keyof typeof OUTCOMES] as Tag['outcome'];
  const role = element === undefined || outcome ? undefined : roleOf(element);
  return { ...(outcome && { outcome }), ...(role && { role }), ...(classes.length > 0 && { classes }) };
}

/** The role whose element has that name; a role's own name counts too. */
function roleOf(element: string): Role | undefined {
  return (
    ROLE_NAMES.find((role) => roleEntry(role).element === element) ??
    ROLE_NAMES.find((role) => role === element)
  );
}

function readAttribute(token: string, tag: { -readonly [K in keyof Tag]: Tag[K] }): void {
  const [name = '', ...parts] = token.split('=');
  const value = parts.join('=').replace(/^(["'])(.*)\1$/, '$2');
  switch (name.toLowerCase()) {
    case 'hidden':
      tag.hidden = value !== 'false';
      break;
    case 'data-slot':
      if (/^[\w-]{1,64}$/.test(value)) tag.slot = value;
      break;
    case 'href':
      if (isSafeHref(value)) tag.href = value;
      break;
    case 'data-scroll':
      if (isScroll(value)) tag.scroll = value;
      break;
    case 'data-contents':
      if (isContents(value)) tag.contents = value;
      break;
    case 'data-gap':
      if (/^\d+(\.\d+)?$/.test(value) && Number(value) <= MOST_GAP) tag.gap = Number(value);
      break;
    case 'data-wide':
      if (isWidth(value)) tag.wide = value;
      break;
    case 'data-note':
      if (value !== '') tag.note = value.slice(0, 400);
      break;
    case 'data-merge':
      if (value !== '') tag.merge = value.slice(0, 64);
      break;
    case 'data-becomes':
      if (isOutcome(value)) tag.outcome = value;
      break;
    case 'data-role':
      if (isRole(value)) tag.role = value;
      break;
    case 'data-state':
      if (value === 'none' || isState(value)) tag.state = value;
      break;
    case 'data-screen':
      tag.screen = value !== 'false';
      break;
    case 'data-name':
      tag.outputName = value.slice(0, 64);
      break;
  }
}
