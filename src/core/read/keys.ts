import { splitName } from '../mockup/layerName';
import type { LayerKey } from '../mockup/layer';

/**
 * Makes layer keys: the path of names from the screen down, so that a key stays the same in the
 * next revision as long as the layer keeps its name and its parents, whatever its brackets say. Like names are numbered.
 */
export function keyMaker(): (parent: LayerKey, name: string | null, kind: string) => LayerKey {
  const taken = new Map<string, number>();
  return (parent, name, kind) => {
    const plain = `${parent}/${slug(splitName(name ?? kind).bare || kind)}`;
    const count = (taken.get(plain) ?? 0) + 1;
    taken.set(plain, count);
    return count === 1 ? plain : `${plain}~${count}`;
  };
}

function slug(name: string): string {
  return (
    name
      .trim()
      .replace(/[\s/~]+/g, '-')
      .slice(0, 60) || 'layer'
  );
}
