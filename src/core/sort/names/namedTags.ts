import type { Layer, LayerId } from '../../mockup/layer';
import { splitName } from '../../mockup/layerName';
import type { Tag, Tags } from '../tag';
import { parseDataset } from './attributes';
import { readBrackets } from './readBrackets';

/** The tags that layers carry in their own names or, in SVG, as attributes. A person's tags win over them. */
export function namedTags(layers: Iterable<Layer>): Tags {
  const tags = new Map<LayerId, Tag>();
  for (const layer of layers) {
    const tag = tagOf(layer);
    if (Object.keys(tag).length > 0) tags.set(layer.id, tag);
  }
  return tags;
}

function tagOf({ sourceName, hints }: Layer): Tag {
  const { brackets } = splitName(sourceName ?? '');
  const { tags } = hints.data;
  return {
    ...parseDataset(hints.data),
    ...(tags !== undefined && readBrackets(tags)),
    ...(brackets !== null && readBrackets(brackets)),
  };
}
