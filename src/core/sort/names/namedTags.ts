import type { Layer, LayerKey } from '../../mockup/layer';
import { splitName } from '../../mockup/layerName';
import type { Tag, Tags } from '../tag';
import { isContents, isScroll, isWidth } from '../vocabulary';
import { readBrackets } from './readBrackets';

/** The tags that layers carry in their own names or, in SVG, as attributes. A person's tags win over them. */
export function namedTags(layers: Iterable<Layer>): Tags {
  const tags = new Map<LayerKey, Tag>();
  for (const layer of layers) {
    const tag = tagOf(layer);
    if (Object.keys(tag).length > 0) tags.set(layer.key, tag);
  }
  return tags;
}

function tagOf({ sourceName, hints }: Layer): Tag {
  const { brackets } = splitName(sourceName ?? '');
  const { slot, screen, scroll, note, merge, tags, contents, gap, wide } = hints.data;
  return {
    ...(slot !== undefined && /^[\w-]{1,64}$/.test(slot) && { slot }),
    ...(scroll !== undefined && isScroll(scroll) && { scroll }),
    ...(contents !== undefined && isContents(contents) && { contents }),
    ...(gap !== undefined && /^\d{1,3}(\.\d+)?$/.test(gap) && { gap: Number(gap) }),
    ...(wide !== undefined && isWidth(wide) && { wide }),
    ...(note && { note: note.slice(0, 400) }),
    ...(merge && { merge: merge.slice(0, 64) }),
    ...(screen !== undefined && { screen: screen !== 'false' }),
    ...(tags !== undefined && readBrackets(tags)),
    ...(brackets !== null && readBrackets(brackets)),
  };
}
