import { differing } from '../../core/mockup/differing';
import type { LayerKey } from '../../core/mockup/layer';
import type { Tag, Tags } from '../../core/sort/tag';

/** The tags that are otherwise than before, null for what has none any more: copying thousands between threads takes longer than an edit. */
export type TagNews = ReadonlyMap<LayerKey, Tag | null>;

export function tagNews(before: Tags, now: Tags): TagNews {
  return new Map(differing(before, now).map((key) => [key, now.get(key) ?? null]));
}

/** The tags before with what is news; what is none stays the very same object, by which the stages know it. */
export function withTagNews(before: Tags, news: TagNews): Tags {
  if (news.size === 0) return before;
  const tags = new Map(before);
  for (const [key, tag] of news) {
    if (tag) tags.set(key, tag);
    else tags.delete(key);
  }
  return tags;
}
