import {
  Alert,
  Box,
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  LinearProgress,
  Slider,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
  ToggleButton,
  ToggleButtonGroup,
  Typography,
} from '@mui/material';
import { useState } from 'react';
import type { Recipe } from '../../core/pictures/recipes/recipe';
import { TRIAL_FORMATS, type TrialFormat } from '../../core/pictures/trialFormats';
import type { Trial } from '../../engine/pictures/trials';
import type { PlannedPicture } from '../../server/pictureTypes';
import { bytesText } from '../shared/bytesText';
import { trialFileAddress } from './addresses';
import { QualityCurve } from './QualityCurve';
import { useTrials } from './useTrials';
import { Wipe } from './Wipe';

const WORDS: Readonly<Record<TrialFormat, string>> = {
  png8: 'PNG of 256 colours',
  jpeg: 'JPEG',
  webp: 'WebP',
  avif: 'AVIF',
};

/** The quality of a format at which nothing looks the same: the best that makes sense. */
const BEST = 96;

interface CompareDialogProps {
  readonly mockupId: string;
  readonly of: PlannedPicture;
  readonly onUse: (recipe: Recipe) => void;
  readonly onClose: () => void;
}

/** The formats and qualities of one picture: how they look, and what they weigh. */
export function CompareDialog({ mockupId, of, onUse, onClose }: CompareDialogProps) {
  const [scale, setScale] = useState(1);
  const { done, problem } = useTrials(mockupId, of.name, scale, TRIAL_FORMATS);
  const [format, setFormat] = useState<TrialFormat>('webp');
  const [typed, setTyped] = useState<number | null>(null);
  const trial = done.find((each) => each.format === format);
  const quality = format === 'png8' ? 100 : (typed ?? trial?.proposed ?? BEST);
  const [first] = done;
  const size = { width: of.width * scale, height: of.height * scale };
  const address = (name: TrialFormat | 'png', at: number) =>
    trialFileAddress(mockupId, { picture: of.name, format: name, quality: at, scale });
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="lg">
      <DialogTitle>Formats of {of.name}</DialogTitle>
      <DialogContent
        sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 3fr) minmax(340px, 2fr)', gap: 2 }}
      >
        <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1, minWidth: 0 }}>
          <Wipe
            before={address('png', 100)}
            after={address(format, quality)}
            beforeWords="PNG without loss"
            afterWords={format === 'png8' ? WORDS.png8 : `${WORDS[format]}, quality ${quality}`}
            {...size}
          />
          <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
            <Typography id="quality-label" sx={{ fontSize: 13, whiteSpace: 'nowrap' }}>
              Quality {quality}
            </Typography>
            <Slider
              size="small"
              min={10}
              max={100}
              disabled={format === 'png8'}
              value={quality}
              onChange={(_, value) => setTyped(value as number)}
              aria-labelledby="quality-label"
            />
            <Button color="inherit" disabled={typed === null} onClick={() => setTyped(null)}>
              Proposed
            </Button>
          </Box>
        </Box>
        <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1, minWidth: 0 }}>
          <ToggleButtonGroup
            size="small"
            exclusive
            value={scale}
            onChange={(_, next: number | null) => next !== null && setScale(next)}
            aria-label="Size"
          >
            {[1, 2].map((each) => (
              <ToggleButton key={each} value={each} sx={{ py: 0.25, textTransform: 'none' }}>
                {each}x, {of.width * each}×{of.height * each} px
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
          {problem && <Alert severity="error">{problem}</Alert>}
          <Table size="small" aria-label="Formats">
            <TableHead>
              <TableRow>
                <TableCell>Looks the same as</TableCell>
                <TableCell align="right">Quality</TableCell>
                <TableCell align="right">Bytes</TableCell>
                <TableCell align="right">Of PNG</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              <TableRow>
                <TableCell>PNG without loss</TableCell>
                <TableCell />
                <TableCell align="right">{first ? bytesText(first.plain) : '…'}</TableCell>
                <TableCell />
              </TableRow>
              {TRIAL_FORMATS.map((each) => (
                <FormatRow
                  key={each}
                  format={each}
                  trial={done.find((other) => other.format === each)}
                  isChosen={each === format}
                  onChoose={() => {
                    setFormat(each);
                    setTyped(null);
                  }}
                />
              ))}
            </TableBody>
          </Table>
          {done.length < TRIAL_FORMATS.length && !problem && (
            <LinearProgress
              aria-label="Trying formats"
              variant="determinate"
              value={(100 * done.length) / TRIAL_FORMATS.length}
            />
          )}
          {trial && trial.points.length > 1 && <QualityCurve trial={trial} chosen={quality} />}
        </Box>
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Cancel
        </Button>
        <Button variant="contained" onClick={() => onUse(recipeOf(format, quality))}>
          Use {format === 'png8' ? WORDS.png8 : `${WORDS[format]} at ${quality}`}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

interface FormatRowProps {
  readonly format: TrialFormat;
  /** Absent while it is being made. */
  readonly trial: Trial | undefined;
  readonly isChosen: boolean;
  readonly onChoose: () => void;
}

function FormatRow({ format, trial, isChosen, onChoose }: FormatRowProps) {
  const point = trial?.points.find(({ quality }) => quality === trial.proposed);
  return (
    <TableRow selected={isChosen}>
      <TableCell>
        <Button color="inherit" aria-pressed={isChosen} onClick={onChoose} sx={{ p: 0, minWidth: 0 }}>
          {WORDS[format]}
        </Button>
      </TableCell>
      <TableCell align="right">{point && trial && trial.points.length > 1 ? point.quality : ''}</TableCell>
      <TableCell align="right">{point ? bytesText(point.bytes) : trial ? 'at no quality' : '…'}</TableCell>
      <TableCell align="right">
        {point && trial ? `${Math.round((100 * point.bytes) / trial.plain)}%` : ''}
      </TableCell>
    </TableRow>
  );
}

/** A recipe of one format at 1x and 2x. */
function recipeOf(format: TrialFormat, quality: number): Recipe {
  const isPalette = format === 'png8';
  return {
    name: isPalette ? 'png-palette' : `${format}-${quality}`,
    label: isPalette ? WORDS.png8 : `${WORDS[format]} at quality ${quality}`,
    files: ['1x', '2x'].map((size) => ({ format, size, ...(!isPalette && { quality }) })),
  };
}
