'use client';
import {
  Box,
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogContentText,
  DialogTitle,
  Link as MuiLink,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
} from '@mui/material';
import { visuallyHidden } from '@mui/utils';
import NextLink from 'next/link';
import { useSnackbar } from 'notistack';
import { useState } from 'react';
import type { ShelfRow } from '../../server/db/tables/projects';
import { request, sentence } from '../shared/request';

/** A row of the shelf in JSON. */
export type ShelfEntry = Omit<ShelfRow, 'created_at'> & { readonly created_at: string };

interface ShelfTableProps {
  readonly entries: readonly ShelfEntry[];
  readonly onChanged: () => void;
}

/** The projects, newest first, each with a thumbnail of its mockup. */
export function ShelfTable({ entries, onChanged }: ShelfTableProps) {
  const [leaving, setLeaving] = useState<ShelfEntry | null>(null);
  return (
    <>
      <Table
        size="small"
        aria-label="Projects"
        sx={{ bgcolor: 'background.paper', borderCollapse: 'separate', border: 1, borderColor: 'divider' }}
      >
        <TableHead>
          <TableRow>
            <TableCell sx={{ width: 216 }}>Mockup</TableCell>
            <TableCell>Project</TableCell>
            <TableCell>File</TableCell>
            <TableCell align="right">Layers</TableCell>
            <TableCell align="right">Tagged</TableCell>
            <TableCell>Read</TableCell>
            <TableCell>
              <Box component="span" sx={visuallyHidden}>
                Actions
              </Box>
            </TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {entries.map((entry) => (
            <TableRow key={entry.mockup_id} hover>
              <TableCell>
                <Box
                  component="img"
                  loading="lazy"
                  src={`/api/mockups/${entry.mockup_id}/picture?small=true&reading=${entry.picture}`}
                  alt=""
                  sx={{
                    display: 'block',
                    width: 192,
                    height: 120,
                    objectFit: 'contain',
                    bgcolor: '#fff',
                    border: 1,
                    borderColor: 'divider',
                  }}
                />
              </TableCell>
              <TableCell>
                <MuiLink
                  component={NextLink}
                  href={`/mockups/${entry.mockup_id}/sort`}
                  color="text.primary"
                  sx={{ fontWeight: 600 }}
                >
                  {entry.name}
                </MuiLink>
              </TableCell>
              <TableCell>{entry.file_name}</TableCell>
              <TableCell align="right">{entry.layer_count}</TableCell>
              <TableCell align="right">{entry.tagged}</TableCell>
              <TableCell>
                {new Date(entry.created_at).toLocaleString('en-GB', {
                  dateStyle: 'medium',
                  timeStyle: 'short',
                })}
              </TableCell>
              <TableCell align="right">
                <Button
                  color="inherit"
                  aria-label={`Take ${entry.name} off the shelf`}
                  onClick={() => setLeaving(entry)}
                >
                  Take off
                </Button>
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      {leaving && <TakeOffDialog entry={leaving} onClose={() => setLeaving(null)} onGone={onChanged} />}
    </>
  );
}

function TakeOffDialog({
  entry,
  onClose,
  onGone,
}: {
  readonly entry: ShelfEntry;
  readonly onClose: () => void;
  readonly onGone: () => void;
}) {
  const { enqueueSnackbar } = useSnackbar();
  const remove = async () => {
    try {
      await request(`/api/projects/${entry.project_id}`, { method: 'DELETE' });
      onGone();
    } catch (error) {
      enqueueSnackbar(sentence(error), { variant: 'error' });
    }
    onClose();
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="take-off-title">
      <DialogTitle id="take-off-title">Take {entry.name} off the shelf?</DialogTitle>
      <DialogContent>
        <DialogContentText>
          Its tags and builds go with it, and this cannot be undone. Your own mockup file stays as it is.
        </DialogContentText>
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Keep it
        </Button>
        <Button variant="contained" onClick={() => void remove()}>
          Take it off
        </Button>
      </DialogActions>
    </Dialog>
  );
}
