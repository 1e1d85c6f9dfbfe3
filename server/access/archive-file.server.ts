import {
  ARCHIVE_KINDS,
  ARCHIVE_LINE_LETTERS,
  type ArchiveKind,
  type ArchiveManifest,
  readArchiveManifest,
} from '../../core/exchange/index';
import { InputError } from '../../core/words/index';
import { createHash } from 'node:crypto';
import { buffer } from 'node:stream/consumers';
import { StringDecoder } from 'node:string_decoder';
import { type Entry, openPromise, type ZipFile } from 'yauzl';
import { FILE_NAMES, MANIFEST_NAME, rowsName, WITH_FILE } from './practice-archive.server';

const MOST_MANIFEST_BYTES = 100_000;
/** All files of an archive together, unpacked. */
const MOST_BYTES = 8_000_000_000;
const MOST_ENTRIES = 200_000;
/** Rows pack to about a twentieth; what packs to less than this is no row of anybody. */
const MOST_PACKED_TIMES = 200;
const SMALL_BYTES = 1_000_000;
const MOST_FILE_BYTES = 60_000_000;

const ID = '[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}';
const NAMES = new RegExp(
  `^(${[MANIFEST_NAME, ...ARCHIVE_KINDS.map(rowsName)].join('|')}|${WITH_FILE.map((k) => FILE_NAMES[k](ID)).join('|')})$`,
);
/** Of the upper half of the attributes that Unix packs with: what kind of thing it is, and a plain file. */
const [KIND_OF_THING, PLAIN_FILE] = [0o170000, 0o100000];

const refuse = (where: string, words: string): never => {
  throw new InputError(where, words);
};
const lost = (where: string) => (error: unknown) => {
  if (error instanceof InputError) throw error;
  return refuse(where, `cannot be unpacked: ${(error as Error).message}`);
};

/** What a file of another kind, or one that claims more than anybody packs, is refused for. */
function checkEntry(entry: Entry): void {
  const name = entry.fileName.slice(0, 80);
  if (!NAMES.test(entry.fileName)) refuse(name, 'is no file of an archive');
  const thing = (entry.externalFileAttributes >>> 16) & KIND_OF_THING;
  if (thing !== 0 && thing !== PLAIN_FILE) refuse(name, 'must be a plain file');
  if (entry.isEncrypted()) refuse(name, 'must not be locked by a password');
  if (entry.uncompressedSize > SMALL_BYTES && entry.uncompressedSize > MOST_PACKED_TIMES * entry.compressedSize)
    refuse(name, 'unpacks to more than any archive does');
}

/** An archive that lies in a file, looked through before anything of it is unpacked. */
export class ArchiveFile {
  readonly manifest: ArchiveManifest;
  /** Of the format, as the file has it: an earlier one is read as what it became. */
  readonly version: number;
  private readonly zip: ZipFile;
  private readonly entries: ReadonlyMap<string, Entry>;

  private constructor(zip: ZipFile, entries: ReadonlyMap<string, Entry>, manifest: ArchiveManifest, version: number) {
    [this.zip, this.entries, this.manifest, this.version] = [zip, entries, manifest, version];
  }

  /** @throws InputError naming the part that is wrong; nothing stays open. */
  static async open(path: string): Promise<ArchiveFile> {
    const zip = await openPromise(path, { lazyEntries: true, autoClose: false, strictFileNames: true }).catch(
      lost('file'),
    );
    try {
      const entries = new Map<string, Entry>();
      let bytes = 0;
      if (zip.entryCount > MOST_ENTRIES) refuse('file', 'holds more files than any archive does');
      await (async () => {
        for await (const entry of zip.eachEntry()) {
          checkEntry(entry);
          if (entries.has(entry.fileName)) refuse(entry.fileName, 'is there twice');
          bytes += entry.uncompressedSize;
          entries.set(entry.fileName, entry);
        }
      })().catch(lost('file'));
      if (bytes > MOST_BYTES) refuse('file', 'unpacks to more than any archive does');
      const told = entries.get(MANIFEST_NAME);
      if (!told || told.uncompressedSize > MOST_MANIFEST_BYTES) return refuse('file', 'is no archive of a practice');
      const text = await zip
        .openReadStreamPromise(told)
        .then((stream) => buffer(stream))
        .then((bytes) => bytes.toString())
        .catch(lost(MANIFEST_NAME));
      let value: unknown;
      try {
        value = JSON.parse(text);
      } catch {
        refuse(MANIFEST_NAME, 'must be JSON');
      }
      const manifest = readArchiveManifest(value);
      for (const { kind, bytes: size } of manifest.kinds)
        if (entries.get(rowsName(kind))?.uncompressedSize !== size)
          refuse(rowsName(kind), 'is not what the manifest tells');
      return new ArchiveFile(zip, entries, manifest, (value as { version: number }).version);
    } catch (error) {
      zip.close();
      throw error;
    }
  }

  close(): void {
    this.zip.close();
  }

  get rows(): number {
    return this.manifest.kinds.reduce((sum, k) => sum + k.rows, 0);
  }

  /**
   * Lines of a kind, one by one; at the end all of it is held against the manifest.
   * @throws InputError where it cannot be unpacked, a line is too long, or it is not what the manifest tells
   */
  async *lines(kind: ArchiveKind): AsyncGenerator<{ line: number; text: string }> {
    const name = rowsName(kind);
    const told = this.manifest.kinds.find((k) => k.kind === kind);
    // An archive of an earlier version has no such rows.
    if (!told) return;
    const hash = createHash('sha256');
    const decoder = new StringDecoder('utf8');
    let [line, rest] = [0, ''];
    const stream = await this.zip.openReadStreamPromise(this.entries.get(name)!).catch(lost(name));
    try {
      for await (const part of stream) {
        hash.update(part as Buffer);
        const texts = (rest + decoder.write(part as Buffer)).split('\n');
        rest = texts.pop()!;
        if (rest.length > ARCHIVE_LINE_LETTERS) refuse(`${name}:${line + texts.length + 1}`, 'is too long');
        for (const text of texts) yield { line: ++line, text };
      }
    } catch (error) {
      lost(name)(error);
    }
    if (rest !== '' || line !== told.rows || hash.digest('hex') !== told.sha256)
      refuse(name, 'is not what the manifest tells');
  }

  /** The file that belongs to a row. @throws InputError where it is missing, damaged or another one. */
  async fileOf(kind: keyof typeof FILE_NAMES, id: string, sha256: string): Promise<Buffer> {
    const name = FILE_NAMES[kind](id);
    const entry = this.entries.get(name);
    if (!entry || entry.uncompressedSize > MOST_FILE_BYTES) return refuse(name, 'is missing, or too large');
    const bytes = await this.zip
      .openReadStreamPromise(entry)
      .then((stream) => buffer(stream))
      .catch(lost(name));
    if (createHash('sha256').update(bytes).digest('hex') !== sha256) refuse(name, 'is not what its row tells');
    return bytes;
  }
}
