import type { LayerId } from '../../../core/mockup/layer';
import type { Tag, Tags } from '../../../core/sort/tag';
import type { OpenedMockup } from '../../../server/useCases/openMockup';

export function tagsOf({ tags }: OpenedMockup): Tags {
  return new Map<LayerId, Tag>(Object.entries(tags));
}

/** The address of the mockup on the server. */
export function addressOf({ id }: OpenedMockup): string {
  return `/api/mockups/${id}`;
}
