import { useCallback, useEffect, useState } from 'react';
import { request, sentence } from './request';

export interface Resource<T> {
  readonly data: T | null;
  readonly problem: string | null;
  readonly reload: () => void;
}

/** Responses received with another request, by URL; each is taken once. */
const primedResponses = new Map<string, unknown>();

/** Saves the next view of this URL its request. */
export function primeResource<T>(address: string, data: T): void {
  primedResponses.set(address, data);
}

/** A resource of the server, loaded when the URL changes and on request. */
export function useResource<T>(address: string): Resource<T> {
  const [state, setState] = useState<{ data: T | null; problem: string | null }>(() => ({
    data: (primedResponses.get(address) as T | undefined) ?? null,
    problem: null,
  }));
  const [round, setRound] = useState(0);
  useEffect(() => {
    let wanted = true;
    if (primedResponses.delete(address)) return undefined;
    request<T>(address).then(
      (data) => wanted && setState({ data, problem: null }),
      (error: unknown) => wanted && setState((old) => ({ ...old, problem: sentence(error) })),
    );
    return () => {
      wanted = false;
    };
  }, [address, round]);
  const reload = useCallback(() => setRound((count) => count + 1), []);
  return { ...state, reload };
}
