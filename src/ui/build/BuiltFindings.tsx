'use client';
import { Table, TableBody, TableCell, TableHead, TableRow, Typography, Box } from '@mui/material';
import type { PlainFinding } from '../../engine/manifest';
import { MONO } from '../shared/theme';

/** The findings of a build. */
export function BuiltFindings({ findings }: { readonly findings: readonly PlainFinding[] }) {
  if (findings.length === 0) {
    return (
      <Typography sx={{ p: 3, color: 'text.secondary' }}>
        Nothing to mend: everything in the mockup was understood.
      </Typography>
    );
  }
  return (
    <Box tabIndex={0} role="group" aria-label="Findings" sx={{ overflow: 'auto' }}>
      <Table size="small" aria-label="Findings">
        <TableHead>
          <TableRow>
            <TableCell>Severity</TableCell>
            <TableCell>Finding</TableCell>
            <TableCell>Layer</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {findings.map((finding, at) => (
            <TableRow key={at}>
              <TableCell>{finding.severity}</TableCell>
              <TableCell>{finding.message}</TableCell>
              <TableCell sx={{ fontFamily: MONO, fontSize: 12 }}>{finding.layer ?? ''}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </Box>
  );
}
