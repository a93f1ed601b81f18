import type { Measures } from '../mockup/bounds';
import { bottom, type Box } from '../mockup/box';
import type { GroupLayer, LayerId } from '../mockup/layer';
import { memoizeLast } from '../mockup/memoize';
import type { Mockup, Screen } from '../mockup/mockup';
import { buildOf, isAlike, TELLING_PARTS, type Build, type Repeat, type Repeats } from './repeats';
import { blocksOf } from './places';

/** Px by which shared furniture may differ between screens. */
const SAME_PLACE = 2;

/** Blocks of one name need fewer parts to be the same. */
const FEWEST_NAMED = 2;

interface Block extends Build {
  /** The lower edge, px from the bottom of its screen. */
  readonly fromBottom: number;
}

/**
 * The furniture of a mockup: like-built blocks of equal size at the same place on several screens, measured
 * from the top or the bottom.
 */
export function findFurniture(mockup: Mockup, measures: ReadonlyMap<string, Measures>): Repeats {
  return lastFurniture(mockup, [measures], () => matchBlocks(mockup, measures));
}

/** Furniture does not depend on tags. */
const lastFurniture = memoizeLast<Mockup, Repeats>();

function matchBlocks(mockup: Mockup, measures: ReadonlyMap<string, Measures>): Repeats {
  const patterns: Block[][] = [];
  for (const screen of mockup.screens) {
    const measured = measures.get(screen.id);
    if (!measured || mockup.screens.length < 2) continue;
    const taken = new Set<Block[]>();
    for (const block of blocksIn(screen, measured)) {
      const same = patterns.find((pattern) => pattern[0] && !taken.has(pattern) && isSame(pattern[0], block));
      const pattern = same ?? [];
      if (!same) patterns.push(pattern);
      pattern.push(block);
      // A pattern occurs once on each screen.
      taken.add(pattern);
    }
  }
  const furniture = new Map<LayerId, Repeat>();
  for (const pattern of patterns) {
    const [first] = pattern;
    if (!first || pattern.length < 2) continue;
    pattern.forEach(({ layer }, index) =>
      furniture.set(layer.id, { pattern: first.layer.id, index, count: pattern.length, certain: false }),
    );
  }
  return furniture;
}

function blocksIn(screen: Screen, measures: Measures): readonly Block[] {
  return blocksOf(screen, measures).flatMap((layer: GroupLayer): readonly Block[] => {
    const box: Box | null | undefined = measures.get(layer.id)?.painted;
    if (!box) return [];
    const block = { ...buildOf(layer, box), fromBottom: screen.height - bottom(box) };
    return block.size >= (layer.sourceName === null ? TELLING_PARTS : FEWEST_NAMED) ? [block] : [];
  });
}

function isSame(one: Block, other: Block): boolean {
  const near = (a: number, b: number) => Math.abs(a - b) <= SAME_PLACE;
  return (
    near(one.box.x, other.box.x) &&
    near(one.box.width, other.box.width) &&
    near(one.box.height, other.box.height) &&
    (near(one.box.y, other.box.y) || near(one.fromBottom, other.fromBottom)) &&
    isAlike(one, other) &&
    (one.size >= TELLING_PARTS || one.layer.sourceName === other.layer.sourceName)
  );
}
