import { printColour } from '../markup/colours';
import { isPlain, type Look } from '../look/look';
import { freeName } from '../markup/freeName';
import type { Layout } from '../page/layout';
import type { PageNode } from '../page/node';
import { ownName, saysSomething, withoutNumber } from '../sort/tellingNames';
import { hueWord, isNeutral, oklchOf, type Oklch } from './tokens/hues';
import { roleEntry, type Role } from '../sort/vocabulary';

/** The users of a class by what can name it. */
export interface NamedUsers {
  /** How often each name occurs among its users; invented and empty names count as none. */
  readonly names: ReadonlyMap<string, number>;
  /** How often each owner's name occurs among its users. */
  readonly owners: ReadonlyMap<string, number>;
  /** How often each role occurs among its users that says what they are to their owners. */
  readonly parts: ReadonlyMap<string, number>;
  readonly look: Look;
  readonly layout: Layout | null;
  /** The number of its users. */
  readonly count: number;
}

/** The share of its users that give a class their name: fewer would name the others wrongly. */
const NAMING_SHARE = 0.6;

/** The longest name that is put together of owner and part. */
const LONGEST = 40;

/**
 * A name that no other class has, and notes it: the name of most users; else what they are to their owner, as
 * in `card-title`. Where another class has it, the owner, the weight, the colour or what they say tells them apart,
 * and a number only what truly has the same name.
 * @param layerNames the names of all layers: none is invented for others
 * @param saying what all its users say, as a name; null for nothing in common
 * @param lead the name of the class that it is a version of; absent for none
 */
export function classNameFor(
  users: NamedUsers,
  given: Set<string>,
  layerNames: ReadonlySet<string>,
  saying: () => string | null,
  lead?: string,
): string {
  const own = nameOfMost(users.names, users.count);
  const owner = nameOfMost(users.owners, users.count);
  const plain = own ?? nameOfMost(users.parts, users.count) ?? lookName(users.look, users.layout);
  const there = owner === null ? plain : joinNames(owner, plain);
  const detailed = detailsOf(users.look).map((detail) => `${lead ?? own ?? there}-${detail}`);
  const isTaken = (name: string) => given.has(name) || (name !== own && layerNames.has(name));
  // Texts are told apart by their own words, boxes by those that they begin with.
  const saidName = () => {
    const words = saying();
    if (words === null) return null;
    const parts = [
      own ?? (users.look.type ? owner : null),
      words,
      own === null && !users.look.type ? plain : null,
    ];
    const name = parts.flatMap((part) => part ?? []).reduce(joinNames);
    return isTaken(name) ? null : name;
  };
  const wanted = [...(own === null ? [] : [own]), ...(lead === undefined ? [there] : []), ...detailed];
  const name = wanted.find((each) => !isTaken(each)) ?? saidName() ?? freeName(there, isTaken);
  given.add(name);
  return name;
}

/** What the users of a class are: their own name, or what they are to their owner; null for boxes and texts alone. */
export function thingOf({ names, owners, parts, count }: NamedUsers): string | null {
  const own = nameOfMost(names, count);
  if (own !== null) return own;
  const [owner, part] = [nameOfMost(owners, count), nameOfMost(parts, count)];
  return part === null ? null : owner === null ? part : joinNames(owner, part);
}

function nameOfMost(names: ReadonlyMap<string, number>, users: number): string | null {
  for (const [name, count] of names) if (count >= NAMING_SHARE * users) return name;
  return null;
}

/**
 * `card` and `title` are `card-title`; words that both begin with are said once: `nav-group` and `nav-link` are
 * `nav-group-link`.
 */
function joinNames(owner: string, part: string): string {
  if (part === owner || part.startsWith(`${owner}-`)) return part;
  const [ownerWords, partWords] = [owner.split('-'), part.split('-')];
  const unlike = partWords.findIndex((word, at) => word !== ownerWords[at]);
  const own = partWords.slice(unlike === -1 ? partWords.length - 1 : unlike);
  const joined = [...ownerWords, ...(own[0] === ownerWords.at(-1) ? own.slice(1) : own)].join('-');
  return joined.length > LONGEST ? part : joined;
}

/** How letters and fills differ from others of one owner: by weight, by colour. */
function detailsOf({ type, fills }: Look): readonly string[] {
  const weight = type === undefined ? null : type.weight >= 600 ? 'bold' : type.weight < 400 ? 'light' : null;
  const fill = fills?.at(-1);
  const colour = type?.colour ?? (fill?.kind === 'solid' ? fill.colour : null);
  const shade = colour ? oklchOf(printColour(colour)) : null;
  const word = shade === null ? null : shadeWord(shade, type !== undefined);
  return [weight, word, weight !== null && word !== null ? `${weight}-${word}` : null].flatMap(
    (each) => each ?? [],
  );
}

/** Lightness, 0–1, from which neutral letters are neither ink nor paper, and up to which. */
const [SOFT_FROM, SOFT_TO] = [0.45, 0.85];

function shadeWord(shade: Oklch, isLetters: boolean): string | null {
  if (!isNeutral(shade)) return hueWord(shade);
  if (!isLetters) return null;
  return shade.lightness > SOFT_TO ? 'paper' : shade.lightness > SOFT_FROM ? 'soft' : null;
}

/** What the parts of a box are named after: its name or, for a box with a role, its role in the owner around. */
export function ownerInside(node: PageNode, around: string | null): string | null {
  const own = ownName(node);
  const part = partOf(node);
  if (own !== null) return own;
  if (part === null) return around;
  return around === null ? part : joinNames(around, part);
}

function rolePart(role: Role): string {
  return role.startsWith('heading-') ? 'title' : role;
}

/** What a node is to its owner by its role; null for a box, which only has a look. */
export function partOf({ role }: PageNode): string | null {
  return role === 'box' || role === 'text' ? null : rolePart(role);
}

function lookName(look: Look, layout: Layout | null): string {
  if (look.type) return 'text';
  if (look.fills?.some((fill) => fill.kind !== 'solid')) return 'gradient';
  if (look.fills) return look.radii ? 'rounded' : 'fill';
  if (look.border) return 'frame';
  if (look.clip) return 'window';
  if (look.opacity !== undefined) return 'faded';
  if (!isPlain(look)) return 'effect';
  return layout?.direction ?? 'placed';
}

/**
 * A layer that the mockup or a person named keeps its name in the code, whatever its look is called. No class
 * of that name styles anything.
 */
export function nameClassOf(
  { kind, named, name, nameSaid, role }: PageNode,
  taken: ReadonlySet<string>,
  own: string | undefined,
): string | null {
  // A picture has its name in its file.
  const plain = named && kind !== 'picture' ? (nameSaid ? name : withoutNumber(name)) : null;
  if (plain === null) return null;
  if (nameSaid && own !== plain) return plain;
  const isSaid = plain === roleEntry(role).element || plain === role || (!nameSaid && !saysSomething(plain));
  const isStyled = taken.has(plain) || own?.replace(/-\d+$/, '') === plain;
  return isSaid || isStyled ? null : plain;
}
