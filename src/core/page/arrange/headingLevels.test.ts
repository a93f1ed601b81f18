import { pageOf, words } from '../../../../tests/support/pageTree';
import { pageNodes } from '../walk';
import { closeHeadingGaps } from './headingLevels';

const heading = (level: number, said = false) => ({
  ...words(`at ${level}`, [0, 0, 40, 17], 'Holm'),
  role: `heading-${level}` as 'heading-1',
  ...(said && { roleSaid: true as const }),
});

/** The levels of headings after the pass. */
function levelsOf(...headings: readonly ReturnType<typeof heading>[]): readonly number[] {
  return pageNodes(closeHeadingGaps(pageOf(...headings))).map(({ role }) => Number(role.slice(-1)));
}

describe('headings', () => {
  it.each([
    ['the first of a page without one is its title', [3, 4, 4], [1, 2, 2]],
    ['one is the title', [1, 1, 2], [1, 2, 2]],
    ['levels follow each other', [1, 3, 5], [1, 2, 3]],
    ['one below another is at most a level lower', [1, 3, 2, 3], [1, 2, 2, 3]],
    ['one before the title is lower', [4, 2, 4], [2, 1, 2]],
  ])('%s', (_, before, after) => {
    expect(levelsOf(...before.map((level) => heading(level)))).toEqual(after);
  });

  it('keep the level that a person gave them', () => {
    expect(levelsOf(heading(2), heading(4, true))).toEqual([1, 4]);
  });
});
