'use client';
import { Box } from '@mui/material';
import { memo } from 'react';
import { CodeFrame } from './CodeFrame';
import { MONO } from './theme';

interface CodeBlockProps {
  readonly title: string;
  readonly code: string;
}

/** Code with a copy button. */
export const CodeBlock = memo(function CodeBlock({ title, code }: CodeBlockProps) {
  return (
    <CodeFrame title={title} code={code}>
      <Box
        component="pre"
        role="group"
        tabIndex={0}
        aria-label={`${title} code`}
        sx={{
          m: 0,
          p: 1,
          flex: 1,
          minHeight: 0,
          overflow: 'auto',
          fontFamily: MONO,
          fontSize: 12,
          lineHeight: 1.45,
          tabSize: 2,
        }}
      >
        {code}
      </Box>
    </CodeFrame>
  );
});
