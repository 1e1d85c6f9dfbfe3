import { createHash } from 'node:crypto';
import { createWriteStream, writeFileSync } from 'node:fs';
import { buffer } from 'node:stream/consumers';
import { pipeline } from 'node:stream/promises';
import { openPromise } from 'yauzl';
import { ZipFile } from 'yazl';
import type { ArchiveManifest } from '../../core/exchange/index.ts';

export type Files = Map<string, Buffer>;

export async function filesOf(path: string): Promise<Files> {
  const zip = await openPromise(path, { lazyEntries: true, autoClose: false });
  const files: Files = new Map();
  for await (const entry of zip.eachEntry())
    files.set(entry.fileName, await buffer(await zip.openReadStreamPromise(entry)));
  zip.close();
  return files;
}
export const linesOf = (files: Files, kind: string): string[] =>
  files.get(`rows/${kind}.jsonl`)!.toString().split('\n').filter(Boolean);
export const manifestOf = (files: Files): ArchiveManifest =>
  JSON.parse(files.get('manifest.json')!.toString()) as ArchiveManifest;

/** A manifest that tells what is there, so that what is refused is refused for something else. */
export function toldAnew(files: Files, change: (m: ArchiveManifest) => object = (m) => m): Files {
  const told = manifestOf(files);
  for (const kind of told.kinds) {
    const bytes = files.get(`rows/${kind.kind}.jsonl`)!;
    kind.bytes = bytes.length;
    kind.rows = linesOf(files, kind.kind).length;
    kind.sha256 = createHash('sha256').update(bytes).digest('hex');
  }
  return new Map([...files, ['manifest.json', Buffer.from(JSON.stringify(change(told)))]]);
}
/** The same files with other lines of a kind. */
export const withLines = (files: Files, kind: string, change: (line: string, i: number) => string | string[]): Files =>
  toldAnew(
    new Map([
      ...files,
      [
        `rows/${kind}.jsonl`,
        Buffer.from(
          linesOf(files, kind)
            .flatMap(change)
            .map((l) => `${l}\n`)
            .join(''),
        ),
      ],
    ]),
  );

export async function packed(files: Files, path: string, mode?: Readonly<Record<string, number>>): Promise<string> {
  const zip = new ZipFile();
  for (const [name, bytes] of files) zip.addBuffer(bytes, name, mode?.[name] ? { mode: mode[name] } : {});
  zip.end();
  await pipeline(zip.outputStream, createWriteStream(path));
  return path;
}
/** A packed file with bytes written over in it, all places where they stand. */
export function overwritten(bytes: Buffer, was: Buffer, is: Buffer, path: string): string {
  const out = Buffer.from(bytes);
  for (let at = out.indexOf(was); at >= 0; at = out.indexOf(was, at + was.length)) is.copy(out, at);
  writeFileSync(path, out);
  return path;
}
