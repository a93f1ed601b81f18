import { answer, parseId } from '@/server/http';
import { undo } from '@/server/useCases/editTags';

export function POST(_: Request, { params }: { params: Promise<{ mockup: string }> }): Promise<Response> {
  return answer(async () => undo(parseId((await params).mockup, 'This mockup')));
}
