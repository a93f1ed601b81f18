'use client';
import { namesInPath } from '../../core/mockup/identity';
import {
  Alert,
  Box,
  Button,
  LinearProgress,
  Link as MuiLink,
  List,
  ListItemButton,
  NativeSelect,
  Slider,
  ToggleButton,
  ToggleButtonGroup,
  Typography,
} from '@mui/material';
import { useState } from 'react';
import type { LayerFigure } from '../../engine/proof/proof';
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
        </Box>
      </Box>
      <Worst screen={screen} chosen={chosen} onChoose={setChosen} />
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

interface WorstProps {
  readonly screen: ProofScreen;
  readonly chosen: string | null;
  readonly onChoose: (layer: string | null) => void;
}

/** What the share of differing pixels means, in words. */
function verdict(differing: number): string {
  if (differing < 0.001) return 'Practically identical';
  return differing < 0.005 ? 'Very close' : differing < 0.02 ? 'Close' : 'Visibly different';
}

/** A shift that nobody sees, px; a difference of colour that nobody sees, CIEDE2000. */
const [UNSEEN_SHIFT, UNSEEN_COLOUR] = [1, 1];

/** The figures of a screen in sentences, and the layers that differ. */
function Worst({ screen, chosen, onChoose }: WorstProps) {
  const { shift, colour, cut = [], differing, index } = screen;
  const toggle = (layer: string) => onChoose(layer === chosen ? null : layer);
  const figure = ({ layer, title }: LayerFigure, words: string) => (
    <Box component="li" key={layer}>
      {words}{' '}
      <MuiLink
        component="button"
        color="inherit"
        onClick={() => toggle(layer)}
        sx={{ fontWeight: 600, fontSize: 13 }}
      >
        {title}
      </MuiLink>
    </Box>
  );
  return (
    <Box sx={{ minHeight: 0, overflow: 'auto', borderLeft: 1, borderColor: 'divider' }}>
      <Box sx={{ p: 2, pb: 1 }}>
        <Typography sx={{ fontFamily: MONO, fontSize: 28, lineHeight: 1.2 }}>{percent(differing)}</Typography>
        <Typography variant="h3" component="h2">
          {verdict(differing)}
        </Typography>
        <Typography sx={{ fontSize: 12.5, color: 'text.secondary' }}>
          of all pixels differ; smoothed edges are not counted. Similarity {(index * 100).toFixed(1)} of 100.
        </Typography>
        <Box component="ul" sx={{ m: 0, mt: 1, pl: 2, fontSize: 13, display: 'grid', gap: 0.25 }}>
          {shift &&
            shift.figure >= UNSEEN_SHIFT &&
            figure(shift, `Largest shift: ${shift.figure.toFixed(1)} px,`)}
          {shift && shift.figure < UNSEEN_SHIFT && (
            <li>Everything stands where it was drawn, within a px.</li>
          )}
          {colour &&
            colour.figure >= UNSEEN_COLOUR &&
            figure(colour, `Largest difference of colour: ΔE ${colour.figure.toFixed(1)},`)}
          {cut.map((each) => figure(each, `Text cut off by ${each.figure.toFixed(0)} px:`))}
        </Box>
      </Box>
      <Typography variant="h3" component="h2" sx={{ px: 2, pt: 1 }}>
        {screen.worst.length === 0
          ? 'No layer differs'
          : 'Layers, by the share of their own area that differs'}
      </Typography>
      <List dense aria-label="Layers that differ, the most first">
        {screen.worst.map(({ layer, path, title, differing: share, isAside }) => (
          <li key={layer}>
            <ListItemButton
              selected={layer === chosen}
              onClick={() => toggle(layer)}
              sx={{ py: 0, minHeight: 26, gap: 1 }}
            >
              <Box
                component="span"
                sx={{ fontFamily: MONO, fontSize: 12, width: 52, textAlign: 'right', flex: 'none' }}
              >
                {share < 0.001 ? '<0.1%' : percent(share, 1)}
              </Box>
              <Box component="span" sx={{ fontSize: 13, overflowWrap: 'anywhere' }}>
                {title ?? namesInPath(path).slice(-2).join(' / ')}
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
