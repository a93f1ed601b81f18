import { identityAt } from '../../src/core/mockup/identity';
import type { LayerId } from '../../src/core/mockup/layer';
import type { Mockup } from '../../src/core/mockup/mockup';
import { walk } from '../../src/core/mockup/walk';

/** The id that readers give to the layer at a path. */
export function idAt(path: string): LayerId {
  return identityAt(path).id;
}

/** The id of the first layer whose path ends so. */
export function idEnding({ screens }: Pick<Mockup, 'screens'>, ending: string): LayerId {
  const found = screens.flatMap(({ root }) => walk(root)).find(({ path }) => path.endsWith(ending));
  if (!found) throw new Error(`No path ends with ${ending}.`);
  return found.id;
}
