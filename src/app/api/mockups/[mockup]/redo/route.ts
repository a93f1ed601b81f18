import { answer, parseId } from '@/server/http';
import { redo } from '@/server/useCases/editTags';

export function POST(_: Request, { params }: { params: Promise<{ mockup: string }> }): Promise<Response> {
  return answer(async () => redo(parseId((await params).mockup, 'This mockup')));
}
