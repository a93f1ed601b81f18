import { changedKeys } from '../../core/mockup/changedKeys';
import type { LayerId } from '../../core/mockup/layer';
import type { Tag, Tags } from '../../core/sort/tag';

/** The changed tags, null for removed ones: copying thousands between threads takes longer than an edit. */
export type TagDelta = ReadonlyMap<LayerId, Tag | null>;

export function tagDelta(before: Tags, now: Tags): TagDelta {
  return new Map(changedKeys(before, now).map((key) => [key, now.get(key) ?? null]));
}

/** The tags after a difference; unchanged tags stay the same objects, by which the stages recognise them. */
export function applyTagDelta(before: Tags, news: TagDelta): Tags {
  if (news.size === 0) return before;
  const tags = new Map(before);
  for (const [key, tag] of news) {
    if (tag) tags.set(key, tag);
    else tags.delete(key);
  }
  return tags;
}
