import { ReadingView } from '@/ui/read/ReadingView';

export default async function Page({ params }: { params: Promise<{ reading: string }> }) {
  return <ReadingView readingId={(await params).reading} />;
}
