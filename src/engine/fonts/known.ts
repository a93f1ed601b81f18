import appleSystem from '@capsizecss/metrics/appleSystem';
import arial from '@capsizecss/metrics/arial';
import blinkMacSystemFont from '@capsizecss/metrics/blinkMacSystemFont';
import courierNew from '@capsizecss/metrics/courierNew';
import georgia from '@capsizecss/metrics/georgia';
import helvetica from '@capsizecss/metrics/helvetica';
import helveticaNeue from '@capsizecss/metrics/helveticaNeue';
import lucidaGrande from '@capsizecss/metrics/lucidaGrande';
import roboto from '@capsizecss/metrics/roboto';
import segoeUI from '@capsizecss/metrics/segoeUI';
import tahoma from '@capsizecss/metrics/tahoma';
import timesNewRoman from '@capsizecss/metrics/timesNewRoman';
import trebuchetMS from '@capsizecss/metrics/trebuchetMS';
import verdana from '@capsizecss/metrics/verdana';

/** Metrics of a family without a file, in units of its em, descent negative. */
export interface KnownMetrics {
  readonly familyName: string;
  readonly unitsPerEm: number;
  readonly ascent: number;
  readonly descent: number;
  readonly lineGap: number;
  readonly xHeight: number;
  /** The mean advance of a letter. */
  readonly xWidthAvg: number;
}

/** The families of common operating systems, so that baselines are right where none is installed. */
const KNOWN: readonly KnownMetrics[] = [
  arial,
  helvetica,
  helveticaNeue,
  timesNewRoman,
  courierNew,
  georgia,
  verdana,
  tahoma,
  trebuchetMS,
  segoeUI,
  roboto,
  lucidaGrande,
  appleSystem,
  blinkMacSystemFont,
];

const BY_NAME: ReadonlyMap<string, KnownMetrics> = new Map(
  KNOWN.map((metrics) => [metrics.familyName.toLowerCase(), metrics]),
);

/** The metrics of the first family that is known; Arial's when none is. */
export function knownMetrics(families: readonly string[]): KnownMetrics {
  return (
    families.map((family) => BY_NAME.get(family.toLowerCase())).find((known) => known !== undefined) ?? arial
  );
}
