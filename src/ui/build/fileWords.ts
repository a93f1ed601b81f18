import type { BuildView } from '../../server/useCases/builds';

/** The address of a file of a build. */
export function fileAddress({ id }: Pick<BuildView, 'id'>, path: string): string {
  return `/api/builds/${id}/files/${path.split('/').map(encodeURIComponent).join('/')}`;
}

export function bytesText(bytes: number): string {
  return bytes < 1000 ? `${bytes} B` : `${(bytes / 1000).toFixed(1)} kB`;
}
