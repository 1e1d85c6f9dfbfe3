import { deflateRawSync } from 'node:zlib';
import sharp from 'sharp';
import { describe, expect, test } from 'vitest';
import { cleanPhoto, isPlainPhoto, LARGEST_PHOTO_BYTES, photoBody } from './photo-file.server.ts';

const picture = (width = 600, height = 800) => sharp({ create: { width, height, channels: 3, background: '#8a6f5c' } });
/** A photo as a phone writes it: place, time, device, and held sideways. */
const fromPhone = () =>
  picture()
    .withExif({
      IFD0: { Make: 'Made-up', Model: 'Camera 1', Software: 'x', DateTime: '2026:11:25 10:00:00' },
      IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '38/1 42/1 0/1', GPSLongitudeRef: 'W', GPSLongitude: '9/1 8/1 0/1' },
    })
    .withMetadata({ orientation: 6 })
    .jpeg()
    .toBuffer();

describe('a photo that is kept', () => {
  test('loses place, time and device, and stands upright', async () => {
    const sent = await fromPhone();
    expect((await sharp(sent).metadata()).exif?.length).toBeGreaterThan(50);
    const kept = await cleanPhoto(sent);
    const meta = await sharp(kept.bytes).metadata();
    expect(meta).toMatchObject({ format: 'jpeg', width: 800, height: 600 });
    expect([meta.exif, meta.xmp, meta.iptc, meta.icc, meta.orientation]).toEqual([
      undefined,
      undefined,
      undefined,
      undefined,
      undefined,
    ]);
    expect(kept.bytes.includes(Buffer.from('Made-up'))).toBe(false);
  });
  test.each(['png', 'webp'] as const)('may be sent as %s, and is kept as JPEG', async (format) =>
    expect((await sharp((await cleanPhoto(await picture()[format]().toBuffer())).bytes).metadata()).format).toBe(
      'jpeg',
    ),
  );
  test('is made smaller, never larger', async () => {
    expect(await cleanPhoto(await picture(3000, 4000).jpeg({ quality: 40 }).toBuffer())).toMatchObject({
      widthPx: 1200,
      heightPx: 1600,
    });
    expect(await cleanPhoto(await picture(400, 500).png().toBuffer())).toMatchObject({ widthPx: 400, heightPx: 500 });
  });
  test('a comment hidden behind the picture does not come along', async () => {
    const hidden = Buffer.concat([
      await picture().jpeg().toBuffer(),
      Buffer.from('<script>alert(1)</script>PK\u0003\u0004'),
    ]);
    expect((await cleanPhoto(hidden)).bytes.includes(Buffer.from('<script>'))).toBe(false);
  });
});

describe('a photo that was kept before, and comes in with a file', () => {
  const size = { widthPx: 600, heightPx: 800 };
  const kept = async () => (await cleanPhoto(await picture().png().toBuffer())).bytes;
  /** With one more segment behind the first marker. */
  const withSegment = (bytes: Buffer, code: number, body: string) => {
    const head = Buffer.from([0xff, code, 0, 0]);
    head.writeUInt16BE(2 + body.length, 2);
    return Buffer.concat([bytes.subarray(0, 2), head, Buffer.from(body), bytes.subarray(2)]);
  };
  test('is taken as it was written here, whatever it shows', async () => {
    expect(await isPlainPhoto(await kept(), size)).toBe(true);
    const noise = await sharp({
      create: {
        width: 400,
        height: 300,
        channels: 3,
        background: '#777',
        noise: { type: 'gaussian', mean: 128, sigma: 60 },
      },
    })
      .png()
      .toBuffer();
    expect(await isPlainPhoto((await cleanPhoto(noise)).bytes, { widthPx: 400, heightPx: 300 })).toBe(true);
  });
  test('is refused with a comment, a place, a profile, something behind its end; cut off; of another size; of another kind', async () => {
    const bytes = await kept();
    for (const bad of [
      withSegment(bytes, 0xfe, 'said by somebody'),
      withSegment(bytes, 0xe1, 'Exif\0\0'),
      withSegment(bytes, 0xe2, 'ICC_PROFILE\0'),
      withSegment(bytes, 0xe0, 'JFIF\0 with a small picture in it'),
      Buffer.concat([bytes, Buffer.from('PK')]),
      bytes.subarray(0, bytes.length - 2),
      bytes.subarray(0, 1000),
      Buffer.alloc(0),
      await picture().png().toBuffer(),
      await fromPhone(),
    ])
      expect(await isPlainPhoto(bad, size)).toBe(false);
    expect(await isPlainPhoto(bytes, { widthPx: 601, heightPx: 800 })).toBe(false);
  });
});

const zip = () => {
  const body = deflateRawSync(Buffer.from('face.jpg'));
  return Buffer.concat([Buffer.from('504b030414000000080000000000', 'hex'), body]);
};

describe('what is refused', () => {
  test.each<[string, () => Buffer | Promise<Buffer>]>([
    ['an archive', zip],
    ['an archive called a photo', () => Buffer.concat([Buffer.from('ffd8ffe0', 'hex'), zip()])],
    ['a page with a script', () => Buffer.from('<!doctype html><script>alert(1)</script>')],
    [
      'a drawing with a script',
      () =>
        Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="600" height="600"><script>alert(1)</script></svg>'),
    ],
    ['another kind of picture', () => picture().gif().toBuffer()],
    ['a scan', () => picture().tiff().toBuffer()],
    ['words', () => Buffer.from('no picture at all')],
    ['nothing', () => Buffer.alloc(0)],
    ['the first bytes of a photo only', async () => (await picture().jpeg().toBuffer()).subarray(0, 60)],
    ['more bytes than a photo may have', () => Buffer.alloc(LARGEST_PHOTO_BYTES + 1)],
  ])('%s', async (_what, make) => expect(cleanPhoto(await make())).rejects.toThrow('photo:'));
  test('a photo that ends early', async () => {
    const noisy = await sharp({
      create: {
        width: 900,
        height: 900,
        channels: 3,
        background: '#777',
        noise: { type: 'gaussian', mean: 120, sigma: 40 },
      },
    })
      .jpeg()
      .toBuffer();
    await expect(cleanPhoto(noisy.subarray(0, Math.floor(noisy.length * 0.6)))).rejects.toThrow(
      'damaged or ends early',
    );
    const png = await sharp(noisy).png().toBuffer();
    await expect(cleanPhoto(png.subarray(0, Math.floor(png.length * 0.6)))).rejects.toThrow('photo:');
  });
  test('a picture too small to be measured', async () =>
    expect(cleanPhoto(await picture(299, 800).png().toBuffer())).rejects.toThrow('at least 300 px'));
});

describe('the body of a request', () => {
  const request = (chunks: Uint8Array[]) =>
    new Request('http://127.0.0.1/', {
      method: 'POST',
      body: new ReadableStream({
        pull: (c) => {
          const next = chunks.shift();
          if (next) c.enqueue(next);
          else c.close();
        },
      }),
      duplex: 'half',
    } as RequestInit);
  test('is put together', async () =>
    expect((await photoBody(request([new Uint8Array([1, 2]), new Uint8Array([3])]))).toString('hex')).toBe('010203'));
  test('is given up as soon as it is too large', async () => {
    const chunks = Array.from({ length: 40 }, () => new Uint8Array(1_000_000));
    await expect(photoBody(request(chunks))).rejects.toThrow('at most 8 MB');
    expect(chunks.length).toBeGreaterThan(25);
  });
  test('has to have something in it', async () => expect(photoBody(request([]))).rejects.toThrow('photo:'));
});
