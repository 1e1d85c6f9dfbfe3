import { InputError } from '../core/words/index.ts';

/** A photo as it is sent, at most. */
export const LARGEST_PHOTO_BYTES = 8_000_000;
/** Kept this large at most: an iris is then about 40 px wide on a portrait. */
const LONGEST_EDGE_PX = 1600;
const LEAST_EDGE_PX = 300;
const MOST_PIXELS = 60_000_000;
const ACCEPTED = new Set(['jpeg', 'png', 'webp']);
const WHAT_IS_ACCEPTED = 'a JPEG, PNG or WebP photo of at most 8 MB is accepted';

/**
 * Reads a photo and writes it anew from its pixels, upright: place, time, device and whatever else the file carried is
 * left behind. What is no whole picture is refused.
 * @throws InputError for another kind of file, one that is too large or too small, or one that ends early.
 */
export async function cleanPhoto(sent: Buffer): Promise<{ bytes: Buffer; widthPx: number; heightPx: number }> {
  if (!sent.length || sent.length > LARGEST_PHOTO_BYTES) throw new InputError('photo', WHAT_IS_ACCEPTED);
  // Fetched when the first photo comes: few processes ever see one.
  const { default: sharp } = await import('sharp');
  const open = () => sharp(sent, { failOn: 'truncated', limitInputPixels: MOST_PIXELS, pages: 1 });
  const meta = await open()
    .metadata()
    .catch(() => null);
  if (!meta?.format || !ACCEPTED.has(meta.format)) throw new InputError('photo', WHAT_IS_ACCEPTED);
  if (Math.min(meta.width, meta.height) < LEAST_EDGE_PX)
    throw new InputError('photo', `at least ${LEAST_EDGE_PX} px on each edge are accepted`);
  try {
    const { data, info } = await open()
      .rotate()
      .resize({ width: LONGEST_EDGE_PX, height: LONGEST_EDGE_PX, fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: 88 })
      .toBuffer({ resolveWithObject: true });
    return { bytes: data, widthPx: info.width, heightPx: info.height };
  } catch {
    throw new InputError('photo', 'this file is damaged or ends early; take the photo again');
  }
}

/** The body of a request as it comes in, given up as soon as it is larger than a photo may be. */
export async function photoBody(request: Request): Promise<Buffer> {
  const chunks: Uint8Array[] = [];
  let size = 0;
  for await (const chunk of (request.body ?? []) as AsyncIterable<Uint8Array>) {
    size += chunk.length;
    if (size > LARGEST_PHOTO_BYTES) throw new InputError('photo', WHAT_IS_ACCEPTED);
    chunks.push(chunk);
  }
  if (!size) throw new InputError('photo', WHAT_IS_ACCEPTED);
  return Buffer.concat(chunks);
}

/** Of a JPEG: how a marker begins, what has no length, and what a picture is made of (JFIF, tables, frame, scans). */
const MARKER = 0xff;
const [FIRST, LAST, SCAN, JFIF] = [0xd8, 0xd9, 0xda, 0xe0];
const hasNoLength = (code: number): boolean => code === 0 || (code >= 0xd0 && code <= 0xd7);
/** JFIF without the small picture that it may hold. */
const JFIF_BYTES = 16;

/** True where a JPEG holds the picture and nothing else: no other segment, no comment, nothing behind its end. */
function isBare(bytes: Buffer): boolean {
  if (bytes[0] !== MARKER || bytes[1] !== FIRST) return false;
  for (let at = 2; at + 1 < bytes.length;) {
    // Between the markers of a scan lies the picture itself.
    if (bytes[at] !== MARKER || hasNoLength(bytes[at + 1]!)) {
      at++;
      continue;
    }
    const code = bytes[at + 1]!;
    if (code === LAST) return at + 2 === bytes.length;
    if (at + 3 >= bytes.length) return false;
    const length = bytes.readUInt16BE(at + 2);
    const isPicture =
      (code >= 0xc0 && code <= 0xcf) ||
      code === 0xdb ||
      code === 0xdd ||
      code === SCAN ||
      (code === JFIF && length === JFIF_BYTES);
    if (!isPicture) return false;
    at += 2 + length;
  }
  return false;
}

/** A JPEG of this size that can be read to its end and carries nothing beside its picture: one that was written anew here. */
export async function isPlainPhoto(bytes: Buffer, size: { widthPx: number; heightPx: number }): Promise<boolean> {
  if (bytes.length > LARGEST_PHOTO_BYTES || !isBare(bytes)) return false;
  const { default: sharp } = await import('sharp');
  const picture = sharp(bytes, { failOn: 'truncated', limitInputPixels: MOST_PIXELS, pages: 1 });
  const meta = await picture.metadata().catch(() => null);
  if (meta?.format !== 'jpeg' || meta.width !== size.widthPx || meta.height !== size.heightPx) return false;
  return picture.stats().then(
    () => true,
    () => false,
  );
}
