'use client';
import { Box, Button, MenuItem, Select, InputBase, Typography } from '@mui/material';
import equal from 'fast-deep-equal';
import { memo, useCallback, useDeferredValue, useId, useRef, useState } from 'react';
import { FACET_GROUPS, type FacetChoice, type FacetGroup } from '../../core/sort/facets/facet';
import { checkFacet, type Facet, type FacetValue } from '../../core/sort/facets/facets';
import type { Decision } from '../../core/sort/decision';
import type { LayerId } from '../../core/mockup/layer';
import type { Tags as TagsByLayer } from '../../core/sort/tag';
import { focusWorksheet, TAG_PANEL } from './focus';
import { EDITED_FACETS, editorOf, parseLine, printLine, sharedValue } from './facets';
import { useSort } from './SortContext';

/** A select has no empty value: this one removes a tag. */
const REMOVE = '(back)';
const MOST = 2000;
const DIFFERS = 'mixed';
/** The groups beside each other, as far as the panel is wide. */
const PAIRED = '@container (min-width: 330px)';
const WIDE = '@container (min-width: 500px)';

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
  const setEach = useSort((state) => state.setEach);
  const clear = useSort((state) => state.clear);
  const keys = [...selection].slice(0, MOST);
  const chosen = keys.flatMap((key) => decisions?.get(key) ?? []);
  const count = selection.size;
  // What is typed belongs to the layers that are shown, also when others were chosen meanwhile.
  const shown = useRef(keys);
  // eslint-disable-next-line react-hooks/refs -- read in event handlers only, which must see what is drawn
  shown.current = [...selection];
  const set = useCallback(
    (facet: Facet, value: FacetValue | null) => {
      if (value === null) clear(facet, shown.current);
      else setEach(facet, new Map(shown.current.map((key) => [key, value])));
    },
    [setEach, clear],
  );
  return (
    <Box
      component="form"
      id={TAG_PANEL}
      aria-label="Tags of the selection"
      onSubmit={(event) => event.preventDefault()}
      onKeyDown={(event) => {
        if (event.key === 'Escape') focusWorksheet();
      }}
      sx={{ height: '100%', overflow: 'auto', px: 1.5, py: 0.5, containerType: 'inline-size' }}
    >
      <Box
        sx={{
          display: 'grid',
          gap: '0 16px',
          gridTemplateColumns: 'minmax(0, 1fr)',
          [PAIRED]: { gridTemplateColumns: 'repeat(2, minmax(0, 1fr))' },
          [WIDE]: { gridTemplateColumns: 'repeat(3, minmax(0, 1fr))' },
        }}
      >
        {chosen.length > 0 &&
          GROUPS.map(([group, facets]) => (
            <Box
              key={group}
              component="fieldset"
              sx={{
                border: 0,
                m: 0,
                p: 0,
                minWidth: 0,
                ...(group === 'meaning' && {
                  [PAIRED]: { gridRow: 'span 2' },
                  [WIDE]: { gridRow: 'span 2', gridColumn: 'span 2' },
                }),
              }}
            >
              <Box
                component="legend"
                sx={{
                  fontSize: 12,
                  fontWeight: 600,
                  p: 0,
                  mt: 0.25,
                  borderBottom: 1,
                  borderColor: 'divider',
                  width: '100%',
                }}
              >
                {FACET_GROUPS[group]}
              </Box>
              <Box
                sx={{
                  display: 'grid',
                  columnGap: 2,
                  ...(group === 'meaning' && {
                    [WIDE]: { gridTemplateColumns: 'repeat(2, minmax(0, 1fr))' },
                  }),
                }}
              >
                {facets.map((facet) => (
                  <Field
                    key={facet}
                    facet={facet}
                    subject={`${keys[0]} ${count}`}
                    {...sharedValue(facet, chosen)}
                    settled={keys.some((key) => tags.get(key)?.[facet] !== undefined)}
                    onSet={set}
                  />
                ))}
              </Box>
            </Box>
          ))}
      </Box>
    </Box>
  );
});

const GROUPS = (Object.keys(FACET_GROUPS) as FacetGroup[]).map(
  (group): readonly [FacetGroup, readonly Facet[]] => [
    group,
    EDITED_FACETS.filter((facet) => editorOf(facet).group === group),
  ],
);

interface FieldProps {
  readonly facet: Facet;
  /** Stands for the layers whose facet it is. */
  readonly subject: string;
  readonly value: FacetValue | null;
  readonly differs: boolean;
  /** True when a person set it on one of the selected layers. */
  readonly settled: boolean;
  readonly onSet: (facet: Facet, value: FacetValue | null) => void;
}

/** Memoized, since form fields are slow to render. */
const Field = memo(function Field(props: FieldProps) {
  const { facet, settled, onSet } = props;
  const { label, choices, hint = '' } = editorOf(facet);
  const id = useId();
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: '82px minmax(0, 1fr) auto',
        alignItems: 'center',
        minHeight: 25,
      }}
    >
      <Typography
        component="label"
        htmlFor={id}
        noWrap
        title={hint}
        sx={{ fontSize: 12, color: 'text.secondary' }}
      >
        {label}
      </Typography>
      {choices ? <Choice {...props} id={id} choices={choices} /> : <Line {...props} id={id} />}
      {settled && (
        <Button
          color="inherit"
          aria-label={`Reset ${label}: set by you`}
          title="Set by you; reset to automatic"
          onClick={() => onSet(facet, null)}
          sx={{ minWidth: 24, width: 24, height: 24, p: 0, color: 'primary.main' }}
        >
          ×
        </Button>
      )}
    </Box>
  );
}, equal);

function Choice({
  id,
  facet,
  value,
  differs,
  settled,
  onSet,
  choices,
}: FieldProps & {
  readonly id: string;
  readonly choices: readonly FacetChoice<FacetValue>[];
}) {
  const { label, none, print } = editorOf(facet);
  const marks = choices.map((choice) => (choice.value === null ? REMOVE : String(choice.value)));
  return (
    <Select
      variant="standard"
      displayEmpty
      disableUnderline
      value={differs || value === null ? '' : String(value)}
      onChange={(event) => onSet(facet, choices[marks.indexOf(event.target.value)]?.value ?? null)}
      renderValue={() => (differs ? DIFFERS : value === null ? none : print(value))}
      SelectDisplayProps={{ id, 'aria-label': label }}
      sx={{ fontSize: 13, fontWeight: settled ? 700 : 400, minWidth: 0 }}
    >
      {choices.map((choice, at) => (
        <MenuItem key={choice.label} value={marks[at]} dense>
          {choice.label}
        </MenuItem>
      ))}
    </Select>
  );
}

/**
 * A text field that saves on blur or Enter; Escape restores the old value. A text that the facet refuses stays in the
 * field, with what is wrong and the nearest one that it takes, and is never the value of the layer.
 */
function Line({ id, facet, subject, value, differs, settled, onSet }: FieldProps & { readonly id: string }) {
  const { label, hint = '', none, nearest } = editorOf(facet);
  const line = printLine(facet, value);
  const [text, setText] = useState(line);
  const [of, setOf] = useState(`${subject} ${line}`);
  if (of !== `${subject} ${line}`) {
    setOf(`${subject} ${line}`);
    setText(line);
  }
  const [refused, setRefused] = useState<string | null>(null);
  const save = (written: string) => {
    if (written === line) return setRefused(null);
    const parsed = parseLine(facet, written);
    const check = parsed === null ? { value: null } : checkFacet(facet, parsed);
    if ('problem' in check) return setRefused(check.problem);
    setRefused(null);
    onSet(facet, check.value);
  };
  const offer = refused === null ? null : (nearest?.(text.trim()) ?? null);
  const problem = refused !== null && of === `${subject} ${line}` && text !== line ? refused : null;
  return (
    <>
      <InputBase
        fullWidth
        value={text}
        placeholder={differs ? DIFFERS : none}
        title={hint}
        onChange={(event) => setText(event.target.value)}
        onBlur={() => save(text)}
        onKeyDown={(event) => {
          if (event.key === 'Enter') save(text);
          else if (event.key === 'Escape' && text !== line) {
            event.stopPropagation();
            setText(line);
            setRefused(null);
          }
        }}
        inputProps={{
          id,
          'aria-label': label,
          spellCheck: false,
          'aria-description': hint,
          'aria-invalid': problem !== null,
          'aria-describedby': problem === null ? undefined : `${id}-problem`,
        }}
        sx={{
          fontSize: 13,
          fontWeight: settled ? 700 : 400,
          '& input': { py: 0.25, height: 20 },
          '& input:focus': {
            boxShadow: (theme) => `inset 0 -2px 0 ${(theme.vars ?? theme).palette.primary.main}`,
          },
          ...(problem !== null && { '& input': { py: 0.25, height: 20, color: 'error.main' } }),
        }}
      />
      {problem !== null && (
        <Box
          id={`${id}-problem`}
          role="alert"
          sx={{ gridColumn: '1 / -1', order: 1, fontSize: 12, color: 'error.main', lineHeight: 1.3, pb: 0.5 }}
        >
          {problem}{' '}
          {offer !== null && (
            <Button
              size="small"
              color="inherit"
              sx={{ py: 0, minHeight: 24, textDecoration: 'underline' }}
              onMouseDown={(event) => event.preventDefault()}
              onClick={() => {
                setText(offer);
                save(offer);
              }}
            >
              Use {offer}
            </Button>
          )}
        </Box>
      )}
    </>
  );
}
