import ChevronRight from '@mui/icons-material/ChevronRight';
import ExpandMore from '@mui/icons-material/ExpandMore';
import { Box, Button, Collapse, Link as MuiLink, Typography } from '@mui/material';
import NextLink from 'next/link';
import { useState } from 'react';
import { WORDING, type Severity } from '../../core/findings/wording';
import type { LayerId } from '../../core/mockup/layer';

/** The most lines of one kind. */
const MOST = 60;
const MARKS: Readonly<Record<Severity, string>> = { error: '✕', warning: '!', note: 'i' };
const ORDER: readonly Severity[] = ['error', 'warning', 'note'];

/** A finding as it is listed. */
export interface ListedFinding {
  readonly code: string;
  readonly severity: Severity;
  readonly message: string;
  readonly layer: LayerId | null;
  /** The name of the layer for people. */
  readonly title: string;
}

interface FindingListProps {
  readonly findings: readonly ListedFinding[];
  /** The layers that are shown in the mockup. */
  readonly lit?: readonly LayerId[];
  /** Shows layers in the mockup; absent where there is no mockup beside the list. */
  readonly onLight?: (layers: readonly LayerId[]) => void;
  /** The address where a layer is sorted; null where it cannot be yet. */
  readonly sortAddress: ((layer: LayerId) => string) | null;
}

/** The findings by kind, the most severe first; each links to its layer. */
export function FindingList({ findings, lit = [], onLight, sortAddress }: FindingListProps) {
  const kinds = new Map<string, ListedFinding[]>();
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
          lit={lit}
          onLight={onLight}
          sortAddress={sortAddress}
        />
      ))}
    </Box>
  );
}

function rank([first]: readonly ListedFinding[]): number {
  return first ? ORDER.indexOf(first.severity) : ORDER.length;
}

function FindingGroup({
  group,
  lit = [],
  onLight,
  sortAddress,
}: Omit<FindingListProps, 'findings'> & { readonly group: readonly ListedFinding[] }) {
  const [open, setOpen] = useState(false);
  const [first] = group;
  if (!first) return null;
  const { severity } = first;
  const layers = group.flatMap(({ layer }) => layer ?? []);
  return (
    <Box sx={{ borderTop: 1, borderColor: 'divider', py: 0.5 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
        <Mark severity={severity} />
        <Button
          color="inherit"
          size="small"
          aria-expanded={open}
          onClick={() => setOpen(!open)}
          startIcon={open ? <ExpandMore /> : <ChevronRight />}
          sx={{ flex: 1, justifyContent: 'flex-start', textAlign: 'left' }}
        >
          {titleOf(first)}: {group.length}
        </Button>
        {layers.length > 0 && onLight && (
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

interface FindingLineProps extends Pick<FindingListProps, 'onLight' | 'sortAddress'> {
  readonly finding: ListedFinding;
  readonly isLit: boolean;
}

function FindingLine({ finding, isLit, onLight, sortAddress }: FindingLineProps) {
  const { layer, title, message } = finding;
  return (
    <Box component="li" sx={{ bgcolor: isLit ? 'action.selected' : undefined }}>
      {message}{' '}
      {layer !== null && onLight && (
        <MuiLink
          component="button"
          color="inherit"
          onClick={() => onLight([layer])}
          sx={{ verticalAlign: 'baseline' }}
        >
          {title}
        </MuiLink>
      )}
      {layer !== null && !onLight && <b>{title}</b>}
      {layer === null && title && <b>{title}</b>}
      {layer !== null && sortAddress && (
        <>
          {' '}
          <MuiLink
            component={NextLink}
            href={sortAddress(layer)}
            color="text.secondary"
            aria-label={`Show ${title} in Sort`}
          >
            Show in Sort
          </MuiLink>
        </>
      )}
    </Box>
  );
}

/** The severity by sign and shape. */
function Mark({ severity }: { readonly severity: Severity }) {
  return (
    <Box
      component="span"
      title={severity}
      sx={{
        width: 20,
        height: 20,
        lineHeight: '18px',
        flex: 'none',
        textAlign: 'center',
        fontSize: 12,
        fontWeight: 700,
        border: 1,
        borderRadius: severity === 'note' ? '50%' : 0,
        ...(severity !== 'note' && {
          bgcolor: 'text.primary',
          color: 'background.paper',
          borderColor: 'text.primary',
        }),
      }}
    >
      {MARKS[severity]}
    </Box>
  );
}

/** The kind's title; of a kind that this Orden does not know any more, its sentence. */
function titleOf({ code, message }: ListedFinding): string {
  return isKnown(code) ? WORDING[code].title : message;
}

function isKnown(code: string): code is keyof typeof WORDING {
  return code in WORDING;
}
