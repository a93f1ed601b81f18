import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { ProofView } from '../../server/useCases/proofs';
import { request, RequestError, sentence } from '../shared/request';

const BETWEEN_LOOKS_MS = 600;

interface Proving {
  /** Null while nothing is known, or there is none. */
  readonly proof: ProofView | null;
  readonly problem: string | null;
  readonly again: () => Promise<void>;
  readonly stop: () => Promise<void>;
}

const isSettled = (proof: ProofView | null | undefined) =>
  proof?.state === 'done' || proof?.state === 'failed' || proof?.state === 'cancelled';

/** The proof of a build, polled until it is done. */
export function useProof(buildId: string): Proving {
  const client = useQueryClient();
  const address = `/api/builds/${buildId}/proof`;
  const queryKey = ['proof', buildId];
  const { data, error } = useQuery({
    queryKey,
    queryFn: () =>
      request<ProofView>(address).catch((error: unknown) => {
        // It is requested shortly after the build is done.
        if (error instanceof RequestError && error.status === 404) return null;
        throw error;
      }),
    refetchInterval: ({ state }) => (isSettled(state.data) ? false : BETWEEN_LOOKS_MS),
  });
  const ordering = useMutation({
    mutationFn: () => request<ProofView>(address, { method: 'POST' }),
    onSuccess: (proof) => client.setQueryData(queryKey, proof),
  });
  const stopping = useMutation({
    mutationFn: () => request<ProofView>(address, { method: 'DELETE' }),
    onSuccess: (proof) => client.setQueryData(queryKey, proof),
  });
  const failure = ordering.error ?? stopping.error ?? error;
  return {
    proof: data ?? null,
    problem: failure && sentence(failure),
    again: () => ordering.mutateAsync().then(ignore, ignore),
    stop: () => stopping.mutateAsync().then(ignore, ignore),
  };
}

function ignore(): void {
  // The mutation keeps its error.
}
