'use client';
import { css } from '@codemirror/lang-css';
import { html } from '@codemirror/lang-html';
import { javascript } from '@codemirror/lang-javascript';
import { HighlightStyle, syntaxHighlighting } from '@codemirror/language';
import { search } from '@codemirror/search';
import { EditorState, StateEffect, StateField, type Extension } from '@codemirror/state';
import { Decoration, EditorView, type DecorationSet } from '@codemirror/view';
import { tags } from '@lezer/highlight';
import { Box } from '@mui/material';
import CodeMirror, { type ReactCodeMirrorRef } from '@uiw/react-codemirror';
import { useEffect, useMemo, useRef } from 'react';
import type { CodeLanguage } from '../../core/emit/target';
import { CodeFrame } from './CodeFrame';
import { MONO } from './theme';

/** A range of lines, first and last, from 1. */
export interface Lines {
  readonly line: number;
  readonly lastLine: number;
}

interface CodeViewProps {
  readonly title: string;
  readonly code: string;
  readonly language: CodeLanguage;
  /** Highlighted and scrolled into view. */
  readonly lit?: Lines | null;
  readonly onPick?: (line: number) => void;
}

/** Read-only code with search (Ctrl+F while focused) and a copy button. */
export function CodeView({ title, code, language, lit = null, onPick }: CodeViewProps) {
  const editor = useRef<ReactCodeMirrorRef>(null);
  const extensions = useMemo(
    (): Extension[] => [...readingExtensions(language), ...(onPick ? [picking(onPick)] : [])],
    [language, onPick],
  );
  useEffect(() => {
    const view = editor.current?.view;
    if (view) light(view, lit);
  }, [lit, code]);
  return (
    <CodeFrame title={title} code={code}>
      <Box sx={{ flex: 1, minHeight: 0, overflow: 'hidden', '& > div, & .cm-editor': { height: '100%' } }}>
        <CodeMirror
          ref={editor}
          value={code}
          height="100%"
          theme="none"
          extensions={extensions}
          basicSetup={{ foldGutter: true, highlightActiveLine: false, autocompletion: false }}
          onCreateEditor={(view) => light(view, lit)}
        />
      </Box>
    </CodeFrame>
  );
}

/** The extensions of all read-only code views. */
export function readingExtensions(language: CodeViewProps['language']): Extension[] {
  const grammar =
    language === 'html'
      ? [html()]
      : language === 'css'
        ? [css()]
        : language === 'jsx'
          ? [javascript({ jsx: true, typescript: true })]
          : [];
  return [
    ...grammar,
    search({ top: true }),
    EditorState.readOnly.of(true),
    EditorView.contentAttributes.of({ 'aria-label': 'Code', tabindex: '0' }),
    litLines,
    syntaxHighlighting(INK),
    LOOK,
  ];
}

/** Few colours: names, words, and quoted text. */
const INK = HighlightStyle.define([
  { tag: [tags.tagName, tags.className, tags.keyword], color: 'var(--mui-palette-primary-main)' },
  {
    tag: [tags.attributeName, tags.propertyName],
    color: 'var(--mui-palette-secondary-main)',
    fontWeight: '600',
  },
  {
    tag: [tags.string, tags.attributeValue, tags.number, tags.unit],
    color: 'var(--mui-palette-text-primary)',
  },
  { tag: tags.comment, color: 'var(--mui-palette-text-secondary)', fontStyle: 'italic' },
]);

const LOOK = EditorView.theme({
  '&': { fontSize: '12px', color: 'var(--mui-palette-text-primary)', backgroundColor: 'transparent' },
  '.cm-scroller': { fontFamily: MONO, lineHeight: '1.5' },
  '.cm-gutters': {
    backgroundColor: 'var(--mui-palette-background-default)',
    color: 'var(--mui-palette-text-secondary)',
    borderRight: '1px solid var(--mui-palette-divider)',
  },
  '.cm-activeLineGutter': { backgroundColor: 'transparent' },
  '.cm-lit': { backgroundColor: 'color-mix(in srgb, var(--mui-palette-primary-main) 14%, transparent)' },
  '.cm-panels': { backgroundColor: 'var(--mui-palette-background-paper)', color: 'inherit' },
  '&.cm-focused': { outline: '2px solid var(--mui-palette-primary-main)', outlineOffset: '-2px' },
});

const setLit = StateEffect.define<Lines | null>();

const litLines = StateField.define<DecorationSet>({
  create: () => Decoration.none,
  update(marks, { effects, state }) {
    for (const effect of effects) {
      if (!effect.is(setLit)) continue;
      if (!effect.value) return Decoration.none;
      const { line, lastLine } = effect.value;
      const last = Math.min(lastLine, state.doc.lines);
      const starts = Array.from(
        { length: Math.max(0, last - line + 1) },
        (_, at) => state.doc.line(line + at).from,
      );
      return Decoration.set(starts.map((from) => Decoration.line({ class: 'cm-lit' }).range(from)));
    }
    return marks;
  },
  provide: (field) => EditorView.decorations.from(field),
});

function light(view: EditorView, lit: Lines | null): void {
  const effects: StateEffect<unknown>[] = [setLit.of(lit)];
  if (lit && lit.line <= view.state.doc.lines) {
    const { from } = view.state.doc.line(lit.line);
    // A visible range stays where it is: scrolling under a pressed pointer would select another line.
    if (!isSeen(view, from)) effects.push(EditorView.scrollIntoView(from, { y: 'center' }));
  }
  view.dispatch({ effects });
}

function isSeen(view: EditorView, at: number): boolean {
  const { top, bottom } = view.lineBlockAt(at);
  const { scrollDOM } = view;
  return top >= scrollDOM.scrollTop && bottom <= scrollDOM.scrollTop + scrollDOM.clientHeight;
}

/** Reports the line of the caret after a click or a key. */
function picking(onPick: (line: number) => void): Extension {
  return EditorView.updateListener.of((update) => {
    if (update.selectionSet && update.transactions.some((each) => each.isUserEvent('select')))
      onPick(update.state.doc.lineAt(update.state.selection.main.head).number);
  });
}
