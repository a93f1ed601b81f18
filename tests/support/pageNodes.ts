import { convertReading, readInside, type readText } from './mockups';
import type { Tag } from '../../src/core/sort/tag';
import { walkNodes } from '../../src/core/page/walk';
import type { Arrangement } from '../../src/core/page/frame';
import type { PageNode } from '../../src/core/page/node';

export type Reading = ReturnType<typeof readText>;

export function nodes(
  reading: Reading,
  arrangement: Arrangement = 'nested',
  tags: Record<string, Tag> = {},
): PageNode[] {
  const { pages } = convertReading(reading, arrangement, new Map(Object.entries(tags)));
  return walkNodes(pages[0]!.children);
}

export function single(content: string): PageNode {
  const [node, ...others] = nodes(readInside(content), 'fixed');
  expect(others).toEqual([]);
  return node!;
}
