import { respond, parseId } from '@/server/http';
import { fileResponse } from '@/server/fileResponse';
import { readingPicture } from '@/server/useCases/readFile';

export function GET(_: Request, { params }: { params: Promise<{ reading: string }> }): Promise<Response> {
  return respond(async () => {
    const id = parseId((await params).reading, 'This reading');
    return fileResponse('picture.svg', await readingPicture(id));
  });
}
