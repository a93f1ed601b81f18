import { ShelfOrReport } from '@/ui/shelf/Shelf';

export default function Page() {
  return <ShelfOrReport />;
}
