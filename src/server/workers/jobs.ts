import type { OnProgress } from '../../core/read/reading';
import type { ReadWithPicture } from '../../engine/readWithPicture';
import { fontJob, type FontJob, type FontOutput } from './fontJob';
import { build, type BuildJob, type BuildOutput } from './buildJob';
import { prove, type ProofJob, type ProofOutput } from './proofJob';
import { readJob, type ReadJob } from './readJob';

/** The jobs of a worker, with their results. */
interface JobTypes {
  readonly read: { readonly job: ReadJob; readonly result: ReadWithPicture };
  readonly font: { readonly job: FontJob; readonly result: FontOutput };
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
} = { read: readJob, font: fontJob, build, prove };
