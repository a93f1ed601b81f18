import { lineText, type PageNode, type TextNode } from '../node';
import { placedBox } from '../placed';

/** Parts of a control and of one of its versions that belong together. */
export interface PartMatch {
  readonly base: PageNode;
  /** Null for a part that the version lacks. */
  readonly version: PageNode | null;
}

export interface PartMatches {
  readonly matches: readonly PartMatch[];
  /** Parts that only the version has. */
  readonly added: readonly PageNode[];
}

/** Matches parts by kind, then by name and words, then by place. */
export function matchParts(base: readonly PageNode[], version: readonly PageNode[]): PartMatches {
  const free = new Set(version);
  const pick = (part: PageNode, isSame: (other: PageNode) => boolean) => {
    const found = [...free].find((other) => other.kind === part.kind && isSame(other));
    if (found) free.delete(found);
    return found ?? null;
  };
  const picked = new Map<PageNode, PageNode>();
  const passes: readonly ((part: PageNode) => (other: PageNode) => boolean)[] = [
    (part) => (other) =>
      part.named && other.named && part.name === other.name && wordsOf(part) === wordsOf(other),
    (part) => (other) => wordsOf(part) === wordsOf(other) && isNear(part, other),
    (part) => (other) => part.kind === 'text' && wordsOf(part) === wordsOf(other),
    (part) => (other) => part.kind !== 'text' && isLikeBuilt(part, other),
  ];
  for (const isSame of passes)
    for (const part of base) {
      const found = picked.has(part) ? null : pick(part, isSame(part));
      if (found) picked.set(part, found);
    }
  return {
    matches: base.map((part) => ({ base: part, version: picked.get(part) ?? null })),
    added: version.filter((part) => free.has(part)),
  };
}

/** The words of a text; empty for other nodes. */
export function wordsOf(node: PageNode): string {
  return node.kind === 'text' ? node.lines.map(lineText).join('\n') : '';
}

export function isSameText(one: TextNode, other: TextNode): boolean {
  return wordsOf(one) === wordsOf(other);
}

/** Px by which a part may move in a state and still be the same part without a name. */
const NEAR = 2;

function isNear(one: PageNode, other: PageNode): boolean {
  const [first, second] = [placedBox(one.place), placedBox(other.place)];
  const sides = ['x', 'y', 'width', 'height'] as const;
  return sides.every((side) => Math.abs(first[side] - second[side]) <= NEAR);
}

/** True for parts of one size, such as the knob of a switch. */
function isLikeBuilt(one: PageNode, other: PageNode): boolean {
  const [first, second] = [placedBox(one.place), placedBox(other.place)];
  return (
    Math.abs(first.width - second.width) <= NEAR / 2 && Math.abs(first.height - second.height) <= NEAR / 2
  );
}
