import { answer, parseId } from '@/server/http';
import { leaveReading, seeReading } from '@/server/useCases/readFile';

interface Context {
  readonly params: Promise<{ reading: string }>;
}

export function GET(_: Request, { params }: Context): Promise<Response> {
  return answer(async () => seeReading(parseId((await params).reading, 'This reading')));
}

export function DELETE(_: Request, { params }: Context): Promise<Response> {
  return answer(async () => leaveReading(parseId((await params).reading, 'This reading')));
}
