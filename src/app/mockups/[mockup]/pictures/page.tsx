import { PicturesStep } from '@/ui/pictures/PicturesStep';

export default async function Page({ params }: { params: Promise<{ mockup: string }> }) {
  return <PicturesStep mockupId={(await params).mockup} />;
}
