import { Button } from '@mui/material';
import { zip, type AsyncZippable } from 'fflate';
import { useSnackbar } from 'notistack';
import { useState } from 'react';
import type { PlannedPicture } from '../../server/pictureTypes';
import { sentence } from '../shared/request';
import { saveBlob } from '../shared/saveBlob';
import { plannedFileAddress } from './addresses';

interface WriteButtonProps {
  readonly mockupId: string;
  readonly project: string;
  readonly mark: string | null;
  readonly pictures: readonly PlannedPicture[];
  /** True when they were chosen from all. */
  readonly isPart: boolean;
}

/** Writes the files of pictures alone, in their folders, as a ZIP. */
export function WriteButton({ mockupId, project, mark, pictures, isPart }: WriteButtonProps) {
  const { enqueueSnackbar } = useSnackbar();
  const [isRunning, setRunning] = useState(false);
  const isReady = mark !== null && pictures.length > 0 && !isRunning;
  const write = async () => {
    if (mark === null) return;
    setRunning(true);
    try {
      const files: AsyncZippable = {};
      for (const { path } of pictures.flatMap((each) => each.files)) {
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
      {isPart ? `Write ${pictures.length} pictures` : 'Write all pictures'}
    </Button>
  );
}

function zipped(files: AsyncZippable): Promise<Uint8Array<ArrayBuffer>> {
  return new Promise((resolve, reject) => {
    zip(files, (error, bytes) => (error ? reject(error) : resolve(new Uint8Array(bytes))));
  });
}
