import type { GroupLayer, Layer, ShapeLayer } from '../../src/core/mockup/layer';
import { bareLayer } from '../../src/core/mockup/layer';
import type { Mockup } from '../../src/core/mockup/mockup';
import { NO_RADII } from '../../src/core/mockup/outline';

export function box(key: string, x = 0): ShapeLayer {
  const outline = { kind: 'rect', box: { x, y: 0, width: 10, height: 10 }, radii: NO_RADII } as const;
  return {
    ...bareLayer({ id: key, path: `/${key}` }, null),
    kind: 'shape',
    outline,
    fill: null,
    stroke: null,
    strokeFirst: false,
    crisp: false,
    markers: {},
    markerReach: 0,
  };
}

export function group(key: string, ...layers: Layer[]): GroupLayer {
  return {
    ...bareLayer({ id: key, path: `/${key}` }, key),
    kind: 'group',
    isolated: false,
    instanceOf: null,
    layers,
  };
}

export function mockupOf(...layers: Layer[]): Mockup {
  const root = group('s', ...layers);
  return {
    name: 's',
    format: 'svg',
    screens: [
      {
        id: 's',
        name: 's',
        width: 100,
        height: 50,
        origin: { x: 0, y: 0 },
        found: 'whole',
        ground: null,
        root,
      },
    ],
    bitmaps: {},
    faces: {},
    definitions: {},
  };
}

export const mockup = mockupOf(group('a', box('a1'), group('b', box('b1'), box('b2', 5))), box('c'));

/** An edit of the layer `c`. */
export function editOfC(role: string) {
  return { layer: 'c', facet: 'role', before: null, after: role };
}
