import type { Decision } from './decision';

/** A name and where it comes from. */
interface NamedLayer {
  readonly name: string;
  /** True when the name comes from a person or the mockup. */
  readonly named: boolean;
  /** True when a person gave the name. */
  readonly nameSaid?: boolean;
}

/** A layer's own name without its number; null for none that says something. */
export function ownName({ named, name, nameSaid = false }: NamedLayer): string | null {
  if (!named) return null;
  const plain = nameSaid ? name : withoutNumber(name);
  return nameSaid || saysSomething(plain) ? plain : null;
}

/** The name of a layer as the code has it: of its class or its picture file; null for none. */
export function nameInCode(decision: Decision): string | null {
  const { outcome, within, outputName, named, nameSaid } = decision;
  if (outcome === 'aside' || within !== null) return null;
  return outcome === 'element' ? ownName({ name: outputName, named, nameSaid }) : outputName;
}

/** `row-3` and `row-4` look alike as `row`. */
export function withoutNumber(name: string): string {
  return name.replace(/(?:-\d+)+$/, '') || name;
}

/**
 * Words that say nothing of what a layer is: elements of HTML and SVG, what drawing tools write, and helper
 * classes for one property (common practice, no source).
 */
const EMPTY_WORDS: ReadonlySet<string> = new Set(
  (
    'html body div span p a ul ol li dl dt dd tr td th tbody thead tfoot h svg g path img i b em strong small hr ' +
    'group layer shape rect rectangle ellipse circle oval polygon vector object artboard frame copy merged mask clip instance image ' +
    'd flex inline block grid none hidden show fw fs m mx my mt mb ml mr ms me px py pt pb pl pr ps pe w bg text font ' +
    'muted primary inherit normal bold light center left right start end fluid unstyled col cols ' +
    'rounded border shadow gradient auto full xs sm md lg xl xxl decoration nowrap truncate responsive clearfix pull ' +
    'float align items justify between around relative absolute fixed inverted'
  ).split(' '),
);

/** True for a name with a word that tells what the layer is. */
export function saysSomething(name: string): boolean {
  return name
    .split('-')
    .map((word) => word.replace(/\d+$/, ''))
    .some((word) => word.length > 0 && !EMPTY_WORDS.has(word));
}
