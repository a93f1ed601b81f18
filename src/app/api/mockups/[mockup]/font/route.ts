import { fontEnding } from '@/core/fontFiles';
import { fileResponse } from '@/server/fileResponse';
import { respond, parseId, query } from '@/server/http';
import { fontSchema, mockupFont } from '@/server/useCases/mockupFont';

/** A font of the mockup's texts, for the page that its worksheet shows; the address names the reading, so it lasts. */
export function GET(
  request: Request,
  { params }: { params: Promise<{ mockup: string }> },
): Promise<Response> {
  return respond(async () => {
    const id = parseId((await params).mockup, 'This mockup');
    const bytes = await mockupFont(id, query(request, fontSchema));
    const response = fileResponse(`font.${fontEnding(bytes)}`, bytes);
    response.headers.set('cache-control', 'private, max-age=86400');
    return response;
  });
}
