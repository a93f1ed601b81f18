import { Button } from '@mui/material';
import { zip, type AsyncZippable } from 'fflate';
import { useSnackbar } from 'notistack';
import { useState } from 'react';
import { sentence } from '../shared/request';
import { saveBlob } from '../shared/saveBlob';
import { plannedFileAddress } from './addresses';

interface WriteButtonProps {
  readonly mockupId: string;
  readonly project: string;
  readonly mark: string | null;
  readonly paths: readonly string[];
  /** How many pictures they belong to; 0 for all. */
  readonly chosen: number;
}

/** Writes the files of pictures alone, in their folders, as a ZIP. */
export function WriteButton({ mockupId, project, mark, paths, chosen }: WriteButtonProps) {
  const { enqueueSnackbar } = useSnackbar();
  const [isRunning, setRunning] = useState(false);
  const isReady = mark !== null && paths.length > 0 && !isRunning;
  const write = async () => {
    if (mark === null) return;
    setRunning(true);
    try {
      const files: AsyncZippable = {};
      for (const path of paths) {
        const response = await fetch(plannedFileAddress(mockupId, path, mark));
        if (!response.ok) throw new Error(`${path} could not be drawn.`);
        files[path] = [new Uint8Array(await response.arrayBuffer()), { level: 0 }];
      }
      saveBlob(new Blob([await zipped(files)], { type: 'application/zip' }), `${project}-pictures.zip`);
    } catch (error) {
      enqueueSnackbar(sentence(error), { variant: 'error' });
    } finally {
      setRunning(false);
    }
  };
  return (
    <Button
      color="inherit"
      aria-disabled={!isReady}
      onClick={() => isReady && void write()}
      title="The files alone, in their folders; they go over those of the same names"
    >
      {chosen > 0 ? `Write ${chosen} ${chosen === 1 ? 'picture' : 'pictures'}` : 'Write all pictures'}
    </Button>
  );
}

function zipped(files: AsyncZippable): Promise<Uint8Array<ArrayBuffer>> {
  return new Promise((resolve, reject) => {
    zip(files, (error, bytes) => (error ? reject(error) : resolve(new Uint8Array(bytes))));
  });
}
