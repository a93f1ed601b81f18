import sharp from 'sharp';
import {
  isVectorFormat,
  type PictureFile,
  type PictureFormat,
  type VectorFormat,
} from '../../core/pictures/picture';

/** The first bytes of files: what readers tell formats by, whatever a file is called. */
const SIGNATURES: Readonly<Record<Exclude<PictureFormat, VectorFormat>, (head: string) => boolean>> = {
  // PNG, §5.2
  png: (head) => head.startsWith('\x89PNG\r\n\x1a\n'),
  // JPEG File Interchange Format 1.02, SOI and the next marker
  jpeg: (head) => head.startsWith('\xff\xd8\xff'),
  // RFC 9649, §2.4
  webp: (head) => head.startsWith('RIFF') && head.slice(8, 12) === 'WEBP',
  // ISO/IEC 14496-12 §4.3 (`ftyp`) with the brand of AVIF 1.1, §6
  avif: (head) => head.slice(4, 8) === 'ftyp' && /avi[fs]/.test(head.slice(8)),
  // GIF89a, §17
  gif: (head) => /^GIF8[79]a/.test(head),
  // ISO 32000-1, §7.5.2
  pdf: (head) => head.startsWith('%PDF-'),
};

/**
 * The bytes of a written file, when they are what the table of files says.
 * @throws Error with a plain sentence for another format or size
 */
export async function checkedFile(file: PictureFile, bytes: Uint8Array): Promise<Uint8Array> {
  const { format, width, height } = file;
  if (isVectorFormat(format)) return bytes;
  const head = Buffer.from(bytes.subarray(0, 32)).toString('latin1');
  if (!SIGNATURES[format](head)) throw new Error(`it is no ${format.toUpperCase()} inside`);
  // The bytes of the mockup's own bitmap are as they came.
  if (format === 'pdf' || file.isOriginal) return bytes;
  const written = await sharp(bytes).metadata();
  if (written.width !== width || written.height !== height)
    throw new Error(`it has ${written.width}×${written.height} px instead of ${width}×${height}`);
  return bytes;
}
