import { respond, body, parseId } from '@/server/http';
import { dropView, keepView, viewSchema } from '@/server/useCases/views';

type Place = { params: Promise<{ mockup: string }> };

/** Keeps the query in the body as a view. */
export function POST(request: Request, { params }: Place): Promise<Response> {
  return respond(async () => {
    const id = parseId((await params).mockup, 'This mockup');
    return keepView(id, (await body(request, viewSchema)).query);
  });
}

/** Drops the view whose query is in the body. */
export function DELETE(request: Request, { params }: Place): Promise<Response> {
  return respond(async () => {
    const id = parseId((await params).mockup, 'This mockup');
    return dropView(id, (await body(request, viewSchema)).query);
  });
}
