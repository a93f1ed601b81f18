/**
 * Runs one request at a time. Requests made meanwhile replace each other, and only the newest runs
 * afterwards, so that they never pile up.
 * @param give takes each answer; `isLast` is false when another request waits
 */
export function latestOnly<Request, Answer>(
  ask: (request: Request) => Promise<Answer>,
  give: (answer: Answer, isLast: boolean) => void,
): (request: Request) => void {
  let next: { readonly request: Request } | null = null;
  let isAsking = false;
  const go = async () => {
    isAsking = true;
    try {
      for (let now = next; now; now = next) {
        next = null;
        const answer = await ask(now.request);
        give(answer, next === null);
      }
    } finally {
      isAsking = false;
    }
  };
  return (request) => {
    next = { request };
    if (!isAsking) void go();
  };
}
