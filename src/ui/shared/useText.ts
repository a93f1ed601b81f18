import { skipToken, useQuery } from '@tanstack/react-query';
import { sentence } from './request';

interface LoadedText {
  readonly text: string | null;
  readonly problem: string | null;
}

/** The text at a URL; null for no URL. */
export function useText(address: string | null): LoadedText {
  const { data, error } = useQuery({
    queryKey: ['text', address],
    queryFn: address === null ? skipToken : () => load(address),
  });
  return { text: data ?? null, problem: error && sentence(error) };
}

async function load(address: string): Promise<string> {
  const response = await fetch(address).catch(() => {
    throw new Error('The file could not be loaded; check that Orden is running.');
  });
  if (!response.ok) throw new Error('The file could not be loaded.');
  return response.text();
}
