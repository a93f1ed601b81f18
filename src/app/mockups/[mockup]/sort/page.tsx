import { headers } from 'next/headers';
import { EarlyRequest } from '@/ui/shared/EarlyRequest';
import { SortStep } from '@/ui/sort/SortStep';

export default async function Page({ params }: { params: Promise<{ mockup: string }> }) {
  const { mockup } = await params;
  const nonce = (await headers()).get('x-nonce') ?? '';
  return (
    <>
      <EarlyRequest mockupId={mockup} nonce={nonce} />
      <SortStep mockupId={mockup} />
    </>
  );
}
