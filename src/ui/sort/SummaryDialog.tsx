'use client';
import {
  Box,
  Dialog,
  DialogContent,
  DialogTitle,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
} from '@mui/material';
import { useTheme } from '@mui/material/styles';
import { BarController, BarElement, CategoryScale, Chart, Legend, LinearScale, Tooltip } from 'chart.js';
import { useEffect, useRef } from 'react';
import { outcomeShares, type OutcomeShare } from '../../core/sort/summary';
import { OUTCOMES } from '../../core/sort/vocabulary';
import { useSort } from './SortContext';

Chart.register(BarController, BarElement, CategoryScale, LinearScale, Legend, Tooltip);

/** The outcomes of the screen, in figures and as a chart. */
export function SummaryDialog() {
  const isOpen = useSort((state) => state.dialog === 'summary');
  const open = useSort((state) => state.open);
  const name = useSort((state) => state.screen.name);
  return (
    <Dialog open={isOpen} onClose={() => open(null)} fullWidth maxWidth="sm">
      <DialogTitle>What {name} becomes</DialogTitle>
      <DialogContent>{isOpen && <Summary />}</DialogContent>
    </Dialog>
  );
}

function Summary() {
  const screen = useSort((state) => state.screen);
  const result = useSort((state) => state.result);
  if (!result) return null;
  const shares = outcomeShares(screen, result.decisions, result.boxes);
  const whole = { layers: sum(shares, 'layers'), area: sum(shares, 'area') };
  return (
    <>
      <ShareChart shares={shares} />
      <Table size="small" aria-label="Layers and area by outcome" sx={{ mt: 1 }}>
        <TableHead>
          <TableRow>
            <TableCell>Becomes</TableCell>
            <TableCell align="right">Layers</TableCell>
            <TableCell align="right">of all</TableCell>
            <TableCell align="right">Area in px²</TableCell>
            <TableCell align="right">of all</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {shares.map(({ outcome, layers, area }) => (
            <TableRow key={outcome}>
              <TableCell>
                <b>{OUTCOMES[outcome].letter}</b> {outcome}
              </TableCell>
              <TableCell align="right">{layers.toLocaleString('en')}</TableCell>
              <TableCell align="right">{percent(layers, whole.layers)}</TableCell>
              <TableCell align="right">{Math.round(area).toLocaleString('en')}</TableCell>
              <TableCell align="right">{percent(area, whole.area)}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </>
  );
}

function ShareChart({ shares }: { readonly shares: readonly OutcomeShare[] }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const { palette } = useTheme();
  useEffect(() => {
    if (!canvas.current) return undefined;
    const inks = [palette.text.primary, palette.text.secondary, palette.primary.main, palette.divider];
    const totals = [sum(shares, 'layers'), sum(shares, 'area')];
    const share = (value: number, of: number) => (of === 0 ? 0 : (value / of) * 100);
    const chart = new Chart(canvas.current, {
      type: 'bar',
      data: {
        labels: ['Layers', 'Area'],
        datasets: shares.map(({ outcome, layers, area }, at) => ({
          label: outcome,
          data: [share(layers, totals[0] ?? 0), share(area, totals[1] ?? 0)],
          backgroundColor: inks[at],
        })),
      },
      options: {
        indexAxis: 'y',
        animation: false,
        maintainAspectRatio: false,
        scales: {
          x: {
            stacked: true,
            max: 100,
            ticks: { callback: (value) => `${value}%`, color: palette.text.secondary },
          },
          y: { stacked: true, ticks: { color: palette.text.primary } },
        },
        plugins: { legend: { labels: { color: palette.text.primary } } },
      },
    });
    return () => chart.destroy();
  }, [shares, palette]);
  return (
    <Box sx={{ height: 170 }}>
      <canvas
        ref={canvas}
        role="img"
        aria-label="Shares of layers and area by outcome; the table below says the same"
      />
    </Box>
  );
}

function sum(shares: readonly OutcomeShare[], of: 'layers' | 'area'): number {
  return shares.reduce((all, share) => all + share[of], 0);
}

function percent(part: number, whole: number): string {
  return whole === 0 ? '–' : `${Math.round((part / whole) * 100)}%`;
}
