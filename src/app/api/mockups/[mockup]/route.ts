import { answer, parseId } from '@/server/http';
import { openMockup } from '@/server/useCases/openMockup';

export function GET(_: Request, { params }: { params: Promise<{ mockup: string }> }): Promise<Response> {
  return answer(async () => openMockup(parseId((await params).mockup, 'This mockup')));
}
