import Joi from 'joi';
import { answer, body, parseId } from '@/server/http';
import { setFacets, wishesSchema } from '@/server/useCases/editTags';
import { followEdits } from '@/server/useCases/followEdits';

export function POST(
  request: Request,
  { params }: { params: Promise<{ mockup: string }> },
): Promise<Response> {
  return answer(async () => {
    const id = parseId((await params).mockup, 'This mockup');
    const { wishes, ...known } = await body(request, wishesSchema);
    return setFacets(id, wishes, known);
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
  return answer(async () => {
    const id = parseId((await params).mockup, 'This mockup');
    const after: unknown = new URL(request.url).searchParams.get('after') ?? '0';
    return followEdits(id, Joi.attempt(after, AFTER) as string);
  });
}
