import type { LayerId } from '../../core/mockup/layer';
import type { Mockup } from '../../core/mockup/mockup';
import { applyStructuralTags } from '../../core/sort/structuralTags';
import type { Tag } from '../../core/sort/tag';
import {
  readStyleFile,
  StyleFileError,
  styleFile,
  type ReadStyle,
  type StyleFile,
} from '../../core/style/styleFile';

export interface StyleFileJob {
  /** The `Mockup` as JSON. */
  readonly tree: string;
  readonly tags: readonly (readonly [LayerId, Tag])[];
  /** The file to read; absent to write one. */
  readonly given?: unknown;
}

export type StyleFileOutput =
  { readonly written: StyleFile } | { readonly read: ReadStyle } | { readonly problem: string };

/** Writes the style file of a mockup, or reads one for it. */
export function styleFileJob({ tree, tags, given }: StyleFileJob): StyleFileOutput {
  const said = new Map(tags);
  const mockup = applyStructuralTags(JSON.parse(tree) as Mockup, said);
  if (given === undefined) return { written: styleFile(mockup, said) };
  try {
    return { read: readStyleFile(given, mockup) };
  } catch (error) {
    if (!(error instanceof StyleFileError)) throw error;
    return { problem: error.message };
  }
}
