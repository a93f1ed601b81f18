/**
 * By how much drawn things may differ and still count as equal. The classes follow from what made the
 * difference; a tolerance of its own needs a reason of its own. Lengths are px at 1x.
 */

/** What sums of fractions add: nobody drew it. */
export const COMPUTED = {
  length: 0.001,
  /** From a whole px. */
  wholePx: 0.01,
} as const;

/** Edges that were drawn on each other: drawings are written to hundredths of a px. */
export const EXACT = 0.02;

/** What was rounded to whole px, by a designer or a browser: half a px. */
export const SNAPPED = 0.5;

/** Letters as measured from the font, against those that a browser sets. */
export const MEASURED = {
  /** The width of a line. */
  width: 1,
  /** The same for lines without stretch or spacing, which wrap by their longest line. */
  plainWidth: 0.4,
  /** The same as a share, for stretched or specially spaced lines. */
  share: 0.005,
  /** The length of a line, without being visible. */
  lineLength: 0.25,
  /**
   * The gap between two pieces of a line, which is a space or nothing. Parts of a single line may have a gap of
   * their own; paragraphs and stretched letters are less exact.
   */
  gap: { inLine: 0.2, inParagraph: 0.35, inStretchedParagraph: 1.5 },
  /** The space between two words. */
  space: 0.5,
  /** The padding around words, from its quarter px. */
  padding: 0.06,
  /** By how much letters stick out of their box. */
  overhang: 0.5,
  /** The middle of centred words, whose edges are rounded to whole px. */
  centre: 1.5,
  /** The same after the rounding of browsers. */
  middle: 1,
  /** The same in a button. Common practice, no source: its words are centred, whatever their measured width. */
  buttonWords: 4,
  /** The baselines of a row, and the lines of a regular paragraph. */
  baseline: 0.6,
  /** Down the page, where line boxes are rounded. */
  down: 0.3,
  /** How far words may move in a line whose pieces have different stretches. */
  drift: 3,
} as const;

/** What was placed by eye. */
export const BY_HAND = {
  /** Neighbours that are meant to touch. */
  overlap: 1,
  /** The same for borders that coincide, with the rounding error. */
  border: 1.01,
  /** Equal widths, paddings and alignments: borders reach past some boxes by half their width. */
  size: 1.5,
  /** Equal steps between parts. */
  step: 0.75,
  /** The places of parts in siblings that are built alike. */
  place: 2,
  /** The radii of a shadow's corners, and those of its box. */
  corner: 2,
  /** What sticks out of a box without widening it: half a line. */
  overhang: 2,
  /** The space beside centred words, which counts as padding regardless of the space above. */
  centredWords: 8,
} as const;

/** Px up to which the words of a cell stay on their line (common practice, no source: figures, names and dates). */
export const WIDEST_LINE = 160;
