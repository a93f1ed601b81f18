import { respond, parseId } from '@/server/http';
import { readAgain } from '@/server/useCases/readFile';

export function POST(
  request: Request,
  { params }: { params: Promise<{ reading: string }> },
): Promise<Response> {
  return respond(async () => readAgain(parseId((await params).reading, 'This reading'), request.signal));
}
