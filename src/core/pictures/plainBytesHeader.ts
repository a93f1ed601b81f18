/** The header of a drawn file with the bytes that it would have if nothing had made it small. */
export const PLAIN_BYTES_HEADER = 'orden-plain-bytes';
