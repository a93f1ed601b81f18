'use client';
import { cssLanguage } from '@codemirror/lang-css';
import { htmlLanguage } from '@codemirror/lang-html';
import { tsxLanguage } from '@codemirror/lang-javascript';
import { highlightCode, tagHighlighter, tags } from '@lezer/highlight';
import { Box } from '@mui/material';
import { memo, useMemo } from 'react';
import type { CodePart } from '../../core/emit/target';
import { CodeFrame } from './CodeFrame';
import { MONO } from './theme';

interface CodeBlockProps {
  readonly title: string;
  readonly code: string;
  readonly language: CodePart['language'];
  /** Shown where there is no code. */
  readonly none?: string;
}

const PARSERS = {
  html: htmlLanguage.parser,
  css: cssLanguage.parser,
  jsx: tsxLanguage.parser,
  text: null,
} as const;

const CLASSES = tagHighlighter([
  { tag: [tags.tagName, tags.className, tags.keyword], class: 'word' },
  { tag: [tags.attributeName, tags.propertyName], class: 'key' },
  { tag: tags.comment, class: 'remark' },
]);

/** Longer code is shown without colours: it would hold up the keys. */
const MOST_COLOURED = 20_000;

interface Piece {
  readonly text: string;
  readonly classes: string;
}

function piecesOf(code: string, language: CodePart['language']): readonly Piece[] {
  const parser = PARSERS[language];
  if (!parser || code.length > MOST_COLOURED) return [{ text: code, classes: '' }];
  const pieces: Piece[] = [];
  highlightCode(
    code,
    parser.parse(code),
    CLASSES,
    (text, classes) => pieces.push({ text, classes }),
    () => pieces.push({ text: '\n', classes: '' }),
  );
  return pieces;
}

/** Code with few colours, wrapped lines and a copy button. */
export const CodeBlock = memo(function CodeBlock({ title, code, language, none = '' }: CodeBlockProps) {
  const pieces = useMemo(() => piecesOf(code, language), [code, language]);
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
          whiteSpace: 'pre-wrap',
          overflowWrap: 'anywhere',
          '& .word': { color: 'primary.main' },
          '& .key': { color: 'secondary.main', fontWeight: 500 },
          '& .remark': { color: 'text.secondary', fontStyle: 'italic' },
          '&:focus-visible': { outline: '2px solid', outlineColor: 'primary.main', outlineOffset: -2 },
        }}
      >
        {code === '' ? (
          <Box component="span" sx={{ fontFamily: 'Commissioner, sans-serif', color: 'text.secondary' }}>
            {none}
          </Box>
        ) : (
          pieces.map(({ text, classes }, at) =>
            classes === '' ? (
              text
            ) : (
              <span key={at} className={classes}>
                {text}
              </span>
            ),
          )
        )}
      </Box>
    </CodeFrame>
  );
});
