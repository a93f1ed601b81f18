/** The stages that are timed, in order. */
export const STAGES = ['sort', 'pictures', 'page', 'style', 'emit'] as const;
export type Stage = (typeof STAGES)[number];

/** Ms of each stage. */
export type StageTimes = Readonly<Record<Stage, number>>;

/** Counts the ms of stages: a lap ends the one that it names. */
export interface Stopwatch {
  readonly ms: StageTimes;
  readonly lap: (stage: Stage) => void;
}

/** A stopwatch that runs from now. */
export function stopwatch(): Stopwatch {
  const ms: Record<Stage, number> = { sort: 0, pictures: 0, page: 0, style: 0, emit: 0 };
  let last = performance.now();
  return {
    ms,
    lap(stage: Stage) {
      const now = performance.now();
      ms[stage] += now - last;
      last = now;
    },
  };
}
