import type { Box } from '../mockup/box';
import type { LayerKey } from '../mockup/layer';
import type { Contents, Outcome, Role, Scroll, State, Width } from './vocabulary';

/** What a person says a layer should become. The rules decide on absent facets. */
export interface Tag {
  readonly outcome?: Outcome;
  readonly role?: Role;
  /** Class names of its element. */
  readonly classes?: readonly string[];
  /** The name of its class or picture file, without an extension. */
  readonly outputName?: string;
  /** On the page, but hidden at first. */
  readonly hidden?: boolean;
  /** The name of the content that the program fills in at run time. */
  readonly slot?: string;
  /** The target of its link: an address, or `#` and the name of a screen or layer. */
  readonly href?: string;
  /** The direction in which its content scrolls. */
  readonly scroll?: Scroll;
  /** The layout of its content. */
  readonly contents?: Contents;
  /** Px between its children, in a row or column. */
  readonly gap?: number;
  /** Its width in a row or column. */
  readonly wide?: Width;
  /** A note for the developer. */
  readonly note?: string;
  /** The picture that it forms with all layers of its screen that name the same one. */
  readonly merge?: string;
  /** The state in which it shows the sibling at its place; `none` for an element of its own. */
  readonly state?: State | 'none';
  /** Whether a group of the sheet is a screen. */
  readonly screen?: boolean;
  /** Parts of a bitmap that become layers. */
  readonly regions?: readonly Region[];
}

/** A part of a bitmap, px in its layer's own coordinates. */
export interface Region extends Box {
  readonly name: string;
}

export type Facet = keyof Tag;
export type Tags = ReadonlyMap<LayerKey, Tag>;

export const FACETS: readonly Facet[] = [
  'outcome',
  'role',
  'classes',
  'outputName',
  'hidden',
  'slot',
  'href',
  'scroll',
  'contents',
  'gap',
  'wide',
  'note',
  'merge',
  'state',
  'screen',
  'regions',
];

/** Both sets of tags, facet by facet; the second wins. */
export function mergeTags(weaker: Tags, stronger: Tags): Tags {
  if (weaker.size === 0) return stronger;
  const merged = new Map(weaker);
  for (const [key, tag] of stronger) merged.set(key, { ...merged.get(key), ...tag });
  return merged;
}
