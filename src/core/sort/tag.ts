import type { LayerKey } from '../mockup/layer';
import type { Outcome, Role } from './vocabulary';

/** What a person says a layer should become. What is left out is decided by the rules. */
export interface Tag {
  readonly outcome?: Outcome;
  readonly role?: Role;
  /** Class names that its element carries. */
  readonly classes?: readonly string[];
  /** The name of its class or picture file, without an ending. */
  readonly outputName?: string;
  /** On the page, but not shown at first. */
  readonly hidden?: boolean;
}

export type Facet = keyof Tag;
export type Tags = ReadonlyMap<LayerKey, Tag>;

export const FACETS: readonly Facet[] = ['outcome', 'role', 'classes', 'outputName', 'hidden'];
