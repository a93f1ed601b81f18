'use client';
import { Box, Skeleton, ToggleButton, ToggleButtonGroup, Typography } from '@mui/material';
import { useMemo, useState } from 'react';
import type { BookClass, StyleBook } from '../../core/emit/styleBook';
import { bytesText } from '../shared/bytesText';
import { FindField } from '../shared/FindField';
import { ListAndDetail } from '../shared/DetailPane';
import { hasWords } from '../shared/hasWords';
import { StepFrame } from '../shared/StepFrame';
import { ClassDetail } from './ClassDetail';
import { classId, ClassShelf, isWorn } from './ClassShelf';
import { drawnMockup } from './drawnMockup';
import { ForbiddenNames } from './ForbiddenNames';
import { StyleCharts } from './StyleCharts';
import { StyleFileButtons } from './StyleFileButtons';
import { useStyle } from './useStyle';
import { ValueTable } from './ValueTable';

const VIEWS = ['classes', 'values', 'figures'] as const;
type View = (typeof VIEWS)[number];

/** The Style step: the style sheet as a book of specimens, its values, and what it costs. */
export function StyleStep({ mockupId }: { readonly mockupId: string }) {
  const style = useStyle(mockupId);
  const { opened, book } = style;
  const [view, setView] = useState<View>('classes');
  const [words, setWords] = useState('');
  const [chosen, setChosen] = useState<string | null>(null);
  const found = book ? classesFound(book.classes, words) : [];
  const shown = found.find((each) => classId(each) === chosen) ?? found[0];
  const drawn = useMemo(() => (opened ? drawnMockup(opened) : null), [opened]);
  return (
    <StepFrame
      step="style"
      title={opened?.project ?? 'Style'}
      mockupId={mockupId}
      opened={opened}
      history={style}
      problem={style.problem}
      tools={
        <>
          <ToggleButtonGroup
            size="small"
            exclusive
            value={view}
            onChange={(_, next: View | null) => next && setView(next)}
            aria-label="What is shown of the style sheet"
          >
            {VIEWS.map((each) => (
              <ToggleButton key={each} value={each} sx={{ py: 0.25, textTransform: 'none' }}>
                {labelOf(each, book)}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
          {view === 'classes' && <FindField label="Find a class" value={words} onChange={setWords} />}
          <Typography noWrap role="status" sx={{ fontSize: 12.5, color: 'text.secondary', flex: 1 }}>
            {book && summary(book)}
          </Typography>
          {opened && (
            <StyleFileButtons mockupId={mockupId} project={opened.project} onImported={style.reload} />
          )}
        </>
      }
    >
      {!book && !style.problem && <BookSkeleton />}
      {book && opened && drawn && view === 'classes' && (
        <ListAndDetail
          list={
            <Box sx={{ minHeight: 0, overflow: 'auto' }}>
              <ForbiddenNames names={style.forbidden} onChange={style.forbid} />
              {found.length === 0 && <Typography sx={{ p: 2 }}>No class has these words.</Typography>}
              <ClassShelf
                classes={found}
                chosen={shown ? classId(shown) : null}
                onChoose={setChosen}
                drawn={drawn.asRead}
              />
            </Box>
          }
          detail={
            shown && (
              <ClassDetail
                key={classId(shown)}
                of={shown}
                mockupId={mockupId}
                drawn={drawn}
                classes={book.classes}
                style={style}
              />
            )
          }
        />
      )}
      {book && view === 'values' && <ValueTable book={book} said={style.said} onSay={style.sayValue} />}
      {book && view === 'figures' && <StyleCharts book={book} />}
    </StepFrame>
  );
}

function classesFound(classes: readonly BookClass[], words: string): readonly BookClass[] {
  return classes
    .filter(({ name, css }) => hasWords(`${name} ${css}`, words))
    .toSorted((one, other) => other.users.length - one.users.length || one.name.localeCompare(other.name));
}

function labelOf(view: View, book: StyleBook | null): string {
  if (view === 'classes') return book ? `Classes ${book.classes.length}` : 'Classes';
  if (view === 'values') return book ? `Values ${book.tokens.length}` : 'Values';
  return 'Figures';
}

function summary({ classes, near, bytes, standsFor }: StyleBook): string {
  const worn = classes.filter(isWorn);
  const once = worn.filter(({ users }) => users.length === 1).length;
  const nearly =
    near.length === 0
      ? ''
      : `; ${near.length} ${near.length === 1 ? 'pair' : 'pairs'} of nearly equal values`;
  // Its values and parts have the names of classes.
  const of = standsFor === undefined ? '' : `${standsFor} has no style sheet; that of HTML names its parts: `;
  return `${of}${bytesText(bytes.sheet)}, ${bytesText(bytes.apart)} with a rule for every element; ${worn.length} of them worn, ${once} of these once${nearly}`;
}

function BookSkeleton() {
  return (
    <Box
      role="status"
      aria-label="Making the style sheet"
      sx={{ p: 1.5, display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(176px, 1fr))', gap: 1 }}
    >
      {Array.from({ length: 12 }, (_, at) => (
        <Skeleton key={at} variant="rectangular" height={106} />
      ))}
    </Box>
  );
}
