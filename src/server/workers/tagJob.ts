import type { LayerId } from '../../core/mockup/layer';
import { svgBytes } from '../../core/read/unpack';
import { writeTags } from '../../core/sort/names/writeTags';
import type { Tag } from '../../core/sort/tag';
import { createFontBook } from '../../engine/fonts/fontBook';

export interface TagJob {
  /** The mockup's own file, SVG or SVGZ. */
  readonly bytes: Uint8Array;
  readonly name: string;
  readonly tags: readonly (readonly [LayerId, Tag])[];
}

/** A copy of the mockup's file with its tags. */
export function tagJob({ bytes, name, tags }: TagJob): string {
  return writeTags(svgBytes(bytes), name, createFontBook(), new Map(tags));
}
