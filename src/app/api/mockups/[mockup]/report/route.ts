import { respond, parseId } from '@/server/http';
import { reviewMockup } from '@/server/useCases/reviewMockup';

export function GET(_: Request, { params }: { params: Promise<{ mockup: string }> }): Promise<Response> {
  return respond(async () => reviewMockup(parseId((await params).mockup, 'This mockup')));
}
