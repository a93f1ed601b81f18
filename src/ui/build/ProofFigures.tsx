import { Box, Link as MuiLink, ListItemButton, Typography } from '@mui/material';
import { namesInPath } from '../../core/mockup/identity';
import type { LayerFigure } from '../../engine/proof/proof';
import type { ProofScreen } from '../../server/proofTypes';
import { ArrowList } from '../shared/ArrowList';
import { Crop, type Size } from '../shared/Crop';
import { MONO } from '../shared/theme';

interface ProofFiguresProps {
  readonly screen: ProofScreen;
  /** The addresses of both pictures, and their size in px; 0 before they are loaded. */
  readonly pictures: { readonly size: Size; readonly mockup: string; readonly page: string };
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

/** Px of the small pictures in the list. */
const CROP: Size = { width: 52, height: 32 };

/** The figures of a screen in sentences, and the layers that differ. */
export function ProofFigures({ screen, pictures, chosen, onChoose }: ProofFiguresProps) {
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
      <ArrowList aria-label="Layers that differ, the most first">
        {screen.worst.map(({ layer, path, title, box, differing: share, isAside }) => (
          <li key={layer}>
            <ListItemButton
              selected={layer === chosen}
              onClick={() => toggle(layer)}
              sx={{ py: 0.25, minHeight: 26, gap: 1 }}
            >
              <Box
                component="span"
                sx={{ fontFamily: MONO, fontSize: 12, width: 52, textAlign: 'right', flex: 'none' }}
              >
                {share < 0.001 ? '<0.1%' : percent(share, 1)}
              </Box>
              {(['mockup', 'page'] as const).map((of) => (
                <Crop
                  key={of}
                  title={`In the ${of}`}
                  src={pictures[of]}
                  size={pictures.size}
                  box={box}
                  view={CROP}
                  largest={2}
                />
              ))}
              <Box component="span" sx={{ fontSize: 13, overflowWrap: 'anywhere' }}>
                {title ?? namesInPath(path).slice(-2).join(' / ')}
                {isAside && ' (not on the page)'}
              </Box>
            </ListItemButton>
          </li>
        ))}
      </ArrowList>
    </Box>
  );
}

export function percent(share: number, digits = 3): string {
  return `${(share * 100).toFixed(digits)}%`;
}
