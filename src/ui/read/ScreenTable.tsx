import { Box, Checkbox, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import { visuallyHidden } from '@mui/utils';
import type { LayerId } from '../../core/mockup/layer';
import type { ReadingReport } from '../../core/sort/report/readingReport';

interface ScreenTableProps {
  readonly report: ReadingReport;
  readonly onScreen: ((layer: LayerId, isScreen: boolean) => void) | null;
}

/** The screens of the file; for a sheet with several, the groups that are screens. */
export function ScreenTable({ report, onScreen }: ScreenTableProps) {
  const { screens, candidates, sheet } = report;
  const layersOf = new Map(screens.map(({ id, layers }) => [id, layers]));
  const px = (value: number) => Math.round(value * 100) / 100;
  return (
    <Box component="section" aria-label="Screens">
      <Typography variant="h2" gutterBottom>
        {screens.length === 1 ? 'One screen' : `${screens.length} screens`}
      </Typography>
      {candidates.length === 0 ? (
        screens.map(({ id, name, width, height, layers }) => (
          <Typography key={id}>
            {name}, {px(width)}×{px(height)} px, {layers} layers
          </Typography>
        ))
      ) : (
        <>
          <Typography color="text.secondary" sx={{ mb: 0.5 }}>
            The drawing is {px(sheet.width)}×{px(sheet.height)} px. Is one of these groups a screen of its
            own?
            {!onScreen && ' You can say so once the project is created.'}
          </Typography>
          <Table size="small" aria-label="Screens of the sheet">
            <TableHead>
              <TableRow>
                <TableCell padding="checkbox">
                  <Box component="span" sx={visuallyHidden}>
                    Is a screen
                  </Box>
                </TableCell>
                <TableCell>Group</TableCell>
                <TableCell align="right">Size in px</TableCell>
                <TableCell align="right">Layers</TableCell>
                <TableCell>Why</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {candidates.map(({ layer, name, box, isScreen, said }) => (
                <TableRow key={layer}>
                  <TableCell padding="checkbox">
                    <Checkbox
                      size="small"
                      checked={isScreen}
                      disabled={!onScreen}
                      onChange={(_, checked) => onScreen?.(layer, checked)}
                      slotProps={{ input: { 'aria-label': `${name} is a screen` } }}
                    />
                  </TableCell>
                  <TableCell>{name}</TableCell>
                  <TableCell align="right">
                    {px(box.width)}×{px(box.height)}
                  </TableCell>
                  <TableCell align="right">{layersOf.get(layer) ?? '–'}</TableCell>
                  <TableCell>{reason(isScreen, said)}</TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </>
      )}
    </Box>
  );
}

function reason(isScreen: boolean, said: boolean): string {
  if (said) return 'set by you';
  return isScreen ? 'its size, and its place beside others' : 'its size is not typical of a screen';
}
