import { respond, parseId } from '@/server/http';
import { readingProgress } from '@/server/jobs/readingProgress';

/** How many layers are read; nothing known counts as nothing read. */
export function GET(_: Request, { params }: { params: Promise<{ reading: string }> }): Promise<Response> {
  return respond(async () => {
    const id = parseId((await params).reading, 'This reading');
    return readingProgress(id) ?? { done: 0, total: 0 };
  });
}
