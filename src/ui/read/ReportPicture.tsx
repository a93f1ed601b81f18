'use client';
import { Box, Button, TextField, Typography } from '@mui/material';
import { useRef, useState, type PointerEvent } from 'react';
import type { Box as Rectangle } from '../../core/mockup/box';
import type { LayerId } from '../../core/mockup/layer';
import type { ReadingReport } from '../../core/sort/report/readingReport';
import { ScreenPicture } from '../shared/ScreenPicture';
import { ZoomedPane } from '../shared/ZoomedPane';
import { RegionTable } from './RegionTable';
import type { ReportRegions } from './ReportView';

interface ReportPictureProps {
  readonly report: ReadingReport;
  readonly picture: string;
  readonly lit: readonly LayerId[];
  readonly regions: ReportRegions | null;
}

/**
 * The whole sheet; the highlighted layer has a frame, and on a flat picture regions are drawn by dragging.
 */
export function ReportPicture({ report, picture, lit, regions }: ReportPictureProps) {
  const { sheet, places } = report;
  const frame = useRef<HTMLDivElement>(null);
  const [start, setStart] = useState<{ x: number; y: number } | null>(null);
  const [drawn, setDrawn] = useState<Rectangle | null>(null);
  const at = ({ x, y, width, height }: Rectangle) => ({
    left: `${(x / sheet.width) * 100}%`,
    top: `${(y / sheet.height) * 100}%`,
    width: `${(width / sheet.width) * 100}%`,
    height: `${(height / sheet.height) * 100}%`,
  });
  const point = (event: PointerEvent) => {
    const box = frame.current?.getBoundingClientRect();
    const scale = sheet.width / (box?.width ?? 1);
    const clamp = (value: number, most: number) => Math.min(most, Math.max(0, Math.round(value * scale)));
    return {
      x: clamp(event.clientX - (box?.left ?? 0), sheet.width),
      y: clamp(event.clientY - (box?.top ?? 0), sheet.height),
    };
  };
  const drag = (event: PointerEvent) => {
    if (!start) return;
    const end = point(event);
    setDrawn({
      x: Math.min(start.x, end.x),
      y: Math.min(start.y, end.y),
      width: Math.abs(end.x - start.x),
      height: Math.abs(end.y - start.y),
    });
  };
  const finish = () => {
    setStart(null);
    if (drawn && (drawn.width < 2 || drawn.height < 2)) setDrawn(null);
  };
  return (
    <ZoomedPane label="Mockup">
      {(zoom) => (
        <Box sx={{ p: 1.5 }}>
          <Box
            ref={frame}
            style={{ width: `${zoom * 100}%` }}
            onPointerDown={(event) => {
              if (!regions) return;
              event.currentTarget.setPointerCapture(event.pointerId);
              setStart(point(event));
              setDrawn(null);
            }}
            onPointerMove={drag}
            onPointerUp={finish}
            sx={{
              position: 'relative',
              aspectRatio: `${sheet.width} / ${sheet.height}`,
              bgcolor: '#fff',
              overflow: 'hidden',
              boxShadow: '0 0 0 1px rgb(0 0 0 / 18%)',
              cursor: regions ? 'crosshair' : undefined,
              touchAction: regions ? 'none' : undefined,
            }}
          >
            <ScreenPicture
              src={picture}
              sheet={sheet}
              part={{ x: 0, y: 0, ...sheet }}
              alt="The mockup as it was read"
            />
            {regions?.list.map((region) => (
              <Box
                key={region.name}
                style={at(region)}
                title={region.name}
                sx={{
                  position: 'absolute',
                  pointerEvents: 'none',
                  boxShadow: '0 0 0 1px #fffaf2, 0 0 0 2px #22201c',
                }}
              />
            ))}
            {lit.slice(0, 400).map((key) => {
              const place = places[key];
              return (
                place && (
                  <Box
                    key={key}
                    style={at(place)}
                    sx={{
                      position: 'absolute',
                      pointerEvents: 'none',
                      boxShadow: '0 0 0 1px #fffaf2, 0 0 0 3px #a63a1e',
                    }}
                  />
                )
              );
            })}
            {drawn && (
              <Box
                style={at(drawn)}
                sx={{
                  position: 'absolute',
                  pointerEvents: 'none',
                  bgcolor: 'rgb(34 32 28 / 18%)',
                  boxShadow: '0 0 0 1px #22201c, 0 0 0 2px #fffaf2',
                }}
              />
            )}
          </Box>
          {lit.length > 0 && lit.every((key) => !places[key]) && (
            <Typography role="status" sx={{ mt: 1 }} color="text.secondary">
              This layer paints nothing, so there is nothing to show.
            </Typography>
          )}
          {regions && (
            <NewRegion
              key={JSON.stringify(drawn)}
              drawn={drawn}
              regions={regions}
              onDone={() => setDrawn(null)}
            />
          )}
          {regions && <RegionTable regions={regions} />}
        </Box>
      )}
    </ZoomedPane>
  );
}

interface NewRegionProps {
  readonly drawn: Rectangle | null;
  readonly regions: ReportRegions;
  readonly onDone: () => void;
}

const SIDES = [
  ['x', 'From the left'],
  ['y', 'From the top'],
  ['width', 'Width'],
  ['height', 'Height'],
] as const;

/** A new region by its numbers, from the drag or typed. */
function NewRegion({ drawn, regions, onDone }: NewRegionProps) {
  const [name, setName] = useState('');
  const [sides, setSides] = useState(() => drawn ?? { x: 0, y: 0, width: 0, height: 0 });
  const taken = regions.list.some((region) => region.name === name.trim());
  const usable = name.trim() !== '' && !taken && sides.width > 0 && sides.height > 0;
  return (
    <Box
      component="form"
      aria-label="New region"
      onSubmit={(event) => {
        event.preventDefault();
        if (!usable) return;
        regions.onChange([...regions.list, { name: name.trim(), ...sides }]);
        onDone();
        setName('');
      }}
      sx={{ mt: 1.5, display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'flex-start' }}
    >
      <Typography sx={{ width: '100%' }} color="text.secondary">
        Drag over the picture, or type px: each region becomes a layer of its own.
      </Typography>
      <TextField
        size="small"
        label="Region name"
        value={name}
        error={taken}
        helperText={taken ? 'This name is taken.' : undefined}
        onChange={(event) => setName(event.target.value)}
        sx={{ width: 150 }}
      />
      {SIDES.map(([side, label]) => (
        <TextField
          key={side}
          size="small"
          type="number"
          label={label}
          value={sides[side]}
          onChange={(event) => setSides({ ...sides, [side]: Number(event.target.value) })}
          sx={{ width: 112 }}
        />
      ))}
      <Button type="submit" variant="contained" disabled={!usable}>
        Mark region
      </Button>
    </Box>
  );
}
