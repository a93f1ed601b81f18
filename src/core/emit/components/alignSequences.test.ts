import fc from 'fast-check';
import { alignSequences } from './alignSequences';

const letters = fc.array(fc.constantFrom('a', 'b', 'c'), { maxLength: 6 });

describe('aligned sequences', () => {
  it('keep every sequence, and have one key a column', () => {
    fc.assert(
      fc.property(fc.array(letters, { minLength: 1, maxLength: 4 }), (sequences) => {
        const columns = alignSequences(sequences, (letter) => letter);
        for (const [at, sequence] of sequences.entries())
          expect(columns.map((column) => column[at]).filter((entry) => entry !== null)).toEqual(sequence);
        for (const column of columns) {
          expect(column).toHaveLength(sequences.length);
          expect(new Set(column.filter((entry) => entry !== null)).size).toBe(1);
        }
      }),
    );
  });

  it('need no more columns than two sequences have entries apart from their longest common subsequence', () => {
    const columns = alignSequences([[...'abcbdab'], [...'bdcaba']], (letter) => letter);
    // The textbook pair, whose longest common subsequence has four letters (Cormen and others, §15.4; from memory).
    expect(columns).toHaveLength(7 + 6 - 4);
  });
});
