import { INK, CHALK } from '../../../../tests/support/pageTree';
import type { Sides } from '../../look/look';
import { lookDeclarations } from './declarations';

const thin = { width: 1, colour: INK };
const thick = { width: 3, colour: CHALK };

const written = (sides: Sides) => lookDeclarations({ sides }).map((declaration) => declaration.join(': '));

describe('borders of single sides', () => {
  it('are said one by one', () => {
    expect(written({ top: thin, bottom: thick })).toEqual([
      'border-top: 1px solid #102030',
      'border-bottom: 3px solid #fff',
    ]);
  });

  it('are said as one where all sides have a border, and then what differs', () => {
    expect(written({ top: thick, right: thin, bottom: thin, left: thin })).toEqual([
      'border: 1px solid #102030',
      'border-top: 3px solid #fff',
    ]);
  });

  it('are said one by one where no two are alike', () => {
    const sides = [1, 2, 3, 4].map((width) => ({ width, colour: INK }));
    const [top, right, bottom, left] = sides as [typeof thin, typeof thin, typeof thin, typeof thin];
    expect(written({ top, right, bottom, left })).toHaveLength(4);
  });
});
