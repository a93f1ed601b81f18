import { diffArrays } from 'diff';

/**
 * Aligns sequences in columns: each column has at most one entry of each sequence, all with one key, in the order of
 * every sequence. Sequences are taken in one after the other by their longest common subsequence (Myers, 1986),
 * so the result is exact for two and good for more.
 * @returns columns with an entry or null for each sequence
 */
export function alignSequences<Entry>(
  sequences: readonly (readonly Entry[])[],
  keyOf: (entry: Entry) => string,
): readonly (readonly (Entry | null)[])[] {
  const [first = [], ...others] = sequences;
  let columns: { readonly key: string; readonly entries: (Entry | null)[] }[] = first.map((entry) => ({
    key: keyOf(entry),
    entries: [entry],
  }));
  for (const [at, sequence] of others.entries()) {
    const keys = sequence.map(keyOf);
    const pairs = commonPairs(
      columns.map(({ key }) => key),
      keys,
    );
    const merged: typeof columns = [];
    let [column, entry] = [0, 0];
    const step = (toColumn: number, toEntry: number) => {
      for (; column < toColumn; column++) {
        columns[column]!.entries.push(null);
        merged.push(columns[column]!);
      }
      for (; entry < toEntry; entry++)
        merged.push({
          key: keys[entry]!,
          entries: [...Array.from({ length: at + 1 }, () => null), sequence[entry]!],
        });
    };
    for (const [pairColumn, pairEntry] of pairs) {
      step(pairColumn, pairEntry);
      columns[column]!.entries.push(sequence[entry]!);
      merged.push(columns[column]!);
      [column, entry] = [column + 1, entry + 1];
    }
    step(columns.length, sequence.length);
    columns = merged;
  }
  return columns.map(({ entries }) => entries);
}

/** The places of a longest common subsequence in both lists. */
function commonPairs(
  ones: readonly string[],
  others: readonly string[],
): readonly (readonly [number, number])[] {
  const pairs: (readonly [number, number])[] = [];
  let [one, other] = [0, 0];
  for (const { added, removed, value } of diffArrays([...ones], [...others])) {
    if (added) other += value.length;
    else if (removed) one += value.length;
    else for (const _ of value) pairs.push([one++, other++]);
  }
  return pairs;
}
