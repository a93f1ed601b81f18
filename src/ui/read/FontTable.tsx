import { Box, Button, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import { visuallyHidden } from '@mui/utils';
import { useRef } from 'react';
import type { LayerId } from '../../core/mockup/layer';
import type { FaceSource } from '../../core/mockup/type';
import type { AddedFont } from '../../server/useCases/fonts';
import { bytesText } from '../shared/bytesText';
import type { ReportedFont } from '../../core/sort/report/readingReport';
import type { FontActions } from './useFonts';

const SOURCES: Readonly<Record<FaceSource, string>> = {
  embedded: 'inside the mockup',
  added: 'added by you',
  shipped: 'shipped with Orden',
  system: 'on this machine',
  known: 'only its measures are known',
};

const STATES: Readonly<Record<ReportedFont['state'], string>> = {
  present: 'found',
  replaced: 'substituted',
  missing: 'missing',
};

/** kB, as people read sizes. */

interface FontTableProps {
  readonly fonts: readonly ReportedFont[];
  /** The font files that were added to the project. */
  readonly added: readonly AddedFont[];
  readonly actions: FontActions;
  readonly onLight: (layer: LayerId) => void;
}

/** The families that the mockup asks for, their replacements, and the font files that were added. */
export function FontTable({ fonts, added, actions, onLight }: FontTableProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <Box component="section" aria-label="Fonts">
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1.5, mb: 0.5 }}>
        <Typography variant="h2">{fonts.length === 1 ? 'One font' : `${fonts.length} fonts`}</Typography>
        <Button size="small" color="inherit" disabled={actions.busy} onClick={() => input.current?.click()}>
          Add a font file
        </Button>
        <input
          ref={input}
          type="file"
          accept=".ttf,.otf,.woff,.woff2"
          aria-label="Font file"
          hidden
          onChange={(event) => {
            const file = event.target.files?.[0];
            event.target.value = '';
            if (file) actions.add(file);
          }}
        />
      </Box>
      {fonts.length > 0 && (
        <Table size="small" aria-label="Fonts of the mockup">
          <TableHead>
            <TableRow>
              <TableCell>Family</TableCell>
              <TableCell>State</TableCell>
              <TableCell>Shown with</TableCell>
              <TableCell align="right">Texts</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {fonts.map(({ family, state, face, source, texts, layer }) => (
              <TableRow key={family}>
                <TableCell>{family}</TableCell>
                <TableCell>{state === 'present' ? STATES[state] : <b>{STATES[state]}</b>}</TableCell>
                <TableCell>
                  {face}, {SOURCES[source]}
                </TableCell>
                <TableCell align="right">
                  <Button
                    size="small"
                    color="inherit"
                    sx={{ minWidth: 0, py: 0 }}
                    aria-label={`Show a text in ${family}`}
                    onClick={() => onLight(layer)}
                  >
                    {texts}
                  </Button>
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      )}
      {added.length > 0 && (
        <Table size="small" aria-label="Added font files" sx={{ mt: 1 }}>
          <TableHead>
            <TableRow>
              <TableCell>Added file</TableCell>
              <TableCell>Family</TableCell>
              <TableCell align="right">Size</TableCell>
              <TableCell>
                <Box component="span" sx={visuallyHidden}>
                  Remove
                </Box>
              </TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {added.map((font) => (
              <TableRow key={font.digest}>
                <TableCell>{font.fileName}</TableCell>
                <TableCell>
                  {font.family} {font.weight}
                  {font.italic && ' italic'}
                </TableCell>
                <TableCell align="right">{bytesText(font.size)}</TableCell>
                <TableCell align="right">
                  <Button
                    size="small"
                    color="inherit"
                    disabled={actions.busy}
                    aria-label={`Remove ${font.fileName}`}
                    onClick={() => actions.remove(font)}
                  >
                    Remove
                  </Button>
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      )}
    </Box>
  );
}
