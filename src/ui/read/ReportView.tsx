'use client';
import { Box, Typography } from '@mui/material';
import { useState } from 'react';
import { Group, Panel, Separator } from 'react-resizable-panels';
import type { LayerId } from '../../core/mockup/layer';
import type { ReadingReport } from '../../core/sort/report/readingReport';
import type { Region } from '../../core/sort/facets/regions';
import type { FontRow } from '../../server/db/tables/fonts';
import { FindingList } from './FindingList';
import { FontTable } from './FontTable';
import { ReportPicture } from './ReportPicture';
import { ScreenTable } from './ScreenTable';
import type { FontActions } from './useFonts';

export interface ReportViewProps {
  readonly report: ReadingReport;
  /** URL of the picture of the whole sheet. */
  readonly picture: string;
  readonly addedFonts: readonly FontRow[];
  readonly fontActions: FontActions;
  /** Sets whether a group is a screen; null where this cannot be set yet. */
  readonly onScreen: ((layer: LayerId, isScreen: boolean) => void) | null;
  /** The URL where a layer can be sorted; null where there is none yet. */
  readonly sortAddress: ((layer: LayerId) => string) | null;
  /** Adds a region to a flat picture; null where none can be added. */
  readonly regions: ReportRegions | null;
}

export interface ReportRegions {
  readonly list: readonly Region[];
  readonly onChange: (regions: readonly Region[]) => void;
}

/** The report beside the mockup; hovering a finding highlights its layer. */
export function ReportView(props: ReportViewProps) {
  const { report, picture, addedFonts, fontActions, onScreen, sortAddress } = props;
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
            <Counts report={report} />
            <ScreenTable report={report} onScreen={onScreen} />
            {report.fonts.length + addedFonts.length > 0 && (
              <FontTable
                fonts={report.fonts}
                added={addedFonts}
                actions={fontActions}
                onLight={(layer) => setLit([layer])}
              />
            )}
            <FindingList
              findings={report.findings}
              paths={report.paths}
              lit={lit}
              onLight={setLit}
              sortAddress={sortAddress}
            />
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

function Counts({ report }: { readonly report: ReadingReport }) {
  const { kinds, bitmapPictures, patterns, instances, unnamed } = report;
  const total = kinds.group + kinds.shape + kinds.text + kinds.bitmap;
  const bitmaps =
    kinds.bitmap === 0
      ? 'no bitmaps'
      : `${kinds.bitmap} ${kinds.bitmap === 1 ? 'bitmap' : 'bitmaps'}, ${bitmapPictures} marked as pictures`;
  const counted = (count: number, what: string) => (count > 0 ? [`${count} ${what}`] : []);
  const parts = [
    ...counted(kinds.group, 'groups'),
    ...counted(kinds.shape, 'shapes'),
    ...counted(kinds.text, 'texts'),
    bitmaps,
    ...(patterns > 0 ? [`${patterns} patterns shown ${instances} times`] : []),
    ...counted(unnamed, 'without a name'),
  ];
  return (
    <Typography>
      <b>{total} layers</b>: {parts.join(', ')}.
    </Typography>
  );
}
