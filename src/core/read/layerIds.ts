import { childIdentity, pathName, SHEET, type Identity } from '../mockup/identity';
import { splitName } from '../mockup/layerName';
import type { LayerId } from '../mockup/layer';

/** Gives identities to the layers of a file while it is read. */
export interface LayerIds {
  /** A new identity in a parent, by the layer's name or kind. Equal names in one parent are numbered. */
  readonly next: (parent: LayerId, name: string | null, kind: string) => LayerId;
  readonly identityOf: (id: LayerId) => Identity;
  /** The parent of a given id; undefined for the sheet. */
  readonly parentOf: (id: LayerId) => LayerId | undefined;
}

export function createLayerIds(): LayerIds {
  const taken = new Map<string, number>();
  const identities = new Map<LayerId, Identity>([[SHEET.id, SHEET]]);
  const parents = new Map<LayerId, LayerId>();
  const identityOf = (id: LayerId) => {
    const identity = identities.get(id);
    if (!identity) throw new Error(`No layer has the id ${id}.`);
    return identity;
  };
  return {
    next(parent, name, kind) {
      const plain = pathName(splitName(name ?? kind).bare || kind);
      const mark = `${parent}/${plain}`;
      let count = (taken.get(mark) ?? 0) + 1;
      const around = identityOf(parent);
      let identity = childIdentity(around, count === 1 ? plain : `${plain}~${count}`);
      // Two names with one hash are numbered too.
      while (identities.has(identity.id)) identity = childIdentity(around, `${plain}~${++count}`);
      taken.set(mark, count);
      identities.set(identity.id, identity);
      parents.set(identity.id, parent);
      return identity.id;
    },
    identityOf,
    parentOf: (id) => parents.get(id),
  };
}
