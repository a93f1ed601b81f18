import { route } from '@/server/route';
import { dropView, keepView, viewSchema } from '@/server/useCases/views';

/** Keeps the query in the body as a view. */
export const POST = route({ id: 'mockup', body: viewSchema }, ({ id, body }) => keepView(id, body.query));

/** Drops the view whose query is in the body. */
export const DELETE = route({ id: 'mockup', body: viewSchema }, ({ id, body }) => dropView(id, body.query));
