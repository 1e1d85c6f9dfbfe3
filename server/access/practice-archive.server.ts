import {
  ARCHIVE_FORMAT,
  ARCHIVE_KINDS,
  ARCHIVE_VERSION,
  type ArchiveKind,
  type ArchiveManifest,
} from '../../core/exchange/index';
import { createHash } from 'node:crypto';
import { Readable } from 'node:stream';
import { finished } from 'node:stream/promises';
import { ZipFile } from 'yazl';
import { inOneMoment } from '../db/queries/archive.server';

export const MANIFEST_NAME = 'manifest.json';
export const rowsName = (kind: ArchiveKind): string => `rows/${kind}.jsonl`;
/** Kinds whose rows have a file each, and where it lies. */
export const FILE_NAMES = {
  photos: (id: string): string => `photos/${id}.jpg`,
  'closed-records': (id: string): string => `closed/${id}.zip`,
} as const;
export const WITH_FILE = Object.keys(FILE_NAMES) as (keyof typeof FILE_NAMES)[];

/** Files of one moment would else carry when each was packed. */
const PACKED = { mtime: new Date('2026-01-01T00:00:00Z') };

/**
 * A file that is begun when somebody reads it: of an answer that is only asked for its headers nobody does, and what has
 * been begun would wait for a reader for good.
 */
export function whenRead(open: () => Readable): ReadableStream<Uint8Array> {
  let reader: ReadableStreamDefaultReader<Uint8Array> | null = null;
  return new ReadableStream<Uint8Array>(
    {
      async pull(controller) {
        reader ??= (Readable.toWeb(open()) as ReadableStream<Uint8Array>).getReader();
        const { done, value } = await reader.read();
        if (done) controller.close();
        else controller.enqueue(value);
      },
      cancel: async (why) => reader?.cancel(why),
    },
    { highWaterMark: 0 },
  );
}

/**
 * A practice as one file, all of it as one moment sees it; it is packed as it is read, a few rows at a time.
 * @returns the file as it comes; ended early where whoever takes it stops taking
 */
export function practiceArchive(practiceId: string, now: Date): Readable {
  const zip = new ZipFile();
  const out = zip.outputStream as Readable;
  const kinds: ArchiveManifest['kinds'] = [];
  const work = inOneMoment(practiceId, async (snapshot) => {
    async function* counted(kind: ArchiveKind): AsyncGenerator<Buffer> {
      const hash = createHash('sha256');
      let [rows, bytes] = [0, 0];
      for await (const lines of snapshot.lines(kind)) {
        const part = Buffer.from(`${lines.join('\n')}\n`);
        hash.update(part);
        rows += lines.length;
        bytes += part.length;
        yield part;
      }
      kinds.push({ kind, rows, bytes, sha256: hash.digest('hex') });
    }
    const failed = (error: unknown) => out.destroy(error as Error);
    const add = (name: string, compress: boolean, open: () => Readable) =>
      zip.addReadStreamLazy(name, { ...PACKED, compress }, (done) => {
        const stream = open();
        stream.on('error', failed);
        done(null, stream);
      });
    for (const kind of ARCHIVE_KINDS)
      add(rowsName(kind), true, () => Readable.from(counted(kind), { objectMode: false }));
    for (const kind of WITH_FILE)
      for (const id of await snapshot.withFile(kind)) {
        async function* bytes(): AsyncGenerator<Buffer> {
          yield await snapshot.file(kind, id);
        }
        // Packed already.
        add(FILE_NAMES[kind](id), false, () => Readable.from(bytes(), { objectMode: false }));
      }
    // The last: only now is it known what went before.
    function* manifest(): Generator<Buffer> {
      const told: ArchiveManifest = {
        format: ARCHIVE_FORMAT,
        version: ARCHIVE_VERSION,
        made_at: now.toISOString(),
        practice_id: practiceId,
        kinds,
      };
      yield Buffer.from(`${JSON.stringify(told, null, 2)}\n`);
    }
    add(MANIFEST_NAME, true, () => Readable.from(manifest(), { objectMode: false }));
    zip.end();
    // What is read is read out of the same moment: it lasts until all of it is packed.
    await finished(out).catch(() => {});
  });
  work.catch((error: unknown) => out.destroy(error as Error));
  return out;
}
