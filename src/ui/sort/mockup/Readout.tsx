'use client';
import { Box, Link as MuiLink } from '@mui/material';
import type { Box as Rectangle } from '../../../core/mockup/box';
import type { Layer } from '../../../core/mockup/layer';
import { layerLabel } from '../../../core/look/layerLabel';
import { layerPath } from '../rows';
import { useSort } from '../SortContext';
import { distanceWords } from './distances';

/** The selected layer with its ancestors, and the distance to the hovered one. */
export function Readout() {
  const screen = useSort((state) => state.screen);
  const cursor = useSort((state) => state.cursor);
  const hovered = useSort((state) => state.hovered);
  const boxes = useSort((state) => state.result?.boxes);
  const reveal = useSort((state) => state.reveal);
  const path = cursor === null ? [] : layerPath(screen, cursor);
  const pointed = hovered === null || hovered === cursor ? undefined : layerPath(screen, hovered).at(-1);
  const own = cursor === null ? undefined : boxes?.get(cursor);
  const other = pointed && boxes?.get(pointed.id);
  return (
    <Box
      sx={{
        px: 1,
        py: 0.25,
        height: 60,
        flexShrink: 0,
        borderTop: 1,
        borderColor: 'divider',
        fontSize: 12,
        lineHeight: '18px',
        color: 'text.secondary',
        overflow: 'hidden',
      }}
    >
      <Box
        component="nav"
        aria-label="Groups around the selected layer"
        sx={{ height: 18, overflow: 'hidden' }}
      >
        {path.map((layer, at) => (
          <span key={layer.id}>
            {at > 0 && ' / '}
            <MuiLink
              component="button"
              color="inherit"
              underline={layer.id === cursor ? 'none' : 'hover'}
              onClick={() => reveal(layer.id)}
              sx={{ fontSize: 12, verticalAlign: 'baseline', fontWeight: layer.id === cursor ? 700 : 400 }}
            >
              {layerLabel(layer).text}
            </MuiLink>
          </span>
        ))}
        {own && `: ${placeWords(own)}`}
      </Box>
      <div>
        {pointed && other
          ? pointedWords(pointed, other, own)
          : 'Hover another layer to measure the distance.'}
      </div>
    </Box>
  );
}

function pointedWords(layer: Layer, box: Rectangle, own: Rectangle | undefined): string {
  const from = own ? `; from the selected one: ${distanceWords(own, box)}` : '';
  return `${layerLabel(layer).text}: ${placeWords(box)}${from}`;
}

function placeWords({ x, y, width, height }: Rectangle): string {
  const px = (value: number) => Math.round(value * 10) / 10;
  return `${px(width)}×${px(height)} px at ${px(x)}, ${px(y)}`;
}
