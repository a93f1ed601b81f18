'use client';
import { Box, Typography } from '@mui/material';
import { useState, type ReactNode } from 'react';
import { Group, Panel, Separator } from 'react-resizable-panels';
import type { LayerId } from '../../core/mockup/layer';
import type { ReadingReport } from '../../core/sort/report/readingReport';
import type { Region } from '../../core/sort/facets/regions';
import type { AddedFont } from '../../server/useCases/fonts';
import { FindingList } from '../shared/FindingList';
import { sayFinding, severityOf } from '../../core/findings/finding';
import { FontTable } from './FontTable';
import { ReportPicture } from './ReportPicture';
import { ScreenTable } from './ScreenTable';
import type { FontActions } from './useFonts';

export interface ReportViewProps {
  readonly report: ReadingReport;
  /** URL of the picture of the whole sheet. */
  readonly picture: string;
  readonly addedFonts: readonly AddedFont[];
  readonly fontActions: FontActions;
  /** Sets whether a group is a screen; null where this cannot be set yet. */
  readonly onScreen: ((layer: LayerId, isScreen: boolean) => void) | null;
  /** The URL where a layer can be sorted; null where there is none yet. */
  readonly sortAddress: ((layer: LayerId) => string) | null;
  /** The button of what to do next. */
  readonly next: ReactNode;
  /** Adds a region to a flat picture; null where none can be added. */
  readonly regions: ReportRegions | null;
}

export interface ReportRegions {
  readonly list: readonly Region[];
  readonly onChange: (regions: readonly Region[]) => void;
}

/** The report beside the mockup; hovering a finding highlights its layer. */
export function ReportView(props: ReportViewProps) {
  const { report, picture, addedFonts, fontActions, onScreen, sortAddress, next } = props;
  const [lit, setLit] = useState<readonly LayerId[]>([]);
  return (
    <Box sx={{ flex: 1, minHeight: 0, '& [data-separator]': { bgcolor: 'divider' } }}>
      <Group orientation="horizontal" style={{ height: '100%' }}>
        <Panel defaultSize="56%" minSize="25%">
          <Box
            tabIndex={0}
            role="group"
            aria-label="Report"
            sx={{
              height: '100%',
              overflow: 'auto',
              px: 2,
              py: 1.5,
              display: 'grid',
              gap: 2.5,
              alignContent: 'start',
            }}
          >
            <Attention report={report} next={next} />
            <FindingList
              findings={report.findings.map((finding) => ({
                code: finding.code,
                severity: severityOf(finding),
                message: sayFinding(finding),
                layer: finding.layer,
                title: finding.layer === null ? '' : (report.titles[finding.layer] ?? 'the whole drawing'),
              }))}
              lit={lit}
              onLight={setLit}
              sortAddress={sortAddress}
            />
            {report.fonts.length + addedFonts.length > 0 && (
              <FontTable
                fonts={report.fonts}
                added={addedFonts}
                actions={fontActions}
                onLight={(layer) => setLit([layer])}
              />
            )}
            <ScreenTable report={report} onScreen={onScreen} />
          </Box>
        </Panel>
        <Separator aria-label="Width of the report" style={{ width: 5 }} />
        <Panel minSize="15%">
          <ReportPicture report={report} picture={picture} lit={lit} regions={props.regions} />
        </Panel>
      </Group>
    </Box>
  );
}

/** What needs attention, first; and the next thing to do. */
function Attention({ report, next }: { readonly report: ReadingReport; readonly next: ReactNode }) {
  const missing = report.fonts.filter(({ state }) => state !== 'present').length;
  const warnings = report.findings.filter((finding) => severityOf(finding) !== 'note').length;
  const points = [
    ...(missing > 0 ? [`${missing === 1 ? 'one font is' : `${missing} fonts are`} not here`] : []),
    ...(warnings > 0 ? [`${warnings === 1 ? 'one finding needs' : `${warnings} findings need`} a look`] : []),
  ];
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, flexWrap: 'wrap' }}>
      <Box sx={{ flex: '1 1 260px' }}>
        <Typography variant="h2">
          {points.length === 0 ? 'Everything was understood' : `Ready; ${points.join(', and ')}`}
        </Typography>
        <Counts report={report} />
      </Box>
      {next}
    </Box>
  );
}

function Counts({ report }: { readonly report: ReadingReport }) {
  const { kinds, bitmapPictures, patterns, instances, unnamed } = report;
  const total = kinds.group + kinds.shape + kinds.text + kinds.bitmap;
  const bitmaps =
    kinds.bitmap === 0
      ? 'no bitmaps'
      : `${kinds.bitmap} ${kinds.bitmap === 1 ? 'bitmap' : 'bitmaps'}, ${bitmapPictures} set to picture`;
  const counted = (count: number, what: string) =>
    count > 0 ? [`${count} ${what}${count === 1 ? '' : 's'}`] : [];
  const parts = [
    ...counted(kinds.group, 'group'),
    ...counted(kinds.shape, 'shape'),
    ...counted(kinds.text, 'text'),
    bitmaps,
    ...(patterns > 0 ? [`${patterns} patterns shown ${instances} times`] : []),
    ...(unnamed > 0 ? [`${unnamed} unnamed`] : []),
  ];
  return (
    <Typography>
      <b>
        {total} {total === 1 ? 'layer' : 'layers'}
      </b>
      : {parts.join(', ')}.
    </Typography>
  );
}
