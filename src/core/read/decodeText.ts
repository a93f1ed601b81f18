/** The text of a file: UTF-8, UTF-16 by its mark, or the encoding that its XML declaration names. */
export function decodeText(bytes: Uint8Array): string {
  return new TextDecoder(encodingOf(bytes)).decode(bytes);
}

function encodingOf(bytes: Uint8Array): string {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return 'utf-16le';
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return 'utf-16be';
  const head = String.fromCharCode(...bytes.subarray(0, 120));
  const declared = /^<\?xml[^>]*encoding=["']([\w-]+)["']/.exec(head)?.[1];
  if (!declared) return 'utf-8';
  try {
    return new TextDecoder(declared).encoding;
  } catch {
    return 'utf-8';
  }
}
