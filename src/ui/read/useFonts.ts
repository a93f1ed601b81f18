import { useSnackbar } from 'notistack';
import { useState } from 'react';
import type { AddedFont } from '../../server/useCases/fonts';
import { request, sentence } from '../shared/request';

export interface FontActions {
  readonly add: (file: File) => void;
  readonly remove: (font: AddedFont) => void;
  /** True while the file is read again. */
  readonly busy: boolean;
  readonly problem: string | null;
}

/**
 * Adds and removes font files, and has the mockup read again with what there is then.
 * @param owner the project, or the reading on the way to the shelf
 * @param again the address that reads the mockup again
 */
export function useFonts(owner: string | undefined, again: string, onRead: () => void): FontActions {
  const { enqueueSnackbar } = useSnackbar();
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const change = async (fileName: string, work: () => Promise<string>) => {
    setBusy(true);
    setProblem(null);
    try {
      const done = await work();
      await request(again, { method: 'POST' });
      enqueueSnackbar(done);
      onRead();
    } catch (error) {
      setProblem(`${fileName}: ${sentence(error)}`);
    }
    setBusy(false);
  };
  const address = (rest: string) => `/api/fonts?owner=${owner ?? ''}&${rest}`;
  return {
    busy,
    problem,
    add: (file) =>
      void change(file.name, async () => {
        const { family, weight } = await request<AddedFont>(
          address(`name=${encodeURIComponent(file.name)}`),
          {
            method: 'POST',
            body: file,
          },
        );
        return `${family}, weight ${weight}, was added and the mockup read anew.`;
      }),
    remove: ({ digest, fileName, family }) =>
      void change(fileName, async () => {
        await request(address(`digest=${digest}`), { method: 'DELETE' });
        return `${family} was removed and the mockup read anew.`;
      }),
  };
}
