import { skipToken, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { ConvertOptions } from '../../core/convert';
import type { TargetName } from '../../core/emit/targets';
import type { BuildView } from '../../server/useCases/builds';
import { postJson, request, sentence } from '../shared/request';

const BETWEEN_LOOKS_MS = 300;

interface Building {
  readonly build: BuildView | null;
  readonly problem: string | null;
  /** All known builds of the target, the newest first. */
  readonly builds: readonly BuildView[];
  readonly start: (options: ConvertOptions) => void;
  readonly stop: () => void;
}

const isRunning = (build: BuildView | null | undefined) =>
  build?.state === 'waiting' || build?.state === 'running';

/** The shown build of a target: the newest earlier one, or the one just requested, polled until it ends. */
export function useBuild(
  mockupId: string,
  earlier: readonly BuildView[] | null,
  target: TargetName,
): Building {
  const client = useQueryClient();
  const [ordered, setOrdered] = useState<readonly BuildView[]>([]);
  const known = [...ordered, ...(earlier ?? [])].filter(
    ({ id }, at, all) => all.findIndex((each) => each.id === id) === at,
  );
  const own = known.filter(({ options }) => options.target === target);
  const newest = own[0];
  const keyOf = (id: string | undefined) => ['build', id];
  const looked = useQuery({
    queryKey: keyOf(newest?.id),
    queryFn: newest && isRunning(newest) ? () => request<BuildView>(`/api/builds/${newest.id}`) : skipToken,
    refetchInterval: ({ state }) => (state.data && !isRunning(state.data) ? false : BETWEEN_LOOKS_MS),
  });
  const starting = useMutation({
    mutationFn: async (options: ConvertOptions) => {
      const { ids } = await postJson<{ ids: readonly string[] }>(`/api/mockups/${mockupId}/builds`, options);
      return Promise.all(ids.map((id) => request<BuildView>(`/api/builds/${id}`)));
    },
    onSuccess: (started) => setOrdered((all) => [...started, ...(looked.data ? [looked.data] : []), ...all]),
  });
  const stopping = useMutation({
    mutationFn: (id: string) => request<BuildView>(`/api/builds/${id}`, { method: 'DELETE' }),
    onSuccess: (build) => client.setQueryData(keyOf(build.id), build),
  });
  const build = looked.data ?? newest ?? null;
  const failure = starting.error ?? stopping.error ?? looked.error;
  return {
    build,
    problem: failure && sentence(failure),
    builds: own.map((each) => (each.id === build?.id ? build : each)),
    start: starting.mutate,
    stop: () => build && stopping.mutate(build.id),
  };
}
