import { respond, body, parseId } from '@/server/http';
import { stepSchema, redo } from '@/server/useCases/editTags';

export function POST(
  request: Request,
  { params }: { params: Promise<{ mockup: string }> },
): Promise<Response> {
  return respond(async () => {
    const id = parseId((await params).mockup, 'This mockup');
    return redo(id, (await body(request, stepSchema)).editor);
  });
}
