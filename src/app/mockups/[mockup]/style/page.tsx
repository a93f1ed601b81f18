import { StyleStep } from '@/ui/style/StyleStep';

export default async function Page({ params }: { params: Promise<{ mockup: string }> }) {
  return <StyleStep mockupId={(await params).mockup} />;
}
