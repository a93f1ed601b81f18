import Joi from 'joi';
import { respond, body, parseId } from '@/server/http';
import { setFacets, tagEditsSchema } from '@/server/useCases/editTags';
import { followEdits } from '@/server/useCases/followEdits';

export function POST(
  request: Request,
  { params }: { params: Promise<{ mockup: string }> },
): Promise<Response> {
  return respond(async () => {
    const id = parseId((await params).mockup, 'This mockup');
    const { edits, ...known } = await body(request, tagEditsSchema);
    return setFacets(id, edits, known);
  });
}

const AFTER = Joi.string()
  .pattern(/^\d{1,18}$/)
  .required()
  .label('after');

/** What was edited after the edit `after`, so that other tabs and people can follow. */
export function GET(
  request: Request,
  { params }: { params: Promise<{ mockup: string }> },
): Promise<Response> {
  return respond(async () => {
    const id = parseId((await params).mockup, 'This mockup');
    const after: unknown = new URL(request.url).searchParams.get('after') ?? '0';
    return followEdits(id, Joi.attempt(after, AFTER) as string);
  });
}
