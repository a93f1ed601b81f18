import { box, CHALK, INK, pageOf, solid, words } from '../../../../../tests/support/pageTree';
import type { PageNode } from '../../node';
import { withOneMain } from './oneMain';

const plate = { fills: [solid(CHALK)] };
const header = { ...box('top', [0, 0, 400, 40], plate), role: 'header' } as const;
const footer = { ...box('foot', [0, 270, 400, 30], plate), role: 'footer' } as const;
const quay = box('quay', [0, 40, 400, 150], { fills: [solid(INK)] });
const note = words('note', [0, 220, 40, 17], 'Holm');

const rolesOf = (...nodes: PageNode[]) =>
  withOneMain(pageOf(...nodes)).children.map(({ name, role }) => `${name} ${role}`);

describe('the main region', () => {
  it('is all between the header and the footer, in whatever order it is drawn', () => {
    const expected = ['top header', 'main main', 'foot footer'];
    expect(rolesOf(header, quay, note, footer)).toEqual(expected);
    expect(rolesOf(quay, header, note, footer).toSorted()).toEqual(expected.toSorted());
  });

  it('is its largest part where what is drawn between lies among its parts', () => {
    const ways = { ...box('ways', [0, 195, 400, 20], plate), role: 'navigation' } as const;
    expect(rolesOf(quay, ways, note)).toEqual(['quay main', 'ways navigation', 'note text']);
  });
});
