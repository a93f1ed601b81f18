import { Box } from '@mui/material';
import { useTheme } from '@mui/material/styles';
import { Chart, Legend, LinearScale, LineController, LineElement, PointElement, Tooltip } from 'chart.js';
import { useEffect, useRef } from 'react';
import { LOOKS_SAME } from '../../core/pictures/trialFormats';
import type { Trial } from '../../engine/pictures/trials';

Chart.register(Legend, LineController, LineElement, LinearScale, PointElement, Tooltip);

interface QualityCurveProps {
  readonly trial: Trial;
  /** The quality that is shown. */
  readonly chosen: number;
}

/** Bytes and likeness of a format against its quality; the proposed point is filled. */
export function QualityCurve({ trial, chosen }: QualityCurveProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const { palette } = useTheme();
  const { points, proposed, format } = trial;
  useEffect(() => {
    if (!canvas.current) return undefined;
    const ink = palette.text.secondary;
    const marked = points.map(({ quality }) => (quality === proposed ? 6 : quality === chosen ? 5 : 2.5));
    const chart = new Chart(canvas.current, {
      type: 'line',
      data: {
        datasets: [
          {
            label: 'kB',
            data: points.map(({ quality, bytes }) => ({ x: quality, y: bytes / 1000 })),
            borderColor: palette.primary.main,
            backgroundColor: palette.primary.main,
            pointRadius: marked,
            yAxisID: 'bytes',
          },
          {
            label: 'likeness',
            data: points.map(({ quality, index }) => ({ x: quality, y: index })),
            borderColor: ink,
            backgroundColor: ink,
            borderDash: [5, 4],
            pointRadius: marked,
            yAxisID: 'index',
          },
          {
            label: `looks the same from ${LOOKS_SAME}`,
            data: [points[0], points.at(-1)].flatMap((point) =>
              point ? [{ x: point.quality, y: LOOKS_SAME }] : [],
            ),
            borderColor: ink,
            borderWidth: 1,
            pointRadius: 0,
            yAxisID: 'index',
          },
        ],
      },
      options: {
        animation: false,
        maintainAspectRatio: false,
        color: palette.text.primary,
        plugins: { legend: { labels: { color: palette.text.primary, boxWidth: 18, boxHeight: 1 } } },
        scales: {
          x: { type: 'linear', title: { display: true, text: 'quality', color: ink }, ticks: { color: ink } },
          bytes: {
            position: 'left',
            beginAtZero: true,
            title: { display: true, text: 'kB', color: ink },
            ticks: { color: ink },
          },
          index: {
            position: 'right',
            max: 1,
            grid: { drawOnChartArea: false },
            title: { display: true, text: 'likeness', color: ink },
            ticks: { color: ink },
          },
        },
      },
    });
    return () => chart.destroy();
  }, [points, proposed, chosen, palette]);
  return (
    <Box sx={{ height: 210, position: 'relative' }}>
      <canvas
        ref={canvas}
        role="img"
        aria-label={`Bytes and likeness of ${format} against quality; ${
          proposed === null ? 'none looks the same' : `${proposed} is the lowest that looks the same`
        }`}
      />
    </Box>
  );
}
