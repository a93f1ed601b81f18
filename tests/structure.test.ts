import { convertReading, PAGE_MOCKUPS } from './support/mockups';
import { isAside } from './support/onPage';
import { TARGETS } from '../src/core/emit/targets';
import { limitation } from '../src/core/look/neededFeatures';
import { boxForm } from '../src/core/look/boxForm';
import { walk } from '../src/core/mockup/walk';
import { walkNodes } from '../src/core/page/walk';
import type { PageNode } from '../src/core/page/node';

/** What the code of whole pages is made of. */
function depthOf(nodes: readonly PageNode[]): number {
  return nodes.reduce(
    (most, node) => Math.max(most, 1 + (node.kind === 'box' ? depthOf(node.children) : 0)),
    0,
  );
}

describe.each(PAGE_MOCKUPS)('$name', ({ read }) => {
  const reading = read();

  it.each(['fixed', 'nested', 'flow'] as const)(
    '%s: few elements, no deeper than the groups',
    (arrangement) => {
      const { pages, mockup, decisions } = convertReading(reading, arrangement);
      const [page] = pages;
      const [screen] = mockup.screens;
      const onPage = walk(screen!.root).filter(({ id }) => id !== screen!.root.id && !isAside(id, decisions));
      const elements = walkNodes(page!.children).length;
      expect(elements / onPage.length).toBeLessThanOrEqual(1.1);
      const deepest =
        Math.max(...onPage.map(({ path }) => path.split('/').length)) - screen!.root.path.split('/').length;
      // In the flow, a main region may stand around what is beside no header.
      expect(depthOf(page!.children)).toBeLessThanOrEqual(deepest + 2);
    },
  );

  it('text stays text, and everything that CSS can draw is CSS', () => {
    const { mockup, measures, decisions } = convertReading(reading);
    const [screen] = mockup.screens;
    let [texts, kept, sayable, said] = [0, 0, 0, 0];
    for (const layer of walk(screen!.root)) {
      if (!layer.visible || isAside(layer.id, decisions)) continue;
      const outcome = decisions.get(layer.id)?.outcome;
      if (layer.kind === 'text') {
        texts += 1;
        if (outcome === 'element') kept += 1;
      }
      const matrix = measures.get(screen!.id)?.get(layer.id)?.matrix;
      const isIcon = decisions.get(layer.id)?.within !== null;
      if (
        layer.kind !== 'shape' ||
        !matrix ||
        isIcon ||
        !boxForm(layer) ||
        limitation(layer, matrix, TARGETS.html.capabilities) !== null
      )
        continue;
      sayable += 1;
      if (outcome === 'element') said += 1;
    }
    if (texts > 0) expect(kept / texts).toBeGreaterThanOrEqual(0.95);
    if (sayable > 0) expect(said / sayable).toBeGreaterThanOrEqual(0.9);
  });
});
