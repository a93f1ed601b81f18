import { box, pageOf, words } from '../../../../../../tests/support/pageTree';
import type { Role } from '../../../../sort/vocabulary';
import type { BoxNode, PageNode } from '../../../node';
import { pageNodes } from '../../../walk';
import { withoutStrayParts } from './strayParts';

const as = <Node extends PageNode>(role: Role, node: Node): Node => ({ ...node, role });
const group = (role: Role, ...children: readonly PageNode[]): BoxNode =>
  as(role, box('part', [0, 0, 100, 20], {}, ...children));
const cell = as('cell', words('word', [0, 0, 40, 17], 'Holm'));

const rolesOf = (node: PageNode) => pageNodes(pageOf(withoutStrayParts(node, null))).map(({ role }) => role);

describe('parts of tables', () => {
  it('stay in a table', () => {
    expect(rolesOf(group('table', group('row', cell, cell)))).toEqual(['table', 'row', 'cell', 'cell']);
  });

  it('are boxes and words anywhere else', () => {
    expect(rolesOf(group('box', group('row', cell), group('header-cell')))).toEqual([
      'box',
      'box',
      'text',
      'box',
    ]);
    expect(rolesOf(group('table', group('row', cell), group('item')))).toEqual([
      'box',
      'box',
      'text',
      'item',
    ]);
  });

  it('are what a person says they are', () => {
    expect(rolesOf({ ...group('row', cell), roleSaid: true })).toEqual(['row', 'cell']);
  });
});
