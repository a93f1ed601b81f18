import { bookOfStyles, type ConvertOptions } from '../../core/convert';
import type { LayerId } from '../../core/mockup/layer';
import type { Mockup } from '../../core/mockup/mockup';
import type { Tag } from '../../core/sort/tag';

export interface StyleJob {
  /** The `Mockup` as JSON. */
  readonly tree: string;
  readonly tags: readonly (readonly [LayerId, Tag])[];
  readonly options: ConvertOptions;
}

/** The style sheet of a mockup as it is now, a `StyleBook` as JSON. */
export function styleJob({ tree, tags, options }: StyleJob): string {
  const mockup = JSON.parse(tree) as Mockup;
  return JSON.stringify(
    bookOfStyles({ mockup, assets: new Map(), tags: new Map(tags), options, outliner: null }),
  );
}
