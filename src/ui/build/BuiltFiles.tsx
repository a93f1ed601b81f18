'use client';
import { Alert, Box, NativeSelect, ListItemButton, ListItemText } from '@mui/material';
import { useState } from 'react';
import type { BuildResult } from '../../server/buildTypes';
import type { BuildView } from '../../server/useCases/builds';
import { FindField } from '../shared/FindField';
import { ArrowList } from '../shared/ArrowList';
import { CodeView } from '../shared/CodeView';
import { MONO } from '../shared/theme';
import { clockWords } from '../shared/timeWords';
import { useText } from '../shared/useText';
import { CompareView } from './CompareView';
import { bytesText } from '../shared/bytesText';
import { hasWords } from '../shared/hasWords';
import { fileAddress, languageOf } from './fileAddress';

interface BuiltFilesProps {
  readonly build: BuildView;
  readonly result: BuildResult;
  readonly earlier: readonly BuildView[];
}

/** A list with more files can be searched. */
const MANY = 12;

/** Every file of the build with its size; shows code and pictures. */
export function BuiltFiles({ build, result, earlier }: BuiltFilesProps) {
  const others = earlier.filter((each) => each.id !== build.id && each.state === 'done');
  const [other, setOther] = useState<BuildView | null>(null);
  const [path, setPath] = useState(result.files[0]?.path ?? '');
  const [words, setWords] = useState('');
  const found = result.files.filter((file) => hasWords(file.path, words));
  return (
    <Box
      sx={{
        flex: 1,
        minHeight: 0,
        display: 'grid',
        gridTemplateColumns: '300px 1fr',
        gridTemplateRows: 'minmax(0, 1fr)',
      }}
    >
      <Box
        sx={{
          minHeight: 0,
          display: 'flex',
          flexDirection: 'column',
          borderRight: 1,
          borderColor: 'divider',
        }}
      >
        {result.files.length > MANY && <FindField label="Find a file" value={words} onChange={setWords} />}
        <ArrowList aria-label="Files" sx={{ flex: 1, overflow: 'auto', py: 0 }}>
          {found.map((file) => (
            <li key={file.path}>
              <ListItemButton
                selected={file.path === path}
                onClick={() => setPath(file.path)}
                onFocus={() => setPath(file.path)}
                sx={{ py: 0 }}
              >
                <ListItemText
                  primary={file.path}
                  slotProps={{
                    primary: { sx: { fontFamily: MONO, fontSize: 12, overflowWrap: 'anywhere' } },
                  }}
                />
                <Box
                  component="span"
                  sx={{
                    fontFamily: MONO,
                    fontSize: 12,
                    color: 'text.secondary',
                    pl: 1,
                    whiteSpace: 'nowrap',
                  }}
                >
                  {bytesText(file.size)}
                </Box>
              </ListItemButton>
            </li>
          ))}
        </ArrowList>
      </Box>
      <Box sx={{ minWidth: 0, minHeight: 0, display: 'flex', flexDirection: 'column' }}>
        {others.length > 0 && (
          <Box sx={{ px: 1, py: 0.5, borderBottom: 1, borderColor: 'divider' }}>
            <NativeSelect
              value={other?.id ?? ''}
              onChange={(event) => setOther(others.find(({ id }) => id === event.target.value) ?? null)}
              inputProps={{ 'aria-label': 'Compare with an earlier build' }}
              sx={{ fontSize: 12 }}
            >
              <option value="">This build</option>
              {others.map((each) => (
                <option key={each.id} value={each.id}>
                  Compare with {clockWords(each.createdAt)} ({each.options.arrangement})
                </option>
              ))}
            </NativeSelect>
          </Box>
        )}
        <Box sx={{ flex: 1, minHeight: 0 }}>
          <FileView key={path} build={build} path={path} against={other} />
        </Box>
      </Box>
    </Box>
  );
}

interface FileViewProps {
  readonly build: BuildView;
  readonly path: string;
  readonly against: BuildView | null;
}

function FileView({ build, path, against }: FileViewProps) {
  const isCode = /\.(html|s?css|json|tsx?|vue|qml|xml)$/.test(path);
  const address = fileAddress(build, path);
  const { text, problem } = useText(isCode ? address : null);
  if (problem) return <Alert severity="error">{problem}</Alert>;
  if (isCode && against)
    return (
      <CompareView
        path={path}
        language={languageOf(path)}
        before={fileAddress(against, path)}
        after={text ?? ''}
      />
    );
  if (isCode) return <CodeView title={path} code={text ?? ''} language={languageOf(path)} />;
  if (!/\.(png|svg|jpg|webp|avif|gif)$/.test(path))
    return <Box sx={{ p: 2 }}>{path} goes along with the page.</Box>;
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
