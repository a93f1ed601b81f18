import Joi from 'joi';
import { drawableSvg } from '../core/pictures/drawableSvg';
import { Refusal } from './http';

const TYPES: Readonly<Record<string, string>> = {
  html: 'text/html; charset=utf-8',
  css: 'text/css; charset=utf-8',
  json: 'application/json; charset=utf-8',
  svg: 'image/svg+xml',
  pdf: 'application/pdf',
  zip: 'application/zip',
  png: 'image/png',
  jpg: 'image/jpeg',
  webp: 'image/webp',
  avif: 'image/avif',
  gif: 'image/gif',
  scss: 'text/plain; charset=utf-8',
  ts: 'text/plain; charset=utf-8',
  tsx: 'text/plain; charset=utf-8',
  vue: 'text/plain; charset=utf-8',
  qml: 'text/plain; charset=utf-8',
  woff2: 'font/woff2',
  woff: 'font/woff',
  otf: 'font/otf',
  ttf: 'font/ttf',
};

/** Built files come from uploads: no script may run, and only their own neighbours may be loaded. */
const POLICY =
  "default-src 'none'; img-src 'self' data:; style-src 'self' 'unsafe-inline'; font-src 'self' data:; sandbox allow-same-origin; frame-ancestors 'self'";

/** How a file is shown: as it is, or a vector drawable as the SVG of what it says. */
export interface Shown {
  readonly drawn?: 'svg';
}
export const SHOWN = { drawn: Joi.valid('svg') };
export const shownSchema = Joi.object<Shown>(SHOWN);

/** A vector drawable as an SVG, which browsers show. @throws Refusal for any other file */
export function drawnResponse(path: string, bytes: Uint8Array): Response {
  const text = new TextDecoder().decode(bytes);
  if (!path.endsWith('.xml') || !text.includes('<vector'))
    throw new Refusal(400, 'This file is no vector drawable; leave out "drawn".');
  return fileResponse(`${path}.svg`, new TextEncoder().encode(drawableSvg(text)));
}

/** A stored file as a response, with the content type of its extension. */
export function fileResponse(path: string, bytes: Uint8Array): Response {
  const ending = path.split('.').pop() ?? '';
  return new Response(new Uint8Array(bytes), {
    headers: {
      'content-type': TYPES[ending] ?? 'application/octet-stream',
      'content-security-policy': POLICY,
      'x-content-type-options': 'nosniff',
      'cache-control': 'private, max-age=0, must-revalidate',
    },
  });
}
