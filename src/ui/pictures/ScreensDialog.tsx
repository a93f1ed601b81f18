import {
  Alert,
  Box,
  Button,
  Checkbox,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  FormControlLabel,
  LinearProgress,
  Typography,
} from '@mui/material';
import { useMemo, useRef, useState } from 'react';
import { applyStructuralTags } from '../../core/sort/structuralTags';
import type { ScreenFormat } from '../../engine/screens/screenFiles';
import type { OpenedMockup } from '../../server/useCases/openMockup';
import { sentence } from '../shared/request';
import { saveBlob } from '../shared/saveBlob';

const FORMATS: Readonly<Record<ScreenFormat, string>> = {
  png: 'PNG',
  jpeg: 'JPEG',
  webp: 'WebP',
  pdf: 'one PDF, a page for each',
  'pdf-each': 'a PDF for each',
};
const FORMAT_NAMES = Object.keys(FORMATS) as readonly ScreenFormat[];

interface ScreensDialogProps {
  readonly mockupId: string;
  readonly opened: OpenedMockup;
  readonly onClose: () => void;
}

/** Writes whole screens, or the whole sheet, as pictures and PDFs. */
export function ScreensDialog({ mockupId, opened, onClose }: ScreensDialogProps) {
  const screens = useMemo(
    () => applyStructuralTags(opened.mockup, new Map(Object.entries(opened.tags))).screens,
    [opened],
  );
  const [formats, setFormats] = useState<readonly ScreenFormat[]>(['pdf']);
  const [chosen, setChosen] = useState<readonly string[]>(() => screens.map(({ id }) => id));
  const [isSheet, setSheet] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const running = useRef<AbortController | null>(null);
  const [isRunning, setRunning] = useState(false);
  const isReady = formats.length > 0 && (isSheet || chosen.length > 0) && !isRunning;
  const write = async () => {
    running.current = new AbortController();
    setRunning(true);
    setProblem(null);
    try {
      const query = new URLSearchParams([
        ...formats.map((format) => ['format', format]),
        ...(isSheet ? [] : chosen.map((screen) => ['screen', screen])),
      ]);
      const response = await fetch(`/api/mockups/${mockupId}/screens?${query.toString()}`, {
        signal: running.current.signal,
      });
      if (!response.ok) throw new Error(((await response.json()) as { message: string }).message);
      saveBlob(await response.blob(), nameIn(response));
      onClose();
    } catch (error) {
      if (!running.current.signal.aborted) setProblem(sentence(error));
    } finally {
      setRunning(false);
    }
  };
  const close = () => {
    running.current?.abort();
    onClose();
  };
  return (
    <Dialog open onClose={close} fullWidth maxWidth="sm">
      <DialogTitle>Whole screens</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 1.5 }}>
        {problem && <Alert severity="error">{problem}</Alert>}
        <Box component="fieldset" sx={{ border: 0, p: 0, m: 0 }}>
          <Typography component="legend" variant="h3">
            As
          </Typography>
          {FORMAT_NAMES.map((format) => (
            <Tick
              key={format}
              label={FORMATS[format]}
              checked={formats.includes(format)}
              onChange={() => setFormats(toggled(formats, format))}
            />
          ))}
        </Box>
        <Box component="fieldset" sx={{ border: 0, p: 0, m: 0 }}>
          <Typography component="legend" variant="h3">
            Of
          </Typography>
          <Tick
            label="the whole sheet as it was read"
            checked={isSheet}
            onChange={() => setSheet(!isSheet)}
          />
          <Box sx={{ maxHeight: 240, overflow: 'auto' }}>
            {screens.map(({ id, name, width, height }) => (
              <Tick
                key={id}
                label={`${name}, ${Math.round(width)}×${Math.round(height)}`}
                checked={!isSheet && chosen.includes(id)}
                disabled={isSheet}
                onChange={() => setChosen(toggled(chosen, id))}
              />
            ))}
          </Box>
        </Box>
        {isRunning && <LinearProgress aria-label="Writing the screens" />}
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={close}>
          {isRunning ? 'Stop' : 'Cancel'}
        </Button>
        <Button variant="contained" aria-disabled={!isReady} onClick={() => isReady && void write()}>
          Write the files
        </Button>
      </DialogActions>
    </Dialog>
  );
}

interface TickProps {
  readonly label: string;
  readonly checked: boolean;
  readonly disabled?: boolean;
  readonly onChange: () => void;
}

function Tick({ label, ...box }: TickProps) {
  return (
    <FormControlLabel
      label={label}
      control={<Checkbox size="small" {...box} sx={{ py: 0.5 }} />}
      sx={{ display: 'flex', '& .MuiFormControlLabel-label': { fontSize: 13 } }}
    />
  );
}

function toggled<Value>(values: readonly Value[], value: Value): readonly Value[] {
  return values.includes(value) ? values.filter((each) => each !== value) : [...values, value];
}

function nameIn(response: Response): string {
  return /filename="([^"]+)"/.exec(response.headers.get('content-disposition') ?? '')?.[1] ?? 'screens';
}
