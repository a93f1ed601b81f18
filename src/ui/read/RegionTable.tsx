import { Button, Table, TableBody, TableCell, TableHead, TableRow } from '@mui/material';
import type { ReportRegions } from './ReportView';

/** The marked regions, with a button that removes each. */
export function RegionTable({ regions }: { readonly regions: ReportRegions }) {
  if (regions.list.length === 0) return null;
  return (
    <Table size="small" aria-label="Regions" sx={{ mt: 1.5, bgcolor: 'background.paper' }}>
      <TableHead>
        <TableRow>
          <TableCell>Region</TableCell>
          <TableCell align="right">Place in px</TableCell>
          <TableCell align="right">Size in px</TableCell>
          <TableCell align="right">Take back</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {regions.list.map(({ name, x, y, width, height }) => (
          <TableRow key={name}>
            <TableCell>{name}</TableCell>
            <TableCell align="right">
              {x}, {y}
            </TableCell>
            <TableCell align="right">
              {width}×{height}
            </TableCell>
            <TableCell align="right">
              <Button
                size="small"
                color="inherit"
                aria-label={`Take back the region ${name}`}
                onClick={() => regions.onChange(regions.list.filter((region) => region.name !== name))}
              >
                Take back
              </Button>
            </TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Table>
  );
}
