import type { BuildView } from '../../server/useCases/builds';

/** The address of a file of a build. */
export function fileAddress({ id }: Pick<BuildView, 'id'>, path: string): string {
  return `/api/builds/${id}/files/${path.split('/').map(encodeURIComponent).join('/')}`;
}
