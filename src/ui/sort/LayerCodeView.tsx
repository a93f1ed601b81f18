'use client';
import { Box, Typography } from '@mui/material';
import type { LayerId } from '../../core/mockup/layer';
import type { Screen } from '../../core/mockup/mockup';
import type { Explanation } from '../../core/page/explain';
import type { Decision } from '../../core/sort/decision';
import { differencesOf, sayDifferences } from '../../core/sort/differences';
import { ArrangementToggle } from '../shared/ArrangementToggle';
import { CodeBlock } from '../shared/CodeBlock';
import { layerLabel } from '../../core/look/layerLabel';
import { LayoutChoices } from './LayoutChoices';
import { layerPath } from './rows';
import { useSort } from './SortContext';
import { TagPanel } from './TagPanel';

/** The differences between the layer and its base state, or the first of its repeat. */
function likenessWords(screen: Screen, cursor: LayerId, { state, repeat }: Decision): string {
  const key = state?.base ?? (repeat && repeat.index > 0 ? repeat.pattern : undefined);
  const own = layerPath(screen, cursor).at(-1);
  const other = key === undefined ? undefined : layerPath(screen, key).at(-1);
  if (!own || !other) return '';
  const said = sayDifferences(differencesOf(own, other));
  const title = layerLabel(other).text;
  return said === '' ? ` It is the same as ${title}.` : ` Compared with “${title}”: ${said}.`;
}

/** The code of the layer under the cursor, and the reason for its outcome. */
export function LayerCodeView() {
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
          <Why />
        </Typography>
        <ArrangementChoice />
      </Box>
      <Explanations />
      <LayoutChoices />
      <Box
        sx={{
          flex: 1,
          minHeight: 0,
          display: 'grid',
          gridTemplateColumns: '4fr 3fr minmax(330px, 6fr)',
          '& > :not(:last-child)': { borderRight: 1, borderColor: 'divider' },
        }}
      >
        <Code at={0} />
        <Code at={1} />
        <TagPanel />
      </Box>
    </Box>
  );
}

/** The reason for the outcome of the layer under the cursor. */
function Why() {
  const screen = useSort((state) => state.screen);
  const cursor = useSort((state) => state.cursor);
  const code = useSort((state) => state.code.code);
  const decision = useSort((state) => (cursor === null ? undefined : state.result?.decisions.get(cursor)));
  if (!decision) return null;
  const elsewhere = code !== null && code.shown !== null && code.shown !== cursor;
  const nothing = code !== null && code.shown === null;
  return (
    <>
      {decision.reason}.{decision.outcome === 'element' && ` Role ${decision.role}: ${decision.roleReason}.`}
      {likenessWords(screen, cursor ?? '', decision)}
      {elsewhere && ' Drawn by the element shown in the code below.'}
      {nothing && decision.outcome === 'element' && ' It adds nothing of its own, so it has no code.'}
    </>
  );
}

/** Why the layer's element is as it is: what was merged into it, and its layout. */
function Explanations() {
  const explanations = useSort((state) => state.code.explanations);
  const screen = useSort((state) => state.screen);
  if (explanations.length === 0) return null;
  return (
    <Box
      component="ul"
      aria-label="Reasons for the element"
      tabIndex={0}
      sx={{
        m: 0,
        px: 1,
        py: 0.5,
        maxHeight: 64,
        overflowY: 'auto',
        listStyle: 'none',
        fontSize: 12.5,
        color: 'text.secondary',
        borderBottom: 1,
        borderColor: 'divider',
        columnWidth: 420,
      }}
    >
      {explanations.map((each, at) => (
        <li key={at}>{explanationWords(each, screen)}</li>
      ))}
    </Box>
  );
}

function explanationWords({ sentence, layers }: Explanation, screen: Screen): string {
  const labels = layers.flatMap((id) => {
    const layer = layerPath(screen, id).at(-1);
    return layer ? [layerLabel(layer).text] : [];
  });
  return labels.length === 0 ? sentence : `${sentence} From: ${labels.join(', ')}.`;
}

function ArrangementChoice() {
  const arrangement = useSort((state) => state.arrangement);
  const arrangeBy = useSort((state) => state.arrangeBy);
  return <ArrangementToggle value={arrangement} onChange={arrangeBy} />;
}

/** One part of the layer's code. */
function Code({ at }: { readonly at: number }) {
  const part = useSort((state) => state.code.code?.parts[at]);
  return (
    <CodeBlock
      title={part?.title ?? ''}
      code={part?.code ?? ''}
      language={part?.language ?? 'text'}
      none={part ? 'Nothing of its own here.' : ''}
    />
  );
}
