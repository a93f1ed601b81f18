'use client';
import { Alert, Box, Button, CircularProgress } from '@mui/material';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { ReadingView } from '../../server/useCases/readFile';
import { postJson, request, sentence } from '../shared/request';
import { TopBar } from '../shared/TopBar';
import { useResource } from '../shared/useResource';
import { ReportView } from './ReportView';
import { useFonts } from './useFonts';

/** The report on a file that is not on the shelf yet, with the next actions. */
export function ReadingView({ readingId }: { readonly readingId: string }) {
  const router = useRouter();
  const address = `/api/readings/${readingId}`;
  const { data, problem, reload } = useResource<ReadingView>(address);
  const [refused, setRefused] = useState<string | null>(null);
  const [shelving, setShelving] = useState(false);
  const fonts = useFonts(readingId, `${address}/again`, reload);

  const shelve = async () => {
    setShelving(true);
    try {
      const { mockupId } = await postJson<{ mockupId: string }>('/api/projects', { reading: readingId });
      router.push(`/mockups/${mockupId}/sort`);
    } catch (error) {
      setRefused(sentence(error));
      setShelving(false);
    }
  };
  const leave = async () => {
    await request(address, { method: 'DELETE' }).catch(() => undefined);
    router.push('/');
  };
  const said = problem ?? refused ?? fonts.problem;
  return (
    <>
      <TopBar title={data ? data.fileName : 'Read'}>
        <Button color="inherit" onClick={() => void leave()}>
          Discard
        </Button>
        <Button variant="contained" disabled={!data || shelving} onClick={() => void shelve()}>
          Create project
        </Button>
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
            onScreen={null}
            sortAddress={null}
            regions={null}
            next={null}
          />
        )}
      </Box>
    </>
  );
}
