const ARGUMENTS: Readonly<Record<string, number>> = {
  M: 2,
  L: 2,
  H: 1,
  V: 1,
  C: 6,
  S: 4,
  Q: 4,
  T: 2,
  A: 7,
  Z: 0,
};
const COMMAND = /\s*([mlhvcsqtaz])/iy;
const NUMBER = /\s*([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)/iy;
const FLAG = /\s*([01])/y;
const COMMA = /\s*,/y;

/** Takes path data apart from its beginning, as the grammar of SVG 2, §9.3.9 has it. */
class Scanner {
  private at = 0;
  constructor(private readonly text: string) {}

  take(pattern: RegExp): string | null {
    pattern.lastIndex = this.at;
    const match = pattern.exec(this.text);
    if (!match) return null;
    this.at = pattern.lastIndex;
    return match[1] ?? match[0];
  }

  /** The numbers of one command; null when they are not all there. */
  arguments(command: string): number[] | null {
    const count = ARGUMENTS[command] ?? 0;
    const numbers: number[] = [];
    while (numbers.length < count) {
      if (numbers.length > 0) this.take(COMMA);
      const isFlag = command === 'A' && (numbers.length === 3 || numbers.length === 4);
      const value = Number(this.take(isFlag ? FLAG : NUMBER) ?? NaN);
      if (!Number.isFinite(value)) return null;
      numbers.push(value);
    }
    return numbers;
  }
}

/**
 * Path data up to its first error, as browsers draw it (SVG 2, §9.5.4), with absolute commands and a letter for each.
 * Empty for data that does not begin with a move or draws nothing.
 */
export function absolutePath(d: string): string {
  const scanner = new Scanner(d);
  const parts: string[] = [];
  let [x, y, startX, startY] = [0, 0, 0, 0];
  let letter: string | null = scanner.take(COMMAND);
  if (letter?.toUpperCase() !== 'M') return '';
  while (letter !== null) {
    const command = letter.toUpperCase();
    const numbers = scanner.arguments(command);
    if (!numbers) break;
    if (letter !== command) makeAbsolute(command, numbers, x, y);
    parts.push(command + numbers.join(' '));
    if (command === 'Z') [x, y] = [startX, startY];
    else if (command === 'H') x = numbers[0] ?? x;
    else if (command === 'V') y = numbers[0] ?? y;
    else [x, y] = [numbers.at(-2) ?? x, numbers.at(-1) ?? y];
    if (command === 'M') [startX, startY] = [x, y];
    letter = scanner.take(COMMAND) ?? repeated(letter, scanner);
  }
  return parts.join('');
}

function makeAbsolute(command: string, numbers: number[], x: number, y: number): void {
  if (command === 'H') numbers[0] = (numbers[0] ?? 0) + x;
  else if (command === 'V') numbers[0] = (numbers[0] ?? 0) + y;
  else {
    const first = command === 'A' ? 5 : 0;
    for (let at = first; at < numbers.length; at++)
      numbers[at] = (numbers[at] ?? 0) + ((at - first) % 2 === 0 ? x : y);
  }
}

/** Further numbers repeat the command; after a move they are lines (SVG 2, §9.3.3). */
function repeated(letter: string, scanner: Scanner): string | null {
  if (letter === 'Z' || letter === 'z') return null;
  scanner.take(COMMA);
  return { M: 'L', m: 'l' }[letter] ?? letter;
}
