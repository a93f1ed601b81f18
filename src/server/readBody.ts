import { ReadError } from '../core/read/readError';
import { LIMITS } from '../core/read/limits';

/** The size limit of the largest kind of mockup; the readers check their own limits. */
export const MOST_BYTES = LIMITS.archive;
export const MOST_FONT_BYTES = 16 * 1024 * 1024;

/** The request's bytes, at most `most`: a larger upload is aborted at the limit. */
export async function readBody(request: Request, most: number): Promise<Uint8Array> {
  const reader = request.body?.getReader();
  const chunks: Uint8Array[] = [];
  let size = 0;
  while (reader) {
    const { done, value } = await reader.read();
    if (done) break;
    size += value.length;
    if (size > most) {
      await reader.cancel();
      const megabytes = (bytes: number) => Math.ceil(bytes / 1024 / 1024);
      const said = Number(request.headers.get('content-length')) || size;
      throw new ReadError('too-large', { size: megabytes(said), limit: megabytes(most) });
    }
    chunks.push(value);
  }
  return Buffer.concat(chunks);
}
