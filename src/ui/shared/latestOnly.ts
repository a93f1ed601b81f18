/**
 * Asks one thing at a time: what is wished for while an answer is on its way is asked for afterwards, and only the last
 * of it, so that quick wishes never pile up.
 * @param give takes each answer; `isLast` is false where another one is asked for already
 */
export function latestOnly<Wish, Answer>(
  ask: (wish: Wish) => Promise<Answer>,
  give: (answer: Answer, isLast: boolean) => void,
): (wish: Wish) => void {
  let next: { readonly wish: Wish } | null = null;
  let isAsking = false;
  const go = async () => {
    isAsking = true;
    try {
      for (let now = next; now; now = next) {
        next = null;
        const answer = await ask(now.wish);
        give(answer, next === null);
      }
    } finally {
      isAsking = false;
    }
  };
  return (wish) => {
    next = { wish };
    if (!isAsking) void go();
  };
}
