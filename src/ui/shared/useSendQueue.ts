import { useRef, useState } from 'react';
import { sentence } from './request';

export interface SendQueue {
  /** Sends a change after those before it. */
  readonly send: (work: () => Promise<unknown>) => void;
  /** Why the last change was refused; null for none. */
  readonly refused: string | null;
}

/**
 * Sends changes one at a time, so that a later one is never overtaken.
 * @param onSettled called when all of them have been answered
 */
export function useSendQueue(onSettled: () => void): SendQueue {
  const [refused, setRefused] = useState<string | null>(null);
  const sending = useRef({ count: 0, last: Promise.resolve() });
  const send = (work: () => Promise<unknown>) => {
    const now = sending.current;
    now.count += 1;
    now.last = now.last.then(async () => {
      setRefused(null);
      await work().catch((error: unknown) => setRefused(sentence(error)));
      now.count -= 1;
      if (now.count === 0) onSettled();
    });
  };
  return { send, refused };
}
