import { Box, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import { useTheme } from '@mui/material/styles';
import { BarController, BarElement, CategoryScale, Chart, LinearScale, Tooltip } from 'chart.js';
import { useEffect, useRef } from 'react';
import type { StyleBook } from '../../core/emit/styleBook';
import { bytesText } from '../shared/bytesText';

Chart.register(BarController, BarElement, CategoryScale, LinearScale, Tooltip);

/** What the style sheet costs, and which colours it uses most. */
export function StyleCharts({ book }: { readonly book: StyleBook }) {
  const { palette } = useTheme();
  const { bytes, themes, tokens } = book;
  const colours = tokens
    .filter(({ kind }) => kind === 'colour')
    .toSorted((one, other) => other.uses - one.uses);
  const sizes = [
    { label: 'a rule for every element', bytes: bytes.apart },
    { label: 'shared classes', bytes: bytes.sheet },
    ...themes.map((theme) => ({ label: `of it: theme ${theme.name}`, bytes: theme.bytes })),
  ];
  return (
    <Box
      sx={{
        flex: 1,
        minHeight: 0,
        overflow: 'auto',
        p: 2,
        display: 'grid',
        gap: 4,
        gridTemplateColumns: 'repeat(2, minmax(0, 1fr))',
        alignItems: 'start',
      }}
    >
      <Box component="section" aria-label="Size of the style sheet">
        <Typography variant="h2">Size of the style sheet</Typography>
        <Bars
          label="Bytes of the style sheet"
          labels={sizes.map(({ label }) => label)}
          values={sizes.map((size) => size.bytes)}
          inks={sizes.map((_, at) => (at === 1 ? palette.primary.main : palette.text.secondary))}
        />
        <Table size="small" aria-label="Bytes of the style sheet">
          <TableBody>
            {sizes.map(({ label, bytes: each }) => (
              <TableRow key={label}>
                <TableCell>{label}</TableCell>
                <TableCell align="right">{bytesText(each)}</TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </Box>
      <Box component="section" aria-label="Colours by use">
        <Typography variant="h2">Colours by use</Typography>
        <Bars
          label="Uses of colours"
          labels={colours.map(({ name }) => name)}
          values={colours.map(({ uses }) => uses)}
          inks={colours.map(({ value }) => value)}
        />
        <Table size="small" aria-label="Uses of colours">
          <TableHead>
            <TableRow>
              <TableCell>Colour</TableCell>
              <TableCell align="right">Uses</TableCell>
              <TableCell>Mostly as</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {colours.map(({ name, uses, places }) => (
              <TableRow key={name}>
                <TableCell>{name}</TableCell>
                <TableCell align="right">{uses}</TableCell>
                <TableCell>
                  {Object.entries(places).sort((one, other) => other[1] - one[1])[0]?.[0] ?? ''}
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </Box>
    </Box>
  );
}

interface BarsProps {
  readonly label: string;
  readonly labels: readonly string[];
  readonly values: readonly number[];
  readonly inks: readonly string[];
}

function Bars({ label, labels, values, inks }: BarsProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const { palette } = useTheme();
  useEffect(() => {
    if (!canvas.current) return undefined;
    const chart = new Chart(canvas.current, {
      type: 'bar',
      data: {
        labels: [...labels],
        datasets: [
          { data: [...values], backgroundColor: [...inks], borderColor: palette.divider, borderWidth: 1 },
        ],
      },
      options: {
        indexAxis: 'y',
        animation: false,
        maintainAspectRatio: false,
        scales: {
          x: { ticks: { color: palette.text.primary, precision: 0 }, grid: { color: palette.divider } },
          y: { ticks: { color: palette.text.primary }, grid: { display: false } },
        },
      },
    });
    return () => chart.destroy();
  });
  return (
    <Box sx={{ height: 40 + 26 * labels.length, my: 1 }}>
      <canvas ref={canvas} role="img" aria-label={label} />
    </Box>
  );
}
