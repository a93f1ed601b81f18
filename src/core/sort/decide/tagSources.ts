import type { Facet } from '../facets/facets';
import type { Tag, Tags } from '../tag';

export interface TagSources {
  readonly person: Tags;
  /** The person's tags together with those shared from like-built siblings. */
  readonly alike: Tags;
  readonly name: Tags;
}

/** The merged tag of one layer, and the origin of each facet. */
export interface LayerTag {
  readonly tag: Tag;
  readonly who: (facet: Facet) => TagOrigin;
}

/** The origin of a facet: a person, a person's tag on a like-built sibling, or the layer's own name. */
export type TagOrigin = 'person' | 'alike' | 'name';

export const ORIGIN_WORDS: Readonly<Record<TagOrigin, string>> = {
  person: 'set by you',
  alike: 'set by you of one that is built like it',
  name: 'its name says so',
};
