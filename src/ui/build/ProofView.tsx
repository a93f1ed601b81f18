'use client';
import {
  Alert,
  Box,
  Button,
  LinearProgress,
  NativeSelect,
  Slider,
  ToggleButton,
  ToggleButtonGroup,
  Typography,
} from '@mui/material';
import { useState } from 'react';
import { proofName } from '../../core/proofName';
import type { ProofScreen } from '../../server/proofTypes';
import type { BuildView } from '../../server/useCases/builds';
import type { ProofView as ProofState } from '../../server/useCases/proofs';
import { ZoomedPane } from '../shared/ZoomedPane';
import { percent, ProofFigures } from './ProofFigures';
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
      key={proofName(screen)}
      screen={screen}
      address={`/api/builds/${build.id}/proof`}
      choice={
        screens.length > 1 && (
          <NativeSelect
            value={at}
            onChange={(event) => setAt(Number(event.target.value))}
            inputProps={{ 'aria-label': 'Screen of the proof' }}
          >
            {screens.map((each, index) => (
              <option key={index} value={index}>
                {proofName(each)}: {percent(each.differing)}
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
  const shown = [...screen.worst, screen.shift, screen.colour, ...(screen.cut ?? [])];
  const box = shown.find((each) => each?.layer === chosen)?.box;
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
        {right === 'difference' && (
          <Typography sx={{ fontSize: 12.5, color: 'text.secondary' }}>
            Red: another colour. Yellow: an edge that is smoothed in another way. Grey: the same.
          </Typography>
        )}
        <ZoomedPane label="The pictures of the proof">
          {(zoom) => (
            <Box
              style={{ width: `${zoom * 100}%`, maxWidth: size.width ? size.width * zoom : undefined }}
              sx={{
                position: 'relative',
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
              <SideLabel text={left} side="left" />
              <SideLabel text={right} side="right" />
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
          )}
        </ZoomedPane>
      </Box>
      <ProofFigures
        screen={screen}
        pictures={{
          size,
          mockup: `${address}/${screen.pictures.mockup}`,
          page: `${address}/${screen.pictures.page}`,
        }}
        chosen={chosen}
        onChoose={setChosen}
      />
    </Box>
  );
}

/** What is seen on a side of the wipe. */
function SideLabel({ text, side }: { readonly text: string; readonly side: 'left' | 'right' }) {
  return (
    <Box
      aria-hidden
      sx={{
        position: 'absolute',
        top: 6,
        [side]: 6,
        px: 0.75,
        fontSize: 12,
        color: '#22201c',
        bgcolor: 'rgb(251 248 241 / 88%)',
        pointerEvents: 'none',
      }}
    >
      {text}
    </Box>
  );
}
