'use client';
import {
  Alert,
  Box,
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  TextField,
} from '@mui/material';
import { useState } from 'react';
import { collidingNames, NO_RENAMING, renamed, type Renaming } from '../../core/sort/rename';
import { MONO } from '../shared/theme';
import { useSort } from './SortContext';
import type { SortState } from './store/state';

const FIELDS: readonly (readonly [keyof Renaming, string])[] = [
  ['find', 'Find'],
  ['replace', 'Replace with'],
  ['prefix', 'Put before'],
  ['suffix', 'Put after'],
];
/** Lines of the preview. */
const SHOWN = 60;

/** Renames the output names of the selection, with a preview. */
export function RenameDialog() {
  const isOpen = useSort((state) => state.dialog === 'names');
  return isOpen ? <OpenDialog /> : null;
}

function OpenDialog() {
  const state = useSort((all) => all);
  const [renaming, setRenaming] = useState<Renaming>(NO_RENAMING);
  const close = () => state.open(null);
  const { changes, twice } = preview(state, renaming);
  const changed = changes.filter(({ before, after }) => before !== after);
  const rename = () => {
    state.setEach('outputName', new Map(changed.map(({ layer, after }) => [layer, after])));
    close();
  };
  return (
    <Dialog open onClose={close} fullWidth maxWidth="sm">
      <DialogTitle>Output names of {changes.length} layers</DialogTitle>
      <DialogContent>
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5, pt: 1 }}>
          {FIELDS.map(([field, label], at) => (
            <TextField
              key={field}
              size="small"
              label={label}
              autoFocus={at === 0}
              value={renaming[field]}
              onChange={(event) => setRenaming({ ...renaming, [field]: event.target.value })}
            />
          ))}
        </Box>
        {twice.size > 0 && (
          <Alert severity="warning" sx={{ mt: 1.5 }}>
            {twice.size === 1 ? 'One name' : `${twice.size} names`} would be there more than once; pictures
            and classes of one name get numbers: {[...twice].slice(0, 5).join(', ')}
          </Alert>
        )}
        <Box
          component="ul"
          tabIndex={0}
          aria-label="Names before and after"
          sx={{
            m: 0,
            mt: 1.5,
            p: 0,
            maxHeight: 260,
            overflow: 'auto',
            listStyle: 'none',
            fontFamily: MONO,
            fontSize: 12,
          }}
        >
          {changes.slice(0, SHOWN).map(({ layer, before, after }) => (
            <Box
              component="li"
              key={layer}
              sx={{ display: 'grid', gridTemplateColumns: '1fr 24px 1fr', py: 0.25 }}
            >
              <span>{before}</span>
              <span aria-hidden>→</span>
              <Box component="span" sx={{ fontWeight: before === after ? 400 : 700 }}>
                {after}
                {twice.has(after) && ' (twice)'}
              </Box>
            </Box>
          ))}
          {changes.length > SHOWN && <li>and {changes.length - SHOWN} more</li>}
        </Box>
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={close}>
          Leave them
        </Button>
        <Button variant="contained" disabled={changed.length === 0} onClick={rename}>
          Rename {changed.length}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

/** The names before and after, for layers that have a name on the page. */
function preview({ selection, result, rows }: SortState, renaming: Renaming) {
  const decisions = result?.decisions ?? new Map<string, never>();
  const isNamed = (key: string) => {
    const decision = decisions.get(key);
    return decision !== undefined && decision.outcome !== 'aside' && decision.within === null;
  };
  const chosen = rows.map((row) => row.layer.id).filter((key) => selection.has(key) && isNamed(key));
  const changes = chosen.map((layer) => {
    const before = decisions.get(layer)?.outputName ?? '';
    return { layer, before, after: renamed(before, renaming) };
  });
  const others = [...decisions]
    .filter(([key, { named }]) => named && !selection.has(key) && isNamed(key))
    .map(([, { outputName }]) => outputName);
  return {
    changes,
    twice: collidingNames(
      changes.map(({ after }) => after),
      others,
    ),
  };
}
