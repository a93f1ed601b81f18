import type { Report } from '../../findings/finding';
import type { Bitmap, XmlElement } from '../../mockup/mockup';
import type { GradientStop } from '../../mockup/paint';
import type { LayerId } from '../../mockup/layer';
import type { FaceId, FontFace } from '../../mockup/type';
import type { FontBook } from '../../type/fontBook';
import type { XmlNode } from '../xml/node';
import type { Cascade } from './cascade';
import type { Computed } from './computed';
import type { LayerIds } from '../layerIds';

/** What is shared by the reading of one file. The maps fill while it is read; nothing outlives it. */
export interface SvgContext {
  readonly cascade: Cascade;
  readonly report: Report;
  readonly book: FontBook;
  /** Every element with an id; the first wins, as in browsers. */
  readonly byId: ReadonlyMap<string, XmlNode>;
  readonly bitmaps: Map<string, Bitmap>;
  readonly assets: Map<string, Uint8Array>;
  readonly faces: Map<FaceId, FontFace>;
  readonly definitions: Map<string, XmlElement>;
  /** How many elements each definition draws, those that it refers to counted in. */
  readonly weights: Map<string, number>;
  /** The stops of gradients that have been read, by the element that holds them. */
  readonly stops: Map<XmlNode, readonly GradientStop[]>;
  readonly ids: LayerIds;
  /** The layers that `visibility` hides. */
  readonly hiddenLayers: Set<LayerId>;
  /** Told which element a layer is read from. */
  readonly onLayer: (id: LayerId, node: XmlNode) => void;
  /** Counts an element that is read. */
  readonly progress: () => void;
  /** Counts a layer that `use` copies; false when there are too many. */
  readonly countCopy: () => boolean;
  /** Does the work one level deeper; null when that is too deep. */
  readonly deeper: <T>(work: () => T) => T | null;
}

/** Where in the file an element is read. */
export interface Here {
  readonly context: SvgContext;
  /** The element's own style. */
  readonly computed: Computed;
  /** The layer that is read, or that holds what is read. */
  readonly parent: LayerId;
  /** The nearest viewport's size in its own coordinates: the basis of percentages. */
  readonly viewport: { readonly width: number; readonly height: number };
  /** Px of the screen that one px of the element's own coordinates is long, on average. */
  readonly scale: number;
  /** The ids of the `use` targets that are being drawn, against cycles. */
  readonly using: readonly string[];
}

/** The id that `url(#id)` or `#id` names; null when it names none in this file. */
export function localId(reference: string | undefined): string | null {
  const match = /^\s*(?:url\(\s*(["']?)#(.*?)\1\s*\)|#(.*?)\s*$)/i.exec(reference ?? '');
  const id = match?.[2] ?? match?.[3];
  return id ? decodeId(id) : null;
}

function decodeId(id: string): string {
  try {
    return decodeURIComponent(id);
  } catch {
    return id;
  }
}

export function hrefOf(node: XmlNode): string | undefined {
  return node.attributes.href ?? node.attributes['xlink:href'];
}
