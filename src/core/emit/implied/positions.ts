import type { Declaration } from '../../markup/printCss';
import type { OutlineElement } from './outline';

/** A place among siblings that a selector names (Selectors 4, §13.3 and §15.3). */
export interface Position {
  /** The selector of elements of a class at the place. */
  readonly selectorOf: (base: string) => string;
  readonly holds: (element: OutlineElement, base: string) => boolean;
  /** How many elements of one parent stand there at least, so that it is no chance. */
  readonly least: number;
  /** True where it is plain that an element at the place looks otherwise. */
  readonly explains: (declarations: readonly Declaration[]) => boolean;
}

/** What the place among siblings explains: lines between them, distances, corners. Zeros reset what the others have. */
const SPACING =
  /^(?:margin|padding|border-(?:top|right|bottom|left)|border-[\w-]*radius|align-self|justify-self)/;

const isSpacing = (declarations: readonly Declaration[]) =>
  declarations.every(
    ([property, value]) => SPACING.test(property) || (property === 'border' && value === '0'),
  );

/** What stands between one and the next. */
const isBetween = (declarations: readonly Declaration[]) =>
  declarations.every(([property]) => /^(?:margin|border)-(?:top|left)$/.test(property));

const isStripe = (declarations: readonly Declaration[]) =>
  declarations.every(([property]) => property.startsWith('background'));

/** Positions, the plainest first. */
export const POSITIONS: readonly Position[] = [
  {
    selectorOf: (base) => `.${base} + .${base}`,
    holds: ({ previous }, base) => previous?.classes.has(base) === true,
    least: 1,
    explains: isBetween,
  },
  {
    selectorOf: (base) => `.${base}:first-child`,
    holds: ({ previous }) => previous === null,
    least: 1,
    explains: isSpacing,
  },
  {
    selectorOf: (base) => `.${base}:last-child`,
    holds: ({ isLast }) => isLast,
    least: 1,
    explains: isSpacing,
  },
  {
    selectorOf: (base) => `.${base}:nth-child(odd)`,
    holds: ({ index }) => index % 2 === 1,
    least: 2,
    explains: isStripe,
  },
  {
    selectorOf: (base) => `.${base}:nth-child(even)`,
    holds: ({ index }) => index % 2 === 0,
    least: 2,
    explains: isStripe,
  },
];
