import type { OnProgress } from '../../core/read/reading';
import { build, type BuildJob, type BuildOutput } from './buildJob';
import { drawJob, type DrawJob, type DrawOutput } from './drawJob';
import { fontJob, type FontJob, type FontOutput } from './fontJob';
import type { PackedReading } from './packReading';
import { picturesJob, type PicturesJob, type PicturesOutput } from './picturesJob';
import { prove, type ProofJob, type ProofOutput } from './proofJob';
import { readJob, type ReadJob } from './readJob';
import { reportJob, type ReportJob } from './reportJob';
import { screensJob, type ScreensJob, type ScreensOutput } from './screensJob';
import { shrinkJob, type ShrinkJob } from './shrinkJob';
import { styleFileJob, type StyleFileJob, type StyleFileOutput } from './styleFileJob';
import { styleJob, type StyleJob } from './styleJob';
import { tagJob, type TagJob } from './tagJob';

/** The jobs of a worker, with their results. */
interface JobTypes {
  readonly read: { readonly job: ReadJob; readonly result: PackedReading };
  readonly font: { readonly job: FontJob; readonly result: FontOutput };
  readonly report: { readonly job: ReportJob; readonly result: string };
  readonly styleFile: { readonly job: StyleFileJob; readonly result: StyleFileOutput };
  readonly style: { readonly job: StyleJob; readonly result: string };
  readonly tag: { readonly job: TagJob; readonly result: string };
  readonly shrink: { readonly job: ShrinkJob; readonly result: Uint8Array };
  readonly draw: { readonly job: DrawJob; readonly result: DrawOutput };
  readonly pictures: { readonly job: PicturesJob; readonly result: PicturesOutput };
  readonly screens: { readonly job: ScreensJob; readonly result: ScreensOutput };
  readonly build: { readonly job: BuildJob; readonly result: BuildOutput };
  readonly prove: { readonly job: ProofJob; readonly result: ProofOutput };
}

export type JobName = keyof JobTypes;
export type JobOf<Name extends JobName> = JobTypes[Name]['job'];
export type ResultOf<Name extends JobName> = JobTypes[Name]['result'];

/** Adding a job is a file and a line here and above. */
export const JOBS: {
  readonly [Name in JobName]: (
    job: JobOf<Name>,
    onProgress: OnProgress,
  ) => ResultOf<Name> | Promise<ResultOf<Name>>;
} = {
  read: readJob,
  font: fontJob,
  report: reportJob,
  style: styleJob,
  styleFile: styleFileJob,
  tag: tagJob,
  shrink: shrinkJob,
  draw: drawJob,
  pictures: picturesJob,
  screens: screensJob,
  build,
  prove,
};
