import { useCallback, useEffect, useState } from 'react';
import { request, sentence } from './request';

export interface Resource<T> {
  readonly data: T | null;
  readonly problem: string | null;
  readonly reload: () => void;
}

/** Something from the server, loaded when the address changes and on request. */
export function useResource<T>(address: string): Resource<T> {
  const [state, setState] = useState<{ data: T | null; problem: string | null }>({
    data: null,
    problem: null,
  });
  const [round, setRound] = useState(0);
  useEffect(() => {
    let wanted = true;
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
