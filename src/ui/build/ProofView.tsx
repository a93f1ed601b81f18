'use client';
import { namesInPath } from '../../core/mockup/identity';
import {
  Alert,
  Box,
  Button,
  LinearProgress,
  List,
  ListItemButton,
  NativeSelect,
  Slider,
  ToggleButton,
  ToggleButtonGroup,
  Typography,
} from '@mui/material';
import { useState } from 'react';
import type { ProofScreen } from '../../server/proofTypes';
import type { BuildView } from '../../server/useCases/builds';
import { MONO } from '../shared/theme';
import type { ProofView as ProofState } from '../../server/useCases/proofs';
import { useProof } from './useProof';

/** The pictures on the left and right side of the wipe. */
const PAIRS = {
  'mockup and page': ['mockup', 'page'],
  'page and difference': ['page', 'difference'],
  'mockup and difference': ['mockup', 'difference'],
} as const;
type Pair = keyof typeof PAIRS;
const PAIR_NAMES = Object.keys(PAIRS) as Pair[];

/** The proof: figures, a wipe between the pictures, and the layers that differ most. */
export function ProofView({ build }: { readonly build: BuildView }) {
  const { proof, problem, again, stop } = useProof(build.id);
  const [at, setAt] = useState(0);
  if (problem) return <Alert severity="error">{problem}</Alert>;
  if (proof?.state === 'failed') {
    return (
      <Alert severity="warning" action={<Button onClick={() => void again()}>Try again</Button>}>
        {proof.problem}
      </Alert>
    );
  }
  if (proof?.state === 'cancelled') {
    return (
      <Alert severity="info" action={<Button onClick={() => void again()}>Compare again</Button>}>
        The comparison was stopped.
      </Alert>
    );
  }
  const screens = proof?.screens;
  if (!screens) return <Comparing proof={proof} onStop={() => void stop()} />;
  const screen = screens[at] ?? screens[0];
  if (!screen) return <Alert severity="info">There is no screen to prove.</Alert>;
  return (
    <Proof
      key={screen.name}
      screen={screen}
      address={`/api/builds/${build.id}/proof`}
      choice={
        screens.length > 1 && (
          <NativeSelect
            value={at}
            onChange={(event) => setAt(Number(event.target.value))}
            inputProps={{ 'aria-label': 'Screen of the proof' }}
          >
            {screens.map(({ name, differing }, index) => (
              <option key={name} value={index}>
                {name}: {percent(differing)}
              </option>
            ))}
          </NativeSelect>
        )
      }
    />
  );
}

interface ComparingProps {
  readonly proof: ProofState | null;
  readonly onStop: () => void;
}

function Comparing({ proof, onStop }: ComparingProps) {
  const { done = 0, total = 0, state } = proof ?? {};
  const says =
    total > 0
      ? `Comparing page and mockup: screen ${Math.min(done + 1, total)} of ${total}`
      : state === 'running'
        ? 'Starting the browser that draws page and mockup'
        : 'Waiting for its turn';
  return (
    <Box role="status" sx={{ p: 2, display: 'flex', alignItems: 'center', gap: 2 }}>
      <Box sx={{ flex: 1 }}>
        <Typography sx={{ fontSize: 13, mb: 1 }}>{says}</Typography>
        <LinearProgress
          aria-label={says}
          {...(total > 0 ? { variant: 'determinate', value: (done / total) * 100 } : {})}
        />
      </Box>
      <Button onClick={onStop}>Stop</Button>
    </Box>
  );
}

interface ProofProps {
  readonly screen: ProofScreen;
  readonly address: string;
  readonly choice: React.ReactNode;
}

function Proof({ screen, address, choice }: ProofProps) {
  const [pair, setPair] = useState<Pair>('mockup and page');
  const [wipe, setWipe] = useState(50);
  const [chosen, setChosen] = useState<string | null>(null);
  const [size, setSize] = useState({ width: 0, height: 0 });
  const [left, right] = PAIRS[pair];
  const box = screen.worst.find(({ layer }) => layer === chosen)?.box;
  const share = (length: number, of: number) => `${(length / (of || 1)) * 100}%`;
  return (
    <Box sx={{ flex: 1, minHeight: 0, display: 'grid', gridTemplateColumns: '1fr 320px' }}>
      <Box sx={{ minWidth: 0, minHeight: 0, display: 'flex', flexDirection: 'column', p: 2, gap: 1 }}>
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, flexWrap: 'wrap' }}>
          {choice}
          <ToggleButtonGroup
            size="small"
            exclusive
            value={pair}
            onChange={(_, next: Pair | null) => next && setPair(next)}
            aria-label="What is laid over each other"
          >
            {PAIR_NAMES.map((name) => (
              <ToggleButton key={name} value={name} sx={{ py: 0.25 }}>
                {name}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
          <Slider
            size="small"
            value={wipe}
            onChange={(_, next) => setWipe(next as number)}
            aria-label={`How much of the ${left} is seen, from the left`}
            getAriaValueText={(value) => `${value}%`}
            sx={{ flex: 1, minWidth: 120 }}
          />
        </Box>
        <Box
          tabIndex={0}
          role="group"
          aria-label="The pictures of the proof"
          sx={{ flex: 1, minHeight: 0, overflow: 'auto' }}
        >
          <Box
            sx={{
              position: 'relative',
              width: '100%',
              maxWidth: size.width || undefined,
              boxShadow: '0 0 0 1px rgb(0 0 0 / 18%)',
            }}
            onPointerMove={(event) => {
              if (event.buttons !== 1) return;
              const { x, width } = event.currentTarget.getBoundingClientRect();
              setWipe(Math.min(100, Math.max(0, Math.round(((event.clientX - x) / width) * 100))));
            }}
          >
            <Box
              component="img"
              draggable={false}
              src={`${address}/${screen.pictures[right]}`}
              alt={`The ${right}`}
              onLoad={(event: React.SyntheticEvent<HTMLImageElement>) =>
                setSize({
                  width: event.currentTarget.naturalWidth,
                  height: event.currentTarget.naturalHeight,
                })
              }
              sx={{ display: 'block', width: '100%', userSelect: 'none' }}
            />
            <Box
              component="img"
              draggable={false}
              src={`${address}/${screen.pictures[left]}`}
              alt={`The ${left}`}
              style={{ clipPath: `inset(0 ${100 - wipe}% 0 0)` }}
              sx={{ display: 'block', width: '100%', position: 'absolute', inset: 0, userSelect: 'none' }}
            />
            <Box
              aria-hidden
              style={{ left: `${wipe}%` }}
              sx={{
                position: 'absolute',
                top: 0,
                bottom: 0,
                width: 2,
                ml: '-1px',
                bgcolor: 'primary.main',
                cursor: 'ew-resize',
              }}
            />
            {box && (
              <Box
                aria-hidden
                style={{
                  left: share(box.x, size.width),
                  top: share(box.y, size.height),
                  width: share(box.width, size.width),
                  height: share(box.height, size.height),
                }}
                sx={{
                  position: 'absolute',
                  outline: '2px solid',
                  outlineColor: 'primary.main',
                  outlineOffset: 1,
                }}
              />
            )}
          </Box>
        </Box>
      </Box>
      <Worst screen={screen} chosen={chosen} onChoose={setChosen} />
    </Box>
  );
}

interface WorstProps {
  readonly screen: ProofScreen;
  readonly chosen: string | null;
  readonly onChoose: (layer: string | null) => void;
}

function Worst({ screen, chosen, onChoose }: WorstProps) {
  return (
    <Box sx={{ minHeight: 0, overflow: 'auto', borderLeft: 1, borderColor: 'divider' }}>
      <Box sx={{ p: 2, pb: 1 }}>
        <Typography variant="h2" sx={{ fontFamily: MONO }}>
          {percent(screen.differing)}
        </Typography>
        <Typography sx={{ fontSize: 12, color: 'text.secondary' }}>
          of the pixels of {screen.name} differ, edges smoothed in another way not counted. Structural
          similarity {screen.index.toFixed(4)} of 1.
        </Typography>
      </Box>
      {screen.worst.length === 0 && <Typography sx={{ px: 2, fontSize: 12 }}>No layer differs.</Typography>}
      <List dense aria-label="Layers that differ, the most first">
        {screen.worst.map(({ layer, path, differing, isAside }) => (
          <li key={layer}>
            <ListItemButton
              selected={layer === chosen}
              onClick={() => onChoose(layer === chosen ? null : layer)}
              sx={{ py: 0.25, gap: 1 }}
            >
              <Box
                component="span"
                sx={{ fontFamily: MONO, fontSize: 12, width: 56, textAlign: 'right', flex: 'none' }}
              >
                {percent(differing, 1)}
              </Box>
              <Box component="span" sx={{ fontSize: 12, overflowWrap: 'anywhere' }}>
                {namesInPath(path).slice(-2).join(' / ')}
                {isAside && ' (not on the page)'}
              </Box>
            </ListItemButton>
          </li>
        ))}
      </List>
    </Box>
  );
}

function percent(share: number, digits = 3): string {
  return `${(share * 100).toFixed(digits)}%`;
}
