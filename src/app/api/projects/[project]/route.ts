import { respond, NOT_FOUND, parseId } from '@/server/http';
import { pool } from '@/server/db/pool';
import { removeProject } from '@/server/db/tables/projects';

export function DELETE(_: Request, { params }: { params: Promise<{ project: string }> }): Promise<Response> {
  return respond(async () => {
    const id = parseId((await params).project, 'This project');
    if (!(await removeProject(pool(), id))) throw NOT_FOUND('This project');
    return { id };
  });
}
