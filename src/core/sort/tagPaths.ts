import { identityAt, namesInPath, pathName } from '../mockup/identity';
import type { LayerId } from '../mockup/layer';
import { splitName } from '../mockup/layerName';
import type { Mockup } from '../mockup/mockup';
import { walk } from '../mockup/walk';
import type { Tag, Tags } from './tag';

/** The tags of a file that names layers by their paths. Layers that structural tags will make are named as well. */
export function tagsByPath(mockup: Mockup, tags: Readonly<Record<string, Tag>>): Tags {
  const find = pathFinder(mockup);
  return new Map(Object.entries(tags).map(([path, tag]) => [find(path), tag]));
}

/**
 * Finds layers by their paths. Paths that begin with the file's name, as earlier versions printed them, are
 * understood too.
 */
export function pathFinder(mockup: Mockup): (path: string) => LayerId {
  const byPath = new Map<string, LayerId>();
  for (const { root } of mockup.screens) for (const { id, path } of walk(root)) byPath.set(path, id);
  return (path) => {
    const own = normalised(namesInPath(path));
    const short = normalised(withoutFileName(namesInPath(path), mockup));
    return byPath.get(own) ?? byPath.get(short) ?? identityAt(short).id;
  };
}

function normalised(names: readonly string[]): string {
  return names.map((name) => `/${name}`).join('');
}

/** The names of a path without the file's name; a flat picture's bitmap was named after the file as well. */
function withoutFileName(names: readonly string[], { name, format }: Mockup): readonly string[] {
  const file = pathName(splitName(name).bare || 'screen');
  if (names[0] !== file) return names;
  const [, next, ...others] = names;
  if (next === undefined) return [];
  return [format === 'flat' && next === file ? 'picture' : next, ...others];
}
