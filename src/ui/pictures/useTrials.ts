import { useEffect, useState } from 'react';
import type { TrialFormat } from '../../core/pictures/trialFormats';
import type { Trial } from '../../engine/pictures/trials';
import { request, sentence } from '../shared/request';

/** What came of the trials so far: one is made after the other. */
export interface Trials {
  readonly done: readonly Trial[];
  readonly problem: string | null;
}

/** Tries formats on a picture at a scale. Leaving ends the work. */
export function useTrials(
  mockupId: string,
  picture: string,
  scale: number,
  formats: readonly TrialFormat[],
): Trials {
  const wanted = JSON.stringify([picture, scale, formats]);
  const [known, setKnown] = useState<Trials & { readonly of: string }>({ of: '', done: [], problem: null });
  useEffect(() => {
    const stop = new AbortController();
    const [name, at, all] = JSON.parse(wanted) as [string, number, TrialFormat[]];
    const work = async () => {
      const done: Trial[] = [];
      for (const format of all) {
        const query = new URLSearchParams({ picture: name, format, scale: String(at) });
        try {
          done.push(
            await request<Trial>(`/api/mockups/${mockupId}/trial?${query.toString()}`, {
              signal: stop.signal,
            }),
          );
        } catch (error) {
          if (!stop.signal.aborted) setKnown({ of: wanted, done, problem: sentence(error) });
          return;
        }
        if (stop.signal.aborted) return;
        setKnown({ of: wanted, done: [...done], problem: null });
      }
    };
    void work();
    return () => stop.abort();
  }, [mockupId, wanted]);
  return known.of === wanted ? known : NOTHING;
}

const NOTHING: Trials = { done: [], problem: null };
