import { childIdentity, pathName, SHEET, type Identity } from '../mockup/identity';
import { splitName } from '../mockup/layerName';
import type { LayerId } from '../mockup/layer';

/** Gives identities to the layers of a file while it is read. */
export interface LayerIds {
  /**
   * A new identity in a parent, by the layer's name or kind. Equal names in one parent are numbered.
   * @param idName the name that its id follows from, where that is not the name that people see
   */
  readonly next: (parent: LayerId, name: string | null, kind: string, idName?: string | null) => LayerId;
  readonly identityOf: (id: LayerId) => Identity;
  /** The parent of a given id; undefined for the sheet. */
  readonly parentOf: (id: LayerId) => LayerId | undefined;
}

export function createLayerIds(): LayerIds {
  const taken = new Map<string, number>();
  const takenPaths = new Set<string>();
  const identities = new Map<LayerId, Identity>([[SHEET.id, SHEET]]);
  const parents = new Map<LayerId, LayerId>();
  const identityOf = (id: LayerId) => {
    const identity = identities.get(id);
    if (!identity) throw new Error(`No layer has the id ${id}.`);
    return identity;
  };
  const freePath = (around: string, name: string) => {
    let path = `${around}/${name}`;
    for (let count = 2; takenPaths.has(path); count++) path = `${around}/${name}~${count}`;
    return path;
  };
  return {
    next(parent, name, kind, idName = name) {
      const plain = plainName(idName, kind);
      const mark = `${parent}/${plain}`;
      let count = (taken.get(mark) ?? 0) + 1;
      const around = identityOf(parent);
      let identity = childIdentity(around, count === 1 ? plain : `${plain}~${count}`);
      // Two names with one hash are numbered too.
      while (identities.has(identity.id)) identity = childIdentity(around, `${plain}~${++count}`);
      taken.set(mark, count);
      const path = name === idName ? identity.path : freePath(around.path, plainName(name, kind));
      takenPaths.add(path);
      identities.set(identity.id, { ...identity, path });
      parents.set(identity.id, parent);
      return identity.id;
    },
    identityOf,
    parentOf: (id) => parents.get(id),
  };
}

function plainName(name: string | null, kind: string): string {
  return pathName(splitName(name ?? kind).bare || kind);
}
