'use client';
import { Alert, Box, List, ListItemButton, ListItemText } from '@mui/material';
import { useEffect, useState } from 'react';
import type { BuildResult } from '../../server/buildTypes';
import type { BuildView } from '../../server/useCases/builds';
import { CodeBlock } from '../shared/CodeBlock';
import { MONO } from '../shared/theme';

/** Every file of the build with its size; code is read here, pictures are shown. */
export function BuiltFiles({ build, result }: { readonly build: BuildView; readonly result: BuildResult }) {
  const [path, setPath] = useState(result.files[0]?.path ?? '');
  return (
    <Box sx={{ flex: 1, minHeight: 0, display: 'grid', gridTemplateColumns: '300px 1fr' }}>
      <List dense aria-label="Files" sx={{ overflow: 'auto', borderRight: 1, borderColor: 'divider', py: 0 }}>
        {result.files.map((file) => (
          <li key={file.path}>
            <ListItemButton selected={file.path === path} onClick={() => setPath(file.path)} sx={{ py: 0 }}>
              <ListItemText
                primary={file.path}
                slotProps={{ primary: { sx: { fontFamily: MONO, fontSize: 12, overflowWrap: 'anywhere' } } }}
              />
              <Box
                component="span"
                sx={{ fontFamily: MONO, fontSize: 11, color: 'text.secondary', pl: 1, whiteSpace: 'nowrap' }}
              >
                {sayBytes(file.size)}
              </Box>
            </ListItemButton>
          </li>
        ))}
      </List>
      <FileView
        key={path}
        address={`/api/builds/${build.id}/files/${path.split('/').map(encodeURIComponent).join('/')}`}
        path={path}
      />
    </Box>
  );
}

function sayBytes(bytes: number): string {
  return bytes < 1000 ? `${bytes} B` : `${(bytes / 1000).toFixed(1)} kB`;
}

function FileView({ address, path }: { readonly address: string; readonly path: string }) {
  const [text, setText] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const isCode = /\.(html|css|json)$/.test(path);
  useEffect(() => {
    if (!isCode) return;
    fetch(address).then(
      async (response) => setText(await response.text()),
      () => setProblem('The file could not be loaded; check that Orden is running.'),
    );
  }, [address, isCode]);
  if (problem) return <Alert severity="error">{problem}</Alert>;
  if (isCode) return <CodeBlock title={path} code={text ?? ''} />;
  if (!/\.(png|svg)$/.test(path)) return <Box sx={{ p: 2 }}>{path} goes along with the page.</Box>;
  return (
    <Box sx={{ p: 2, overflow: 'auto' }}>
      <Box
        component="img"
        src={address}
        alt={path}
        sx={{ maxWidth: '100%', bgcolor: '#fff', boxShadow: '0 0 0 1px rgb(0 0 0 / 18%)' }}
      />
    </Box>
  );
}
