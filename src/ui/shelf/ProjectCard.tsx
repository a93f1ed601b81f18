'use client';
import MoreHoriz from '@mui/icons-material/MoreHoriz';
import {
  Box,
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogContentText,
  DialogTitle,
  IconButton,
  Link as MuiLink,
  Menu,
  MenuItem,
  TextField,
  Typography,
} from '@mui/material';
import NextLink from 'next/link';
import { useSnackbar } from 'notistack';
import { useState, type ReactNode } from 'react';
import { request, sendJson, sentence } from '../shared/request';
import { agoWords } from '../shared/timeWords';
import type { ShelfEntry } from '../../server/useCases/shelf';
import { buildState } from './shelfEntry';

interface ProjectCardProps {
  readonly entry: ShelfEntry;
  readonly onChanged: () => void;
}

/** A project: its mockup, how far it is, and what can be done with it. */
export function ProjectCard({ entry, onChanged }: ProjectCardProps) {
  const { mockupId: id, projectId: project, name } = entry;
  const { enqueueSnackbar } = useSnackbar();
  const [menu, setMenu] = useState<HTMLElement | null>(null);
  const [asked, setAsked] = useState<'name' | 'delete' | null>(null);
  const act = async (work: () => Promise<unknown>, done: string) => {
    setAsked(null);
    try {
      await work();
      enqueueSnackbar(done);
      onChanged();
    } catch (error) {
      enqueueSnackbar(sentence(error), { variant: 'error' });
    }
  };
  const choose = (work: () => void) => () => {
    setMenu(null);
    work();
  };
  return (
    <Box
      component="li"
      onContextMenu={(event) => {
        event.preventDefault();
        setMenu(event.currentTarget.querySelector('button'));
      }}
      sx={{
        position: 'relative',
        bgcolor: 'background.paper',
        border: 1,
        borderColor: 'divider',
        '&:hover': { borderColor: 'text.secondary' },
      }}
    >
      <Box
        component="img"
        loading="lazy"
        src={`/api/mockups/${id}/picture?small=true&reading=${entry.picture}`}
        alt=""
        sx={{
          display: 'block',
          width: '100%',
          aspectRatio: '16 / 10',
          objectFit: 'contain',
          bgcolor: 'background.default',
          borderBottom: 1,
          borderColor: 'divider',
        }}
      />
      <Box sx={{ p: 1.25, pr: 0.5, display: 'grid', gridTemplateColumns: '1fr auto', gap: '2px 4px' }}>
        <MuiLink
          component={NextLink}
          href={`/mockups/${id}/sort`}
          color="text.primary"
          underline="hover"
          noWrap
          title={name}
          // The whole card opens the project.
          sx={{
            fontWeight: 600,
            fontSize: 15,
            '&::after': { content: '""', position: 'absolute', inset: 0 },
          }}
        >
          {name}
        </MuiLink>
        <IconButton
          size="small"
          aria-label={`Actions for ${name}`}
          aria-haspopup="menu"
          onClick={(event) => setMenu(event.currentTarget)}
          sx={{ position: 'relative', zIndex: 1, gridRow: 'span 2', alignSelf: 'start' }}
        >
          <MoreHoriz fontSize="small" />
        </IconButton>
        <Typography noWrap sx={{ fontSize: 12.5, color: 'text.secondary' }}>
          {entry.layerCount.toLocaleString('en')} {entry.layerCount === 1 ? 'layer' : 'layers'}
          {entry.tagged > 0 && `, ${entry.tagged} set by you`}
        </Typography>
        <Typography noWrap sx={{ fontSize: 12.5, color: 'text.secondary' }}>
          {entry.editedAt ? `Edited ${agoWords(entry.editedAt)}` : `Added ${agoWords(entry.createdAt)}`}
        </Typography>
        <Typography
          noWrap
          sx={{ fontSize: 12.5, gridColumn: 1, fontWeight: entry.editsSince > 0 ? 600 : 400 }}
        >
          {buildState(entry)}
        </Typography>
      </Box>
      <Menu open={menu !== null} anchorEl={menu} onClose={() => setMenu(null)} transitionDuration={0}>
        <MenuItem component={NextLink} href={`/mockups/${id}/sort`}>
          Open
        </MenuItem>
        <MenuItem onClick={choose(() => setAsked('name'))}>Rename…</MenuItem>
        <MenuItem
          onClick={choose(
            () =>
              void act(
                () => request(`/api/projects/${project}/copy`, { method: 'POST' }),
                `${name} was duplicated.`,
              ),
          )}
        >
          Duplicate
        </MenuItem>
        <MenuItem onClick={choose(() => setAsked('delete'))}>Delete…</MenuItem>
      </Menu>
      {asked === 'name' && (
        <NameDialog
          name={name}
          onClose={() => setAsked(null)}
          onName={(next) =>
            void act(
              () => sendJson('PATCH', `/api/projects/${project}`, { name: next }),
              `${name} is called ${next} now.`,
            )
          }
        />
      )}
      {asked === 'delete' && (
        <Question
          title={`Delete project ${name}?`}
          onClose={() => setAsked(null)}
          action={
            <Button
              variant="contained"
              color="error"
              onClick={() =>
                void act(
                  () => request(`/api/projects/${project}`, { method: 'DELETE' }),
                  `${name} was deleted.`,
                )
              }
            >
              Delete
            </Button>
          }
        >
          Its tags and builds are deleted with it, and this cannot be undone. Your own mockup file stays as it
          is.
        </Question>
      )}
    </Box>
  );
}

interface QuestionProps {
  readonly title: string;
  readonly action: ReactNode;
  readonly children: ReactNode;
  readonly onClose: () => void;
}

function Question({ title, action, children, onClose }: QuestionProps) {
  return (
    <Dialog open onClose={onClose} aria-labelledby="question-title">
      <DialogTitle id="question-title">{title}</DialogTitle>
      <DialogContent>
        <DialogContentText>{children}</DialogContentText>
      </DialogContent>
      <DialogActions>
        <Button color="inherit" autoFocus onClick={onClose}>
          Cancel
        </Button>
        {action}
      </DialogActions>
    </Dialog>
  );
}

interface NameDialogProps {
  readonly name: string;
  readonly onClose: () => void;
  readonly onName: (name: string) => void;
}

function NameDialog({ name, onClose, onName }: NameDialogProps) {
  const [text, setText] = useState(name);
  const next = text.trim();
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="name-title">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (next !== '') onName(next);
        }}
      >
        <DialogTitle id="name-title">Rename the project</DialogTitle>
        <DialogContent>
          <TextField
            autoFocus
            fullWidth
            size="small"
            margin="dense"
            label="Name"
            value={text}
            onChange={(event) => setText(event.target.value)}
            slotProps={{ htmlInput: { maxLength: 120 } }}
          />
        </DialogContent>
        <DialogActions>
          <Button color="inherit" onClick={onClose}>
            Cancel
          </Button>
          <Button type="submit" variant="contained" disabled={next === '' || next === name}>
            Rename
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}
