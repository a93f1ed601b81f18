import { ReadStep } from '@/ui/read/ReadStep';

export default async function Page({ params }: { params: Promise<{ mockup: string }> }) {
  return <ReadStep mockupId={(await params).mockup} />;
}
