import { BuildStep } from '@/ui/build/BuildStep';

export default async function Page({ params }: { params: Promise<{ mockup: string }> }) {
  return <BuildStep mockupId={(await params).mockup} />;
}
