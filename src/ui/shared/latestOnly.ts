/**
 * Asks one thing at a time: what is wished for while an answer is on its way is asked for afterwards, and only the last
 * of it, so that quick wishes never pile up.
 */
export function latestOnly<Wish, Answer>(
  ask: (wish: Wish) => Promise<Answer>,
  give: (answer: Answer) => void,
): (wish: Wish) => void {
  let next: { readonly wish: Wish } | null = null;
  let isAsking = false;
  const go = async () => {
    isAsking = true;
    try {
      for (let now = next; now; now = next) {
        next = null;
        give(await ask(now.wish));
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
