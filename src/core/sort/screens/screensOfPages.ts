import { measureScreen, type Measures } from '../../mockup/bounds';
import { area, intersection, type Box } from '../../mockup/box';
import { childIdentity, pathName, SHEET } from '../../mockup/identity';
import type { GroupLayer, Layer, LayerId } from '../../mockup/layer';
import { multiply, translation } from '../../mockup/matrix';
import type { DocumentPage, Mockup, Screen } from '../../mockup/mockup';

/**
 * A screen for each page of the document, with the layers that lie mostly on it. Groups without a look that
 * reach over several pages are opened. The sheet itself for a document without pages.
 */
export function screensOfPages(mockup: Mockup, sheet: Screen): readonly Screen[] {
  const { pages = [] } = mockup;
  if (pages.length === 0) return mockup.screens;
  const measures = measureScreen(sheet, mockup.faces);
  const placed = new Map<DocumentPage, Layer[]>(pages.map((page) => [page, []]));
  place(sheet.root.layers, pages, measures, placed);
  const screens = pages.flatMap((page, at) => {
    const layers = placed.get(page) ?? [];
    return layers.length === 0 ? [] : [screenOf(page, at, layers, sheet)];
  });
  return screens.length === 0 ? mockup.screens : screens;
}

function place(
  layers: readonly Layer[],
  pages: readonly DocumentPage[],
  measures: Measures,
  into: Map<DocumentPage, Layer[]>,
): void {
  for (const layer of layers) {
    const painted = measures.get(layer.id)?.painted;
    const touched = painted ? pages.filter(({ box }) => sharedArea(box, painted) > 0) : [];
    if (layer.kind === 'group' && touched.length !== 1 && isPlain(layer)) {
      place(
        layer.layers.map((child) => ({ ...child, transform: multiply(layer.transform, child.transform) })),
        pages,
        measures,
        into,
      );
      continue;
    }
    const [main] = [...touched].sort(
      (one, other) => sharedArea(other.box, painted!) - sharedArea(one.box, painted!),
    );
    if (main) into.get(main)?.push(layer);
  }
}

function sharedArea(one: Box, other: Box): number {
  const shared = intersection(one, other);
  return shared ? area(shared) : 0;
}

function isPlain({ visible, clip, mask, effects, opacity, blend }: GroupLayer): boolean {
  return visible && !clip && !mask && effects.length === 0 && opacity === 1 && blend === 'normal';
}

function screenOf({ name, box }: DocumentPage, at: number, layers: readonly Layer[], sheet: Screen): Screen {
  const { id } = childIdentity(SHEET, `page/${at + 1}`);
  const root: GroupLayer = {
    ...sheet.root,
    id: id satisfies LayerId,
    path: `/${pathName(name)}`,
    sourceName: name,
    transform: multiply(translation(-box.x, -box.y), sheet.root.transform),
    layers,
  };
  return {
    id,
    name,
    width: Math.round(box.width),
    height: Math.round(box.height),
    origin: { x: box.x, y: box.y },
    found: 'found',
    ground: null,
    root,
  };
}
