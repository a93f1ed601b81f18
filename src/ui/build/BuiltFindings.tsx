'use client';
import { Box } from '@mui/material';
import type { Severity } from '../../core/findings/wording';
import type { BuiltFinding } from '../../server/buildTypes';
import { FindingList } from '../shared/FindingList';

interface BuiltFindingsProps {
  readonly findings: readonly BuiltFinding[];
  readonly mockupId: string;
}

/** The findings of a build; each leads to its layer. */
export function BuiltFindings({ findings, mockupId }: BuiltFindingsProps) {
  const listed = findings.map(({ code, severity, message, layer, id = null, title }) => ({
    code,
    severity: severity as Severity,
    message,
    layer: id,
    title: title ?? layer ?? '',
  }));
  return (
    <Box
      tabIndex={0}
      role="group"
      aria-label="Findings of the build"
      sx={{ overflow: 'auto', p: 2, maxWidth: 860 }}
    >
      <FindingList
        findings={listed}
        sortAddress={(layer) => `/mockups/${mockupId}/sort?layer=${encodeURIComponent(layer)}`}
      />
    </Box>
  );
}
