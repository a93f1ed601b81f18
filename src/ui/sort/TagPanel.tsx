'use client';
import { Box, MenuItem, TextField, Typography } from '@mui/material';
import equal from 'fast-deep-equal';
import { memo, useDeferredValue, useState } from 'react';
import type { LayerId } from '../../core/mockup/layer';
import { type Facet, type FacetValue } from '../../core/sort/facets/facets';
import type { Tags as TagsByLayer } from '../../core/sort/tag';
import type { Decision } from '../../core/sort/decision';
import { focusWorksheet, TAG_PANEL } from './focus';
import { EDITED_FACETS, editorOf, parseLine, printLine, sharedValue } from './facets';
import { useSort } from './SortContext';

/** A select has no empty value: this one removes a tag. */
const REMOVE = '(back)';
const MOST = 2000;

/** All facets of the selection; differing values are shown as such. */
export const TagPanel = memo(function TagPanel() {
  // Deferred: the worksheet reacts to a key first.
  const selection = useDeferredValue(useSort((state) => state.selection));
  const decisions = useDeferredValue(useSort((state) => state.result?.decisions));
  const tags = useDeferredValue(useSort((state) => state.tags));
  return <Tags selection={selection} decisions={decisions} tags={tags} />;
});

interface TagsProps {
  readonly selection: ReadonlySet<LayerId>;
  readonly decisions: ReadonlyMap<LayerId, Decision> | undefined;
  readonly tags: TagsByLayer;
}

const Tags = memo(function Tags({ selection, decisions, tags }: TagsProps) {
  const keys = [...selection].slice(0, MOST);
  const chosen = keys.flatMap((key) => decisions?.get(key) ?? []);
  const count = selection.size;
  return (
    <Box
      component="form"
      id={TAG_PANEL}
      aria-label="Tags of what is chosen"
      onSubmit={(event) => event.preventDefault()}
      onKeyDown={(event) => {
        if (event.key === 'Escape') focusWorksheet();
      }}
      sx={{ height: '100%', overflow: 'auto', px: 1.5, py: 0.5 }}
    >
      <Typography component="h2" sx={{ fontSize: 12, fontWeight: 600, color: 'text.secondary', mb: 0.5 }}>
        {count === 1 ? 'Tags of the chosen layer' : `Tags of ${count} chosen layers`}
      </Typography>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: 'repeat(auto-fill, minmax(112px, 1fr))',
          gap: '4px 12px',
        }}
      >
        {chosen.length > 0 &&
          EDITED_FACETS.map((facet) => (
            <Field
              key={facet}
              facet={facet}
              {...sharedValue(facet, chosen)}
              settled={keys.some((key) => tags.get(key)?.[facet] !== undefined)}
            />
          ))}
      </Box>
    </Box>
  );
});

interface FieldProps {
  readonly facet: Facet;
  readonly value: FacetValue | null;
  readonly differs: boolean;
  /** True when a person set it on one of the selected layers. */
  readonly settled: boolean;
}

/** Memoized, since form fields are slow to render. */
const Field = memo(function Field({ facet, value, differs, settled }: FieldProps) {
  const { label, choices, hint, none, print } = editorOf(facet);
  const setFacet = useSort((state) => state.setFacet);
  const shared = {
    size: 'small',
    variant: 'standard',
    label: settled ? `${label}, said by you` : label,
    sx: { '& .MuiInputBase-input': { fontSize: 13, fontWeight: settled ? 700 : 400 } },
  } as const;
  if (choices) {
    const marks = choices.map((choice) => (choice.value === null ? REMOVE : String(choice.value)));
    return (
      <TextField
        {...shared}
        select
        value={differs || value === null ? '' : String(value)}
        onChange={(event) => setFacet(facet, choices[marks.indexOf(event.target.value)]?.value ?? null)}
        slotProps={{
          inputLabel: { shrink: true },
          select: {
            displayEmpty: true,
            renderValue: () => (differs ? 'they differ' : value === null ? none : print(value)),
          },
        }}
      >
        {choices.map((choice, at) => (
          <MenuItem key={choice.label} value={marks[at]} dense>
            {choice.label}
          </MenuItem>
        ))}
      </TextField>
    );
  }
  const line = printLine(facet, value);
  return (
    <Line
      // A new layer resets the text field.
      key={`${line} ${differs}`}
      line={line}
      placeholder={differs ? 'they differ' : ''}
      hint={hint ?? ''}
      shared={shared}
      onDone={(text) => setFacet(facet, parseLine(facet, text))}
    />
  );
}, equal);

interface LineProps {
  readonly line: string;
  readonly placeholder: string;
  readonly hint: string;
  readonly shared: object;
  readonly onDone: (text: string) => void;
}

/** A text field that saves on blur or Enter; Escape restores the old value. */
function Line({ line, placeholder, hint, shared, onDone }: LineProps) {
  const [text, setText] = useState(line);
  const done = () => {
    if (text !== line) onDone(text);
  };
  return (
    <TextField
      {...shared}
      value={text}
      placeholder={placeholder}
      title={hint}
      onChange={(event) => setText(event.target.value)}
      onBlur={done}
      onKeyDown={(event) => {
        if (event.key === 'Enter') done();
        else if (event.key === 'Escape') setText(line);
      }}
      slotProps={{ inputLabel: { shrink: true }, htmlInput: { spellCheck: false, 'aria-description': hint } }}
    />
  );
}
