import { SortStep } from '@/ui/sort/SortStep';

export default async function Page({ params }: { params: Promise<{ mockup: string }> }) {
  return <SortStep mockupId={(await params).mockup} />;
}
