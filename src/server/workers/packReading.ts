import { TARGETS } from '../../core/emit/targets';
import type { Finding } from '../../core/findings/finding';
import type { LayerId } from '../../core/mockup/layer';
import type { Mockup } from '../../core/mockup/mockup';
import { layersOf } from '../../core/mockup/walk';
import { readingReport } from '../../core/sort/report/readingReport';
import { applyStructuralTags } from '../../core/sort/structuralTags';
import type { ReadWithPicture } from '../../engine/readWithPicture';

/** A reading as it is stored: what is large is text or bytes, so that the server passes it on as it is. */
export interface PackedReading {
  readonly name: string;
  readonly format: Mockup['format'];
  /** The `Mockup` as JSON. */
  readonly tree: string;
  readonly findings: readonly Finding[];
  readonly layerCount: number;
  /** The ids of all layers and screens. */
  readonly layerIds: readonly LayerId[];
  readonly assets: ReadonlyMap<string, Uint8Array>;
  /** The first screen as SVG. */
  readonly picture: Uint8Array;
  /** The `ReadingReport` without tags as JSON. */
  readonly report: string;
}

export function packReading({ mockup, assets, findings, picture }: ReadWithPicture): PackedReading {
  const shaped = applyStructuralTags(mockup, new Map());
  const layers = layersOf(shaped);
  const screens = [...mockup.screens, ...shaped.screens];
  const all = [...screens, ...screens.map(({ root }) => root), ...layersOf(mockup), ...layers];
  return {
    name: mockup.name,
    format: mockup.format,
    tree: JSON.stringify(mockup),
    findings,
    layerCount: layers.length,
    layerIds: [...new Set(all.map(({ id }) => id))],
    assets,
    picture: new TextEncoder().encode(picture),
    report: JSON.stringify(readingReport(mockup, findings, new Map(), TARGETS.html.capabilities)),
  };
}
