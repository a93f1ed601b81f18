import { Box, Button, Typography } from '@mui/material';
import type { LayoutCandidate } from '../../core/page/layoutCandidates';
import { CONTENTS_WORDS } from '../../core/sort/facets/contents';
import { useSort } from './SortContext';

/** The layouts that the parts of the layer under the cursor could have, with what each costs; one press chooses. */
export function LayoutChoices() {
  const cursor = useSort((state) => state.cursor);
  const candidates = useSort((state) => state.code.candidates);
  const isSaid = useSort((state) => cursor !== null && state.tags.get(cursor)?.contents !== undefined);
  const setEach = useSort((state) => state.setEach);
  const clear = useSort((state) => state.clear);
  if (cursor === null || candidates.length === 0) return null;
  return (
    <Box
      role="group"
      aria-label="Layouts of its parts"
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        alignItems: 'center',
        columnGap: 0.5,
        px: 1,
        borderBottom: 1,
        borderColor: 'divider',
      }}
    >
      <Typography sx={{ fontSize: 12.5, color: 'text.secondary', mr: 0.5 }}>Its parts</Typography>
      {candidates.map((candidate) => (
        <Button
          key={candidate.contents}
          size="small"
          color={candidate.isChosen ? 'primary' : 'inherit'}
          aria-pressed={candidate.isChosen}
          onClick={() => setEach('contents', new Map([[cursor, candidate.contents]]))}
          sx={{ fontSize: 12.5, fontWeight: candidate.isChosen ? 600 : 400, py: 0, textAlign: 'start' }}
        >
          {CONTENTS_WORDS[candidate.contents]}
          <Box component="span" sx={{ color: 'text.secondary', fontWeight: 400, ml: 0.75 }}>
            {costWords(candidate)}
          </Box>
        </Button>
      ))}
      {isSaid && (
        <Button
          size="small"
          color="inherit"
          onClick={() => clear('contents', [cursor])}
          title="Let Orden choose"
          sx={{ fontSize: 12.5, py: 0 }}
        >
          Automatic
        </Button>
      )}
    </Box>
  );
}

function costWords({ numbers, moved, farthest }: LayoutCandidate): string {
  const said = numbers === 1 ? '1 number' : `${numbers} numbers`;
  return moved === 0 ? said : `${said}, moves ${moved} by up to ${Math.round(farthest)} px`;
}
