import { answer, parseId } from '@/server/http';
import { reviewMockup } from '@/server/useCases/reviewMockup';

export function GET(_: Request, { params }: { params: Promise<{ mockup: string }> }): Promise<Response> {
  return answer(async () => reviewMockup(parseId((await params).mockup, 'This mockup')));
}
