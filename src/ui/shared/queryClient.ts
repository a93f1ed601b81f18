import { QueryClient } from '@tanstack/react-query';

/** Views ask the server anew whenever they open, since other people and windows change what it has. */
export function createQueryClient(): QueryClient {
  return new QueryClient({
    defaultOptions: {
      queries: { retry: false, gcTime: 0, staleTime: 0, refetchOnWindowFocus: false, networkMode: 'always' },
    },
  });
}
