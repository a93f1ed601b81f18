import { respond, parseId } from '@/server/http';
import { openMockup } from '@/server/useCases/openMockup';

export function GET(_: Request, { params }: { params: Promise<{ mockup: string }> }): Promise<Response> {
  return respond(async () => {
    const text = await openMockup(parseId((await params).mockup, 'This mockup'));
    return new Response(text, { headers: { 'content-type': 'application/json; charset=utf-8' } });
  });
}
