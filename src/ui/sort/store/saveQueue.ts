import { RequestError, sentence } from '../../shared/request';

const RETRY_MS = 1000;
/** Statuses that pass: unreachable, failed, overloaded. */
const PASSING: ReadonlySet<number> = new Set([0, 500, 502, 503, 504]);

/** What a queue tells its owner. */
interface SaveQueueEvents<Sent, Answer> {
  /** The server is unreachable; the queue tries again. */
  readonly onOffline: () => void;
  /** @param since what was sent after this save: it is newer than the answer */
  readonly onSaved: (answer: Answer, since: readonly Sent[]) => void;
  /** @param problem one sentence for people; the save is given up */
  readonly onFailed: (problem: string) => void;
  /** @param pending the number of saves under way or waiting */
  readonly onPending: (pending: number) => void;
}

interface SaveQueue<Sent, Answer> {
  /** Adds a save; saves run one after the other, in this order. */
  readonly add: (save: () => Promise<Answer>, sent?: readonly Sent[]) => void;
  /** The number of saves added so far. */
  readonly added: () => number;
}

/** Saves one after the other, and keeps trying while the server is unreachable. */
export function createSaveQueue<Sent, Answer>(
  events: SaveQueueEvents<Sent, Answer>,
  retryMs = RETRY_MS,
): SaveQueue<Sent, Answer> {
  const unconfirmed: (readonly Sent[])[] = [];
  let added = 0;
  let last: Promise<void> = Promise.resolve();
  const run = async (save: () => Promise<Answer>) => {
    try {
      const answer = await retryWhileOffline(save, events.onOffline, retryMs);
      events.onSaved(answer, unconfirmed.slice(1).flat());
    } catch (error) {
      events.onFailed(sentence(error));
    }
    unconfirmed.shift();
    events.onPending(unconfirmed.length);
  };
  return {
    add(save, sent = []) {
      unconfirmed.push(sent);
      added += 1;
      events.onPending(unconfirmed.length);
      last = last.then(() => run(save));
    },
    added: () => added,
  };
}

async function retryWhileOffline<T>(
  work: () => Promise<T>,
  onFailure: () => void,
  retryMs: number,
): Promise<T> {
  for (;;) {
    try {
      return await work();
    } catch (error) {
      if (!(error instanceof RequestError) || !PASSING.has(error.status)) throw error;
      onFailure();
      await new Promise((resolve) => setTimeout(resolve, retryMs));
    }
  }
}
