'use client';
import { Alert, Box, Button, CircularProgress } from '@mui/material';
import NextLink from 'next/link';
import { useState } from 'react';
import type { Region } from '../../core/sort/facets/regions';
import type { Edited, TagEdit } from '../../server/useCases/editTags';
import type { OpenedMockup } from '../../server/useCases/openMockup';
import type { ReviewedMockup } from '../../server/useCases/reviewMockup';
import { postJson } from '../shared/request';
import { TopBar } from '../shared/TopBar';
import { useResource } from '../shared/useResource';
import { useSendQueue } from '../shared/useSendQueue';
import { HistoryButtons } from '../shared/HistoryButtons';
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
  const { send, refused } = useSendQueue(refresh);
  const edit = (tagEdit: TagEdit) => send(() => postJson<Edited>(`${address}/edits`, { edits: [tagEdit] }));
  const flat = opened?.mockup.format === 'flat' ? opened.mockup.screens[0]?.root.layers[0] : undefined;
  /**
   * Regions not yet confirmed by the server, and the server's state before: the next change must include
   * them.
   */
  const [own, setOwn] = useState<{ readonly list: readonly Region[]; readonly since: typeof opened } | null>(
    null,
  );
  const list = own && own.since === opened ? own.list : flat && opened?.tags[flat.id]?.regions;
  const said = problem ?? refused ?? fonts.problem;
  return (
    <>
      <TopBar title={data?.name ?? 'Read'} mockupId={mockupId} step="read">
        <HistoryButtons
          canUndo={opened?.canUndo ?? false}
          canRedo={opened?.canRedo ?? false}
          onUndo={() => send(() => postJson(`${address}/undo`, {}))}
          onRedo={() => send(() => postJson(`${address}/redo`, {}))}
        />
      </TopBar>
      <Box component="main" sx={{ flex: 1, minHeight: 0, display: 'flex', flexDirection: 'column' }}>
        {said && <Alert severity="error">{said}</Alert>}
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
                    list: list ?? [],
                    onChange: (regions: readonly Region[]) => {
                      setOwn({ list: regions, since: opened });
                      edit({ layer: flat.id, facet: 'regions', value: regions.length > 0 ? regions : null });
                    },
                  }
                : null
            }
          />
        )}
      </Box>
    </>
  );
}
