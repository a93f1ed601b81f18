import { respond, parseId } from '@/server/http';
import { removeReading, getReadingView } from '@/server/useCases/readFile';

interface Context {
  readonly params: Promise<{ reading: string }>;
}

export function GET(_: Request, { params }: Context): Promise<Response> {
  return respond(async () => getReadingView(parseId((await params).reading, 'This reading')));
}

export function DELETE(_: Request, { params }: Context): Promise<Response> {
  return respond(async () => removeReading(parseId((await params).reading, 'This reading')));
}
