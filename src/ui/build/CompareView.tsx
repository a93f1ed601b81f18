'use client';
import type { CodeLanguage } from '../../core/emit/target';
import { MergeView } from '@codemirror/merge';
import { Alert, Box, Typography } from '@mui/material';
import { useEffect, useRef } from 'react';
import { readingExtensions } from '../shared/CodeView';
import { useText } from '../shared/useText';

interface CompareViewProps {
  readonly path: string;
  readonly language: CodeLanguage;
  /** URL of the same file in the earlier build. */
  readonly before: string;
  readonly after: string;
}

/** The same file of two builds side by side, with equal parts folded. */
export function CompareView({ path, language, before, after }: CompareViewProps) {
  const pane = useRef<HTMLDivElement>(null);
  const { text, problem } = useText(before);
  useEffect(() => {
    if (!pane.current || text === null) return;
    const extensions = readingExtensions(language);
    const view = new MergeView({
      a: { doc: text, extensions },
      b: { doc: after, extensions },
      parent: pane.current,
      collapseUnchanged: { margin: 3, minSize: 6 },
    });
    return () => view.destroy();
  }, [text, after, language]);
  if (problem) return <Alert severity="info">The earlier build has no file {path}.</Alert>;
  return (
    <Box
      component="section"
      aria-label={`${path} of two builds`}
      sx={{ height: '100%', display: 'flex', flexDirection: 'column' }}
    >
      <Typography sx={{ fontSize: 12, px: 1, py: 0.5 }}>
        {text === after ? 'Nothing differs.' : 'The earlier build on the left, this one on the right.'}
      </Typography>
      <Box ref={pane} sx={{ flex: 1, minHeight: 0, overflow: 'auto' }} />
    </Box>
  );
}
