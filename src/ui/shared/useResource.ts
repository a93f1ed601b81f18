import { useCallback, useEffect, useState } from 'react';
import { request, sentence } from './request';

export interface Resource<T> {
  readonly data: T | null;
  readonly problem: string | null;
  readonly reload: () => void;
}

/** What the server has said already in answer to something else, by address; taken once. */
const foreknown = new Map<string, unknown>();

/** Spares the next view of this address its request. */
export function foreknow<T>(address: string, data: T): void {
  foreknown.set(address, data);
}

/** Something from the server, loaded when the address changes and on request. */
export function useResource<T>(address: string): Resource<T> {
  const [state, setState] = useState<{ data: T | null; problem: string | null }>(() => ({
    data: (foreknown.get(address) as T | undefined) ?? null,
    problem: null,
  }));
  const [round, setRound] = useState(0);
  useEffect(() => {
    let wanted = true;
    if (foreknown.delete(address)) return undefined;
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
