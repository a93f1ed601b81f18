import { useSnackbar } from 'notistack';
import type { Edited, TagEdit } from '../../server/useCases/editTags';
import { postJson } from './request';
import { useSendQueue, type SendQueue } from './useSendQueue';

export interface Edits extends SendQueue {
  /** Sends a change after those before it, and says in a notice that it is done. */
  readonly sendAndSay: (work: () => Promise<unknown>, done: string) => void;
  /** Changes tags as one edit; only inside of what is sent. */
  readonly edit: (edits: readonly TagEdit[]) => Promise<unknown>;
  readonly undo: () => void;
  readonly redo: () => void;
}

/**
 * Changes of the tags of a mockup, one at a time.
 * @param onSettled called when all of them have been answered
 */
export function useEdits(mockupId: string, onSettled: () => void): Edits {
  const address = `/api/mockups/${mockupId}`;
  const { enqueueSnackbar } = useSnackbar();
  const { send, refused } = useSendQueue(onSettled);
  const sendAndSay = (work: () => Promise<unknown>, done: string) =>
    send(async () => {
      await work();
      enqueueSnackbar(done);
    });
  return {
    send,
    refused,
    sendAndSay,
    edit: (edits) => postJson<Edited>(`${address}/edits`, { edits }),
    undo: () => sendAndSay(() => postJson(`${address}/undo`, {}), 'Undone.'),
    redo: () => sendAndSay(() => postJson(`${address}/redo`, {}), 'Done again.'),
  };
}
