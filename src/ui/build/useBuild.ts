import { useEffect, useState } from 'react';
import type { BuildChoice } from './BuildOptions';
import type { BuildView } from '../../server/useCases/builds';
import { postJson, request, sentence } from '../shared/request';

const BETWEEN_LOOKS_MS = 300;

interface Building {
  readonly build: BuildView | null;
  readonly problem: string | null;
  /** All known builds, the newest first. */
  readonly builds: readonly BuildView[];
  readonly start: (choice: BuildChoice) => Promise<void>;
  readonly stop: () => Promise<void>;
}

/** The shown build: the newest earlier one, or the one just requested, polled until it ends. */
export function useBuild(mockupId: string, earlier: readonly BuildView[] | null): Building {
  const [ordered, setOrdered] = useState<BuildView | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const build = ordered ?? earlier?.[0] ?? null;
  const [past, setPast] = useState<readonly BuildView[]>([]);
  const builds = [...(ordered ? [ordered] : []), ...past, ...(earlier ?? [])].filter(
    ({ id }, at, all) => all.findIndex((each) => each.id === id) === at,
  );
  const running = build?.state === 'waiting' || build?.state === 'running';
  const id = build?.id;

  useEffect(() => {
    if (!running || id === undefined) return;
    const look = () =>
      request<BuildView>(`/api/builds/${id}`).then(setOrdered, (error: unknown) =>
        setProblem(sentence(error)),
      );
    const timer = setInterval(() => void look(), BETWEEN_LOOKS_MS);
    return () => clearInterval(timer);
  }, [running, id]);

  const attempt = async (work: () => Promise<BuildView>) => {
    setProblem(null);
    try {
      setOrdered(await work());
    } catch (error) {
      setProblem(sentence(error));
    }
  };
  return {
    build,
    problem,
    builds,
    start: (choice) =>
      attempt(async () => {
        if (ordered) setPast([ordered, ...past]);
        const order = await postJson<{ id: string }>(`/api/mockups/${mockupId}/builds`, choice);
        return request<BuildView>(`/api/builds/${order.id}`);
      }),
    stop: () => attempt(() => request<BuildView>(`/api/builds/${id}`, { method: 'DELETE' })),
  };
}
