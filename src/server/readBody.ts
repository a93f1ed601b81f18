import { ReadError } from '../core/read/readError';
import { LIMITS } from '../core/read/limits';

/** The request's bytes, never more than a mockup may have: a larger upload is given up at the limit. */
export async function readBody(request: Request): Promise<Uint8Array> {
  const reader = request.body?.getReader();
  const chunks: Uint8Array[] = [];
  let size = 0;
  while (reader) {
    const { done, value } = await reader.read();
    if (done) break;
    size += value.length;
    if (size > LIMITS.bytes) {
      await reader.cancel();
      const megabytes = (bytes: number) => Math.ceil(bytes / 1024 / 1024);
      const said = Number(request.headers.get('content-length')) || size;
      throw new ReadError('too-large', { size: megabytes(said), limit: megabytes(LIMITS.bytes) });
    }
    chunks.push(value);
  }
  return Buffer.concat(chunks);
}
