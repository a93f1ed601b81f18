import type { TrialQuery } from '../../server/pictureTypes';

/** The address of a file as a build would write it; the mark tells states of the mockup apart. */
export function plannedFileAddress(mockupId: string, path: string, mark: string): string {
  return `/api/mockups/${mockupId}/picture-file?${new URLSearchParams({ path, mark }).toString()}`;
}

/** The address of what such a file shows: browsers show no vector drawable, but the SVG of one. */
export function plannedShownAddress(mockupId: string, path: string, mark: string): string {
  return `${plannedFileAddress(mockupId, path, mark)}${path.endsWith('.xml') ? '&drawn=svg' : ''}`;
}

/** The address of a picture in a format and quality. */
export function trialFileAddress(mockupId: string, { picture, format, quality, scale }: TrialQuery): string {
  const query = new URLSearchParams({ picture, format, quality: String(quality), scale: String(scale) });
  return `/api/mockups/${mockupId}/trial-file?${query.toString()}`;
}
