import { Box, Button, Checkbox, Link as MuiLink, TextField, Typography } from '@mui/material';
import NextLink from 'next/link';
import { useState } from 'react';
import type { ClassUser } from '../../core/emit/styleBook';
import type { Tag } from '../../core/sort/tag';

/** The users that are shown at once. */
const SHOWN = 40;

interface ClassUsersProps {
  readonly users: readonly ClassUser[];
  readonly mockupId: string;
  readonly tagOf: (layer: string) => Tag | undefined;
  /** See `StyleState`. */
  readonly onSplit: (layers: readonly string[], rest: readonly string[], name: string) => string | null;
  readonly onShare: (layers: readonly string[]) => void;
  readonly onOwnLook: (layers: readonly string[]) => void;
}

/** The layers that wear a class. Ticked ones get a class of their own, or lose what was said of their look. */
export function ClassUsers({ users, mockupId, tagOf, onSplit, onShare, onOwnLook }: ClassUsersProps) {
  const [ticked, setTicked] = useState<readonly string[]>([]);
  const [name, setName] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const layers = users.map(({ layer }) => layer);
  const chosen = ticked.filter((layer) => layers.includes(layer));
  const apart = chosen.filter((layer) => tagOf(layer)?.ownClass !== undefined);
  const alike = chosen.filter((layer) => tagOf(layer)?.looksLike !== undefined);
  const toggle = (layer: string) =>
    setTicked(chosen.includes(layer) ? chosen.filter((each) => each !== layer) : [...chosen, layer]);
  const split = () => {
    const wrong = onSplit(
      chosen,
      layers.filter((layer) => !chosen.includes(layer)),
      name.trim(),
    );
    setProblem(wrong);
    if (wrong === null) setName('');
  };
  return (
    <section aria-label="Where it is worn">
      <Typography variant="h2" sx={{ fontSize: 13 }}>
        Where it is worn
      </Typography>
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none', fontSize: 13 }}>
        {users.slice(0, SHOWN).map(({ layer, title }, at) => (
          <li key={`${layer} ${at}`}>
            <Checkbox
              size="small"
              checked={chosen.includes(layer)}
              onChange={() => toggle(layer)}
              slotProps={{ input: { 'aria-label': `Choose ${title}` } }}
              sx={{ p: 0.5 }}
            />
            <MuiLink
              component={NextLink}
              href={`/mockups/${mockupId}/sort?layer=${encodeURIComponent(layer)}`}
              color="inherit"
              sx={{ display: 'inline-block', lineHeight: '24px' }}
            >
              {title}
            </MuiLink>
            {said(tagOf(layer))}
          </li>
        ))}
        {users.length > SHOWN && <li>and {users.length - SHOWN} more</li>}
      </Box>
      {chosen.length > 0 && (
        <Box
          component="form"
          onSubmit={(event) => {
            event.preventDefault();
            split();
          }}
          sx={{ display: 'flex', alignItems: 'start', gap: 1, mt: 0.5, flexWrap: 'wrap' }}
        >
          <TextField
            size="small"
            label={`Class of its own for ${chosen.length}`}
            value={name}
            onChange={(event) => setName(event.target.value)}
            error={problem !== null}
            helperText={problem}
          />
          <Button type="submit" color="inherit" disabled={name.trim() === ''}>
            Split off
          </Button>
          {apart.length > 0 && (
            <Button color="inherit" onClick={() => onShare(apart)}>
              Share the class again
            </Button>
          )}
          {alike.length > 0 && (
            <Button color="inherit" onClick={() => onOwnLook(alike)}>
              Own look again
            </Button>
          )}
        </Box>
      )}
    </section>
  );
}

/** What was said of a layer's look, beside its name. */
function said(tag: Tag | undefined): string {
  const words = [
    ...(tag?.ownClass === undefined ? [] : ['split off']),
    ...(tag?.looksLike === undefined ? [] : ['made alike']),
  ];
  return words.length === 0 ? '' : ` – ${words.join(', ')}`;
}
