/** Runs works one after the other, whatever becomes of those before: a later one is never overtaken. */
export function inOrder(): <Answer>(work: () => Promise<Answer>) => Promise<Answer> {
  let last: Promise<unknown> = Promise.resolve();
  return (work) => {
    const now = last.then(work, work);
    last = now;
    return now;
  };
}
