import Joi from 'joi';
import { fileResponse } from '@/server/fileResponse';
import { answer, parseId } from '@/server/http';
import { fontSchema, mockupFont, type FontWish } from '@/server/useCases/mockupFont';

/** A font of the mockup's texts, for the page that its worksheet shows; the address names the reading, so it lasts. */
export function GET(
  request: Request,
  { params }: { params: Promise<{ mockup: string }> },
): Promise<Response> {
  return answer(async () => {
    const id = parseId((await params).mockup, 'This mockup');
    const { searchParams } = new URL(request.url);
    const asked = {
      source: searchParams.get('source') ?? undefined,
      file: searchParams.get('file') ?? undefined,
    };
    const bytes = await mockupFont(id, Joi.attempt(asked, fontSchema) as FontWish);
    const response = fileResponse('font.woff2', bytes);
    response.headers.set('cache-control', 'private, max-age=86400');
    return response;
  });
}
