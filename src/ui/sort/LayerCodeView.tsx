'use client';
import { Box, Typography } from '@mui/material';
import type { LayerKey } from '../../core/mockup/layer';
import type { Screen } from '../../core/mockup/mockup';
import type { Decision } from '../../core/sort/decision';
import { differencesOf, sayDifferences } from '../../core/sort/differences';
import { ArrangementToggle } from '../shared/ArrangementToggle';
import { CodeBlock } from '../shared/CodeBlock';
import { layerLabel } from './layerLabel';
import { layerPath } from './rows';
import { useSort } from './SortContext';
import { TagPanel } from './TagPanel';

/** In what the layer differs from the one whose state it shows, or from the first of those that are built alike. */
function likenessWords(screen: Screen, cursor: LayerKey, { state, repeat }: Decision): string {
  const key = state?.base ?? (repeat && repeat.index > 0 ? repeat.pattern : undefined);
  const own = layerPath(screen, cursor).at(-1);
  const other = key === undefined ? undefined : layerPath(screen, key).at(-1);
  if (!own || !other) return '';
  const said = sayDifferences(differencesOf(own, other));
  const title = layerLabel(other).text;
  return said === '' ? ` It is the same as ${title}.` : ` Against ${title}: ${said}.`;
}

/** The code that the layer under the cursor gives right now, and why it became what it is. */
export function LayerCodeView() {
  const code = useSort((state) => state.given.code);
  const cursor = useSort((state) => state.cursor);
  const decision = useSort((state) => (cursor === null ? undefined : state.settled?.decisions.get(cursor)));
  const arrangement = useSort((state) => state.arrangement);
  const arrangeBy = useSort((state) => state.arrangeBy);
  const screen = useSort((state) => state.screen);
  const likeness = decision ? likenessWords(screen, cursor ?? '', decision) : '';
  const elsewhere = code !== null && code.shown !== null && code.shown !== cursor;
  const nothing = code !== null && code.shown === null;
  return (
    <Box
      sx={{
        display: 'flex',
        flexDirection: 'column',
        height: '100%',
        minHeight: 0,
        bgcolor: 'background.paper',
      }}
    >
      <Box
        sx={{
          display: 'flex',
          alignItems: 'center',
          gap: 2,
          px: 1,
          minHeight: 34,
          borderBottom: 1,
          borderColor: 'divider',
        }}
      >
        <Typography noWrap sx={{ flex: 1, fontSize: 13 }} aria-live="polite">
          {decision && (
            <>
              {decision.reason}.
              {decision.outcome === 'element' && ` Role ${decision.role}: ${decision.roleReason}.`}
              {likeness}
              {elsewhere && ' It is part of the element below.'}
              {nothing && decision.outcome === 'element' && ' It adds nothing of its own, so it has no code.'}
            </>
          )}
        </Typography>
        <ArrangementToggle value={arrangement} onChange={arrangeBy} />
      </Box>
      <Box
        sx={{
          flex: 1,
          minHeight: 0,
          display: 'grid',
          gridTemplateColumns: '5fr 3fr minmax(300px, 4fr)',
          '& > :not(:last-child)': { borderRight: 1, borderColor: 'divider' },
        }}
      >
        <CodeBlock title="HTML" code={code?.markup ?? ''} />
        <CodeBlock title="CSS" code={code?.css ?? ''} />
        <TagPanel />
      </Box>
    </Box>
  );
}
