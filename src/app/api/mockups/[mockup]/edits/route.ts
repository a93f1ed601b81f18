import { answer, body, parseId } from '@/server/http';
import { setFacets, wishesSchema } from '@/server/useCases/editTags';

export function POST(
  request: Request,
  { params }: { params: Promise<{ mockup: string }> },
): Promise<Response> {
  return answer(async () => {
    const id = parseId((await params).mockup, 'This mockup');
    const { wishes } = await body(request, wishesSchema);
    return setFacets(id, wishes);
  });
}
