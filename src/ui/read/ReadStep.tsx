'use client';
import { Button, CircularProgress } from '@mui/material';
import NextLink from 'next/link';
import type { Region } from '../../core/sort/facets/regions';
import type { TagEdit } from '../../server/useCases/editTags';
import type { OpenedMockup } from '../../server/useCases/openMockup';
import type { ReviewedMockup } from '../../server/useCases/reviewMockup';
import { StepFrame } from '../shared/StepFrame';
import { useEdits } from '../shared/useEdits';
import { useResource } from '../shared/useResource';
import { useUnconfirmed } from '../shared/useUnconfirmed';
import { ReportView } from './ReportView';
import { useFonts } from './useFonts';

/** The Read step: the report, the choice of screens, and the regions of a flat picture. */
export function ReadStep({ mockupId }: { readonly mockupId: string }) {
  const address = `/api/mockups/${mockupId}`;
  const { data, problem, reload } = useResource<ReviewedMockup>(`${address}/report`);
  const { data: opened, reload: reopen } = useResource<OpenedMockup>(address);
  const refresh = () => {
    reload();
    reopen();
  };
  const fonts = useFonts(data?.projectId, `${address}/again`, refresh);
  const edits = useEdits(mockupId, refresh);
  const edit = (tagEdit: TagEdit) => edits.send(() => edits.edit([tagEdit]));
  const flat = opened?.mockup.format === 'flat' ? opened.mockup.screens[0]?.root.layers[0] : undefined;
  const [regions, setRegions] = useUnconfirmed((flat && opened?.tags[flat.id]?.regions) ?? [], opened);
  const said = problem ?? edits.refused ?? fonts.problem;
  return (
    <StepFrame
      step="read"
      title={data?.name ?? 'Read'}
      mockupId={mockupId}
      opened={opened}
      history={edits}
      problem={said}
    >
      {!data && !said && <CircularProgress size={24} aria-label="Opening the report" sx={{ m: 3 }} />}
      {data && (
        <ReportView
          report={data.report}
          picture={`${address}/picture`}
          addedFonts={data.addedFonts}
          fontActions={fonts}
          onScreen={(layer, value) => edit({ layer, facet: 'screen', value })}
          sortAddress={(layer) => `/mockups/${mockupId}/sort?layer=${encodeURIComponent(layer)}`}
          next={
            <Button variant="contained" component={NextLink} href={`/mockups/${mockupId}/sort`}>
              Sort the layers
            </Button>
          }
          regions={
            flat
              ? {
                  list: regions,
                  onChange: (next: readonly Region[]) => {
                    setRegions(next);
                    edit({ layer: flat.id, facet: 'regions', value: next.length > 0 ? next : null });
                  },
                }
              : null
          }
        />
      )}
    </StepFrame>
  );
}
