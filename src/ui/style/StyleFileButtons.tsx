import { Button } from '@mui/material';
import { useSnackbar } from 'notistack';
import { useRef } from 'react';
import type { ImportedStyle } from '../../server/useCases/styleFiles';
import type { StyleFile } from '../../core/style/styleFile';
import { postJson, request, sentence } from '../shared/request';
import { saveBlob } from '../shared/saveBlob';

interface StyleFileButtonsProps {
  readonly mockupId: string;
  readonly project: string;
  readonly onImported: () => void;
}

/** Takes what was said of classes and values away as a file, and brings it in from one. */
export function StyleFileButtons({ mockupId, project, onImported }: StyleFileButtonsProps) {
  const { enqueueSnackbar } = useSnackbar();
  const input = useRef<HTMLInputElement>(null);
  const address = `/api/mockups/${mockupId}/style-file`;
  const take = async () => {
    try {
      const file = await request<StyleFile>(address);
      const text = `${JSON.stringify(file, null, 2)}\n`;
      saveBlob(new Blob([text], { type: 'application/json' }), `${project}.style.json`);
    } catch (error) {
      enqueueSnackbar(sentence(error), { variant: 'error' });
    }
  };
  const bring = async (file: File) => {
    try {
      const said = await postJson<ImportedStyle>(address, parsed(await file.text()));
      const rest = said.refused.length === 0 ? '' : ` Not taken: ${said.refused.slice(0, 3).join(' ')}`;
      enqueueSnackbar(`${said.taken} taken from ${file.name}.${rest}`, {
        variant: said.refused.length === 0 ? 'default' : 'warning',
      });
      onImported();
    } catch (error) {
      enqueueSnackbar(`${file.name}: ${sentence(error)}`, { variant: 'error' });
    }
  };
  return (
    <>
      <Button
        color="inherit"
        onClick={() => void take()}
        title="What was said of classes and values, as a file"
      >
        Export
      </Button>
      <Button
        color="inherit"
        onClick={() => input.current?.click()}
        title="A style file that was exported, or names from Design Tokens"
      >
        Import…
      </Button>
      <input
        ref={input}
        type="file"
        hidden
        accept=".json,application/json"
        aria-label="Style file"
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          event.target.value = '';
          if (file) void bring(file);
        }}
      />
    </>
  );
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    throw new Error('This is no JSON.');
  }
}
