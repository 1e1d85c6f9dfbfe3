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

/** A JPEG that can be read to its end and carries nothing beside its pixels: one that was written anew here. */
export async function isPlainPhoto(bytes: Buffer): Promise<boolean> {
  if (!bytes.length || bytes.length > LARGEST_PHOTO_BYTES) return false;
  const { default: sharp } = await import('sharp');
  const picture = sharp(bytes, { failOn: 'truncated', limitInputPixels: MOST_PIXELS, pages: 1 });
  const meta = await picture.metadata().catch(() => null);
  if (meta?.format !== 'jpeg' || meta.exif || meta.xmp || meta.iptc) return false;
  return picture.stats().then(
    () => true,
    () => false,
  );
}
