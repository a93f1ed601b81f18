import { useEffect, useState } from 'react';
import type { ProofView } from '../../server/useCases/proofs';
import { request, RequestError, sentence } from '../shared/request';

const BETWEEN_LOOKS_MS = 600;

interface Proving {
  /** Null while nothing is known, or there is none. */
  readonly proof: ProofView | null;
  readonly problem: string | null;
  readonly again: () => Promise<void>;
}

/** The proof of a build, polled until it is done. */
export function useProof(buildId: string): Proving {
  const [proof, setProof] = useState<ProofView | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const address = `/api/builds/${buildId}/proof`;
  const isSettled = proof?.state === 'done' || proof?.state === 'failed';

  useEffect(() => {
    if (isSettled) return;
    const look = () =>
      request<ProofView>(address).then(
        (found) => {
          setProblem(null);
          setProof(found);
        },
        (error: unknown) => {
          // It is requested shortly after the build is done.
          if (!(error instanceof RequestError && error.status === 404)) setProblem(sentence(error));
        },
      );
    void look();
    const timer = setInterval(() => void look(), BETWEEN_LOOKS_MS);
    return () => clearInterval(timer);
  }, [address, isSettled]);

  const again = async () => {
    try {
      setProof(await request<ProofView>(address, { method: 'POST' }));
    } catch (error) {
      setProblem(sentence(error));
    }
  };
  return { proof, problem, again };
}
