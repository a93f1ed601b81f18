import { Box, Button, Collapse, Link as MuiLink, Typography } from '@mui/material';
import NextLink from 'next/link';
import { useState } from 'react';
import { sayFinding, severityOf, type Finding } from '../../core/findings/finding';
import type { ReadingReport } from '../../core/sort/report/readingReport';
import { WORDING, type FindingCode, type Severity } from '../../core/findings/wording';
import { namesInPath } from '../../core/mockup/identity';
import type { LayerId } from '../../core/mockup/layer';

/** The most lines of one kind. */
const MOST = 60;
const MARKS: Readonly<Record<Severity, string>> = { error: '✕', warning: '!', note: 'i' };
const ORDER: readonly Severity[] = ['error', 'warning', 'note'];

interface FindingListProps {
  readonly findings: readonly Finding[];
  /** The paths of their layers. */
  readonly paths: ReadingReport['paths'];
  readonly lit: readonly LayerId[];
  readonly onLight: (layers: readonly LayerId[]) => void;
  readonly sortAddress: ((layer: LayerId) => string) | null;
}

/** The findings by kind, the most severe first; each links to its layer. */
export function FindingList({ findings, paths, lit, onLight, sortAddress }: FindingListProps) {
  const kinds = new Map<FindingCode, Finding[]>();
  for (const finding of findings) kinds.set(finding.code, [...(kinds.get(finding.code) ?? []), finding]);
  const groups = [...kinds.values()].sort((one, other) => rank(one) - rank(other));
  return (
    <Box component="section" aria-label="Findings">
      <Typography variant="h2" gutterBottom>
        {findings.length === 0
          ? 'No findings'
          : findings.length === 1
            ? 'One finding'
            : `${findings.length} findings`}
      </Typography>
      {groups.map((group) => (
        <FindingGroup
          key={group[0]?.code}
          group={group}
          paths={paths}
          lit={lit}
          onLight={onLight}
          sortAddress={sortAddress}
        />
      ))}
    </Box>
  );
}

function rank([first]: readonly Finding[]): number {
  return first ? ORDER.indexOf(severityOf(first)) : ORDER.length;
}

function FindingGroup({
  group,
  paths,
  lit,
  onLight,
  sortAddress,
}: Omit<FindingListProps, 'findings'> & { readonly group: readonly Finding[] }) {
  const [open, setOpen] = useState(false);
  const [first] = group;
  if (!first) return null;
  const severity = severityOf(first);
  const layers = group.flatMap(({ layer }) => layer ?? []);
  return (
    <Box sx={{ borderTop: 1, borderColor: 'divider', py: 0.5 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
        <Box
          component="span"
          title={severity}
          sx={{
            width: 18,
            textAlign: 'center',
            fontWeight: 700,
            border: 1,
            borderRadius: severity === 'note' ? 9 : 0,
          }}
        >
          {MARKS[severity]}
        </Box>
        <Button
          color="inherit"
          size="small"
          aria-expanded={open}
          onClick={() => setOpen(!open)}
          sx={{ flex: 1, justifyContent: 'flex-start', textAlign: 'left' }}
        >
          {WORDING[first.code].title}: {group.length}
        </Button>
        {layers.length > 0 && (
          <Button color="inherit" size="small" onClick={() => onLight(layers)}>
            Show in the mockup
          </Button>
        )}
      </Box>
      <Collapse in={open} unmountOnExit>
        <Box component="ul" sx={{ m: 0, mb: 0.5, pl: 4, display: 'grid', gap: 0.25 }}>
          {group.slice(0, MOST).map((finding, at) => (
            <FindingLine
              key={at}
              finding={finding}
              paths={paths}
              isLit={finding.layer !== null && lit.includes(finding.layer)}
              onLight={onLight}
              sortAddress={sortAddress}
            />
          ))}
          {group.length > MOST && <li>and {group.length - MOST} more</li>}
        </Box>
      </Collapse>
    </Box>
  );
}

interface FindingLineProps extends Pick<FindingListProps, 'paths' | 'onLight' | 'sortAddress'> {
  readonly finding: Finding;
  readonly isLit: boolean;
}

function FindingLine({ finding, paths, isLit, onLight, sortAddress }: FindingLineProps) {
  const { layer } = finding;
  const name = layer === null ? '' : shortPath(paths[layer] ?? '');
  return (
    <Box component="li" sx={{ bgcolor: isLit ? 'action.selected' : undefined }}>
      {sayFinding(finding)}{' '}
      {layer !== null && (
        <>
          <MuiLink
            component="button"
            color="inherit"
            onClick={() => onLight([layer])}
            sx={{ verticalAlign: 'baseline' }}
          >
            {name}
          </MuiLink>
          {sortAddress && (
            <>
              {' '}
              <MuiLink
                component={NextLink}
                href={sortAddress(layer)}
                color="text.secondary"
                aria-label={`Sort ${name}`}
              >
                sort it
              </MuiLink>
            </>
          )}
        </>
      )}
    </Box>
  );
}

/** The last two names of a path; the sheet has none. */
function shortPath(path: string): string {
  return namesInPath(path).slice(-2).join(' / ') || 'the whole sheet';
}
