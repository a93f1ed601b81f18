import { useSnackbar } from 'notistack';
import { useState } from 'react';
import { request, sentence } from '../shared/request';

/** Adds a font file and has the mockup read again with it. */
export function useFontAdding(again: string, onRead: () => void) {
  const { enqueueSnackbar } = useSnackbar();
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const add = async (file: File) => {
    setBusy(true);
    setProblem(null);
    try {
      const address = `/api/fonts?name=${encodeURIComponent(file.name)}`;
      const { family, weight } = await request<{ family: string; weight: number }>(address, {
        method: 'POST',
        body: file,
      });
      await request(again, { method: 'POST' });
      enqueueSnackbar(`${family}, weight ${weight}, was added and the mockup read anew.`);
      onRead();
    } catch (error) {
      setProblem(`${file.name}: ${sentence(error)}`);
    }
    setBusy(false);
  };
  return { add: (file: File) => void add(file), busy, problem };
}
