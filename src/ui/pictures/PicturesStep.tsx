'use client';
import { Box, Button, Skeleton, Typography } from '@mui/material';
import { useState } from 'react';
import type { PlannedPicture, PlannedSharedFile } from '../../server/pictureTypes';
import { bytesText } from '../shared/bytesText';
import { FindField } from '../shared/FindField';
import { ListAndDetail } from '../shared/DetailPane';
import { hasWords } from '../shared/hasWords';
import { StepFrame } from '../shared/StepFrame';
import { FileTable } from './FileTable';
import { PicturePane } from './PicturePane';
import { RecipeDialog } from './RecipeDialog';
import { ScreensDialog } from './ScreensDialog';
import { useFileBytes } from './useFileBytes';
import { WriteButton } from './WriteButton';
import { usePictures } from './usePictures';

/** The Pictures step: every file before it is written, and how its picture is made. */
export function PicturesStep({ mockupId }: { readonly mockupId: string }) {
  const pictures = usePictures(mockupId);
  const { opened, list, recipes } = pictures;
  const [words, setWords] = useState('');
  const [ticked, setTicked] = useState<readonly string[]>([]);
  const [shown, setShown] = useState<string | null>(null);
  const [dialog, setDialog] = useState<'recipes' | 'screens' | null>(null);
  const all = list?.pictures ?? [];
  const found = picturesFound(all, words);
  const shared = list?.shared ?? [];
  const paths = [...all, { files: shared }].flatMap(({ files }) => files.map(({ path }) => path));
  const bytes = useFileBytes(mockupId, list?.mark ?? null, paths);
  const current = all.find(({ name }) => name === shown) ?? found[0];
  const chosen = all.filter(({ name }) => ticked.includes(name));
  const sum = [...bytes.values()].reduce<number>((total, each) => total + (each?.bytes ?? 0), 0);
  const problems = all.filter((each) => each.problems.length > 0).length;
  return (
    <>
      <StepFrame
        step="pictures"
        title={opened?.project ?? 'Pictures'}
        mockupId={mockupId}
        opened={opened}
        history={pictures}
        problem={pictures.problem}
        tools={
          <>
            <FindField label="Find a picture" value={words} onChange={setWords} />
            <Typography noWrap role="status" sx={{ fontSize: 12.5, color: 'text.secondary', flex: 1 }}>
              {list &&
                `${all.length} pictures, ${paths.length} files, ${bytesText(sum)}${
                  bytes.size < paths.length ? ` so far: ${bytes.size} of ${paths.length} drawn` : ''
                }${problems === 0 ? '' : `; ${problems} with a problem`}`}
            </Typography>
            <WriteButton
              mockupId={mockupId}
              project={opened?.project ?? 'pictures'}
              mark={list?.mark ?? null}
              paths={chosen.length > 0 ? pathsOf(chosen, shared) : paths}
              chosen={chosen.length}
            />
            <Button color="inherit" onClick={() => setDialog('recipes')}>
              Recipes…
            </Button>
            <Button color="inherit" onClick={() => setDialog('screens')} disabled={!opened}>
              Whole screens…
            </Button>
          </>
        }
      >
        {!list && !pictures.problem && (
          <Box role="status" aria-label="Finding the pictures" sx={{ p: 1.5, display: 'grid', gap: 1 }}>
            {Array.from({ length: 10 }, (_, at) => (
              <Skeleton key={at} variant="rectangular" height={40} />
            ))}
          </Box>
        )}
        {list && opened && (
          <ListAndDetail
            list={
              <FileTable
                mockupId={mockupId}
                mark={list.mark}
                pictures={found}
                shared={words === '' ? shared : []}
                bytes={bytes}
                ticked={ticked}
                onTick={setTicked}
                shown={current?.name ?? null}
                onShow={setShown}
              />
            }
            detail={
              current && (
                <PicturePane
                  key={current.name}
                  mockupId={mockupId}
                  mark={list.mark}
                  of={current}
                  chosen={chosen}
                  opened={opened}
                  state={pictures}
                />
              )
            }
          />
        )}
      </StepFrame>
      {dialog === 'recipes' && (
        <RecipeDialog
          recipes={recipes.recipes}
          onKeep={pictures.keepRecipes}
          onClose={() => setDialog(null)}
        />
      )}
      {dialog === 'screens' && opened && (
        <ScreensDialog mockupId={mockupId} opened={opened} onClose={() => setDialog(null)} />
      )}
    </>
  );
}

/** The files of some pictures, with those that they share with others. */
function pathsOf(
  pictures: readonly PlannedPicture[],
  shared: readonly PlannedSharedFile[],
): readonly string[] {
  const names = new Set(pictures.map(({ name }) => name));
  const own = pictures.flatMap(({ files }) => files.map(({ path }) => path));
  return [
    ...own,
    ...shared.filter((file) => file.pictures.some((name) => names.has(name))).map(({ path }) => path),
  ];
}

function picturesFound(pictures: readonly PlannedPicture[], words: string): readonly PlannedPicture[] {
  const sorted = pictures.toSorted((one, other) => one.name.localeCompare(other.name));
  return sorted.filter(({ name, reason, files, layers, problems, soft }) => {
    const text = [
      name,
      reason,
      ...files.map(({ path }) => path),
      ...layers.map(({ title }) => title),
      ...problems,
      ...(problems.length > 0 ? ['problem'] : []),
      ...(soft.length > 0 ? ['soft'] : []),
    ];
    return hasWords(text.join(' '), words);
  });
}
