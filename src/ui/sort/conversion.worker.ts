import { expose } from 'comlink';
import { convert, type Conversion } from '../../core/convert';
import { layerCode, type LayerCode } from '../../core/emit/html/layerCode';
import type { Box } from '../../core/mockup/box';
import type { LayerKey } from '../../core/mockup/layer';
import type { Mockup } from '../../core/mockup/mockup';
import type { Arrangement } from '../../core/page/node';
import type { Decision } from '../../core/sort/decision';
import type { Tag } from '../../core/sort/tag';

/** What the Sort step shows of a conversion. */
export interface Settled {
  readonly decisions: ReadonlyMap<LayerKey, Decision>;
  /** What each layer paints, px of its screen. */
  readonly boxes: ReadonlyMap<LayerKey, Box>;
}

let mockup: Mockup | null = null;
let conversion: Conversion | null = null;

/** The same `convert` as the server's, in a worker of the browser: the page that the tags give right now. */
const api = {
  load(loaded: Mockup): void {
    mockup = loaded;
    conversion = null;
  },

  settle(tags: ReadonlyMap<LayerKey, Tag>, arrangement: Arrangement): Settled {
    if (!mockup) throw new Error('No mockup is loaded.');
    const options = { arrangement, target: 'html' } as const;
    conversion = convert({ mockup, assets: new Map(), tags, options, outliner: null });
    const boxes = new Map<LayerKey, Box>();
    for (const measures of conversion.measures.values()) {
      for (const [key, { painted }] of measures) if (painted) boxes.set(key, painted);
    }
    return { decisions: conversion.decisions, boxes };
  },

  code(key: LayerKey): LayerCode | null {
    return conversion && layerCode(conversion, key);
  },
};

export type ConversionApi = typeof api;
expose(api);
