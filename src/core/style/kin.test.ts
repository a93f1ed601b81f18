import { box, INK, pageOf, solid, words } from '../../../tests/support/pageTree';
import type { PageNode } from '../page/node';
import { kinOf } from './kin';

/** A look by the name of its node. */
const markOf = ({ name, look }: PageNode) => (Object.keys(look).length > 0 ? name : null);
const dark = { fills: [solid(INK)] };
const card = (kind: string, x: number) =>
  box(kind, [x, 0, 80, 60], dark, words(`${kind}-title`, [x + 8, 8, 40, 16], 'Holm'));

describe('looks of one thing', () => {
  it('are those of like siblings, and of their parts at one place', () => {
    const kin = kinOf([pageOf(card('plain', 0), card('plain', 100), card('hot', 200))], markOf);
    expect(kin.get('hot')).toBe('plain');
    expect(kin.get('hot-title')).toBe('plain-title');
  });

  it('lead to the first of them, however they are met', () => {
    const kin = kinOf(
      [
        pageOf(
          box('one', [0, 0, 300, 60], {}, card('plain', 0), card('hot', 100)),
          box('two', [0, 100, 300, 60], {}, card('cold', 0), card('hot', 100)),
        ),
      ],
      markOf,
    );
    expect(['plain', 'hot', 'cold'].map((name) => kin.get(name))).toEqual(['plain', 'plain', 'plain']);
  });

  it('are no others: siblings of another build, and words side by side', () => {
    const quay = box('quay', [300, 0, 80, 60], dark, box('deck', [300, 0, 10, 10], dark));
    const kin = kinOf([pageOf(card('plain', 0), quay, words('one', [0, 90, 20, 16], 'a'))], markOf);
    expect(kin.size).toBe(0);
  });
});
