import { box, pageOf, words } from '../../../../tests/support/pageTree';
import { pageNodes } from '../walk';
import type { PageNode } from '../node';
import { nameLandmarks } from './landmarkNames';

const navigation = (name: string, ...children: readonly PageNode[]) => ({
  ...box(name, [0, 0, 200, 40], {}, ...children),
  named: true,
  role: 'navigation' as const,
});

/** The names of navigations after the pass. */
function namesOf(...nodes: readonly PageNode[]): readonly (string | undefined)[] {
  return pageNodes(nameLandmarks(pageOf(...nodes))).flatMap(({ role, label }) =>
    role === 'navigation' ? [label] : [],
  );
}

describe('landmarks of one kind', () => {
  it('need no name where there is one', () => {
    expect(namesOf(navigation('main-nav'))).toEqual([undefined]);
  });

  it('are called by their layers, without words for what they are', () => {
    expect(namesOf(navigation('harbour-nav'), navigation('breadcrumb'))).toEqual(['Harbour', 'Breadcrumb']);
  });

  it('are called by their headings', () => {
    const title = { ...words('title', [0, 0, 40, 17], 'Quays'), role: 'heading-2' as const };
    expect(namesOf(navigation('nav', title), navigation('nav'))).toEqual(['Quays', 'Pages']);
  });

  it('have a number where nothing tells them apart', () => {
    expect(namesOf(navigation('nav'), navigation('nav-2'))).toEqual(['Pages', 'Pages 2']);
  });
});
