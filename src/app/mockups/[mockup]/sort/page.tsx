import { EarlyRequest } from '@/ui/shared/EarlyRequest';
import { SortStep } from '@/ui/sort/SortStep';

export default async function Page({ params }: { params: Promise<{ mockup: string }> }) {
  const { mockup } = await params;
  return (
    <>
      <EarlyRequest mockupId={mockup} />
      <SortStep mockupId={mockup} />
    </>
  );
}
