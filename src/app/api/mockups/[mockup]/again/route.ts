import { respond, parseId } from '@/server/http';
import { rereadMockup } from '@/server/useCases/reviewMockup';

export function POST(
  request: Request,
  { params }: { params: Promise<{ mockup: string }> },
): Promise<Response> {
  return respond(async () => rereadMockup(parseId((await params).mockup, 'This mockup'), request.signal));
}
