import { respond, parseId } from '@/server/http';
import { safeName } from '@/core/sort/outputNames';
import { packBuild } from '@/server/useCases/builds';

export function GET(_: Request, { params }: { params: Promise<{ build: string }> }): Promise<Response> {
  return respond(async () => {
    const { name, bytes } = await packBuild(parseId((await params).build, 'This build'));
    return new Response(new Uint8Array(bytes), {
      headers: {
        'content-type': 'application/zip',
        'content-disposition': `attachment; filename="${safeName(name) || 'page'}.zip"`,
      },
    });
  });
}
