import type { EmittedScreen } from '../../core/emit/emit';
import type { CodeLanguage } from '../../core/emit/target';
import type { BuildView } from '../../server/useCases/builds';

/** The address of a file of a build. */
export function fileAddress({ id }: Pick<BuildView, 'id'>, path: string): string {
  return `/api/builds/${id}/files/${path.split('/').map(encodeURIComponent).join('/')}`;
}

/** The address of what a picture's file shows: browsers show no vector drawable, but the SVG of one. */
export function shownAddress(build: Pick<BuildView, 'id'>, path: string): string {
  return `${fileAddress(build, path)}${path.endsWith('.xml') ? '?drawn=svg' : ''}`;
}

/** True where a browser opens what shows a screen, not a picture of it. */
export function isLive({ shown, file }: EmittedScreen): boolean {
  return (shown ?? file).endsWith('.html');
}

/** The language of a file by its ending. */
export function languageOf(path: string): CodeLanguage {
  if (/\.(?:html|vue|xml)$/.test(path)) return 'html';
  if (/\.(?:tsx?|qml)$/.test(path)) return 'jsx';
  return /\.s?css$/.test(path) ? 'css' : 'text';
}
