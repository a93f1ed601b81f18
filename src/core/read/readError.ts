import { fill, type FindingData } from '../findings/finding';

/** The reasons why a file is refused, each as one sentence that tells what to do. */
export const REFUSALS = {
  empty: 'The file is empty; choose a mockup with something in it.',
  'too-large':
    'The file has {size} MB; Orden reads at most {limit} MB. Split the mockup or shrink its bitmaps.',
  'not-svg': 'This is not an SVG file ({what}); choose an SVG mockup.',
  unknown: 'Orden cannot read this file: {what}. Choose an SVG, OpenRaster, PNG, JPEG or WebP mockup.',
  foreign:
    'This is {format}, which Orden does not read; save it as SVG, OpenRaster, PNG, JPEG or WebP and open that.',
  'unpacks-too-large': 'The file unpacks to more than {limit} MB; split the mockup or shrink its bitmaps.',
  'broken-archive': 'The file cannot be unpacked: {what} is broken. Save the mockup again.',
  encrypted: 'The file is encrypted; save it without a password and open that.',
  'broken-bitmap': 'A picture in the file cannot be read ({what}); save the mockup again.',
  'too-many-pixels':
    '{what} more than {limit} megapixels, which is the most that Orden draws; shrink what is too large and open the mockup again.',
  'entry-missing': 'The OpenRaster file lacks {entry}; save the mockup again.',
  'broken-xml': 'The XML is broken at line {line}, column {column}: {what}. Save the mockup again.',
  'broken-entry':
    'The XML of {entry} is broken at line {line}, column {column}: {what}. Save the mockup again.',
  'too-deep':
    'The layers are nested more than {limit} deep at line {line}; flatten the groups and try again.',
  'too-many-layers': 'The file has more than {limit} elements; split the mockup into several files.',
  'nothing-drawn': 'There is nothing to draw in this file; choose a mockup with at least one visible layer.',
  'no-size': 'The screen has no usable size ({what}); give it a width and a height between 1 and {limit} px.',
} as const;

export type RefusalCode = keyof typeof REFUSALS;

/** A file that cannot be read. The message is fit for people. */
export class ReadError extends Error {
  override readonly name = 'ReadError';

  constructor(
    readonly code: RefusalCode,
    readonly data: FindingData = {},
  ) {
    super(fill(REFUSALS[code], data));
  }
}

/** True for a refused file, also for one of another copy of this module: a bundler makes one for each entry. */
export function isReadError(error: unknown): error is ReadError {
  return error instanceof Error && error.name === 'ReadError';
}
