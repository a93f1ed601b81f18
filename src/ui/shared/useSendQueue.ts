import { useRef, useState } from 'react';
import { inOrder } from './inOrder';
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
  const [run] = useState(inOrder);
  const count = useRef(0);
  const send = (work: () => Promise<unknown>) => {
    count.current += 1;
    void run(async () => {
      setRefused(null);
      await work().catch((error: unknown) => setRefused(sentence(error)));
      count.current -= 1;
      if (count.current === 0) onSettled();
    });
  };
  return { send, refused };
}
