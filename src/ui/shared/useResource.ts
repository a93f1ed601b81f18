import { useQuery } from '@tanstack/react-query';
import { useCallback } from 'react';
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
  const { data, error, refetch } = useQuery<T>({
    queryKey: [address],
    queryFn: () => {
      const primed = primedResponses.get(address) as T | undefined;
      primedResponses.delete(address);
      return primed ?? request<T>(address);
    },
  });
  const reload = useCallback(() => void refetch(), [refetch]);
  return { data: data ?? null, problem: error && sentence(error), reload };
}
