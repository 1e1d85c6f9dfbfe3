import { InputError } from '../../core/words/index';
import type { CsvNames, CsvWays } from '../../core/exchange/index';
import { mkdtemp, rm } from 'node:fs/promises';
import { createWriteStream } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { Member } from '../db/queries/accounts.server';
import { type BroughtFile, dropFile, keepMapping, piecesOfFile } from '../db/queries/brought-files.server';
import { log, told } from '../log';
import { ArchiveFile } from './archive-file.server';
import { bringArchive } from './bring-archive.server';
import { bringClients, bringReadings } from './bring-table.server';
import type { Bringing, Brought } from './brought';

/** What is asked of a file. */
export interface BringAsk {
  keeps: boolean;
  what: 'clients' | 'readings' | 'archive';
  ways: CsvWays;
  columns: readonly { field: string; column: string | null; fixed: string | null }[];
}

async function* piecesHere(practiceId: string, file: BroughtFile): AsyncGenerator<Buffer> {
  for await (const piece of piecesOfFile(practiceId, file)) {
    if (!piece) throw new InputError('file', 'has not come as a whole; send it again');
    yield piece;
  }
}
async function* textHere(practiceId: string, file: BroughtFile): AsyncGenerator<string> {
  const decoder = new TextDecoder('utf-8', { fatal: true, ignoreBOM: true });
  const read = (piece?: Buffer) => {
    try {
      return piece ? decoder.decode(piece, { stream: true }) : decoder.decode();
    } catch {
      throw new InputError('file', 'must be text in UTF-8; a spreadsheet offers that when it keeps a table as CSV');
    }
  };
  for await (const piece of piecesHere(practiceId, file)) {
    const text = read(piece);
    // In smaller parts others are answered between.
    for (let i = 0; i < text.length; i += 60_000) {
      yield text.slice(i, i + 60_000);
      await new Promise((go) => setImmediate(go));
    }
  }
  read();
}

/** How the columns of a file are ours, as a reader takes it. */
const namesOf = (columns: BringAsk['columns']): CsvNames => ({
  named: Object.fromEntries(columns.filter((c) => c.column !== null).map((c) => [c.column!, c.field])),
  fixed: Object.fromEntries(
    columns.filter((c) => c.column === null && c.fixed !== null).map((c) => [c.field, c.fixed!]),
  ),
  leavesOthers: true,
});

async function bring(who: Member, file: BroughtFile, ask: BringAsk, bringing: Bringing, now: Date): Promise<Brought> {
  if (ask.what !== 'archive') {
    const table = { text: textHere(who.practiceId, file), ways: ask.ways, names: namesOf(ask.columns) };
    return ask.what === 'clients' ? bringClients(who, table, bringing) : bringReadings(who, table, bringing, now);
  }
  // What stands last in the file is read first: it has to lie here as a whole.
  const folder = await mkdtemp(join(tmpdir(), 'velvet-brought-'));
  try {
    const path = join(folder, 'archive.zip');
    await pipeline(Readable.from(piecesHere(who.practiceId, file)), createWriteStream(path, { mode: 0o600 }));
    const archive = await ArchiveFile.open(path);
    try {
      return await bringArchive(who, archive, bringing);
    } finally {
      archive.close();
    }
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

/** How its columns were read is known the next time, and the file itself goes. Its rows are kept, whatever becomes of that. */
async function tidy(who: Member, file: BroughtFile, { what, ways, columns }: BringAsk): Promise<void> {
  try {
    if (what !== 'archive')
      await keepMapping(who.practiceId, what, {
        ways: { decimal: ways.decimal, dates: ways.dates, dayAlone: ways.dayAlone === 'noon' },
        columns,
      });
    await dropFile(who, file.id);
  } catch (error) {
    log.error({ practiceId: who.practiceId, ...told(error) }, 'a file that was brought in was not cleared away');
  }
}

/** A line of what is told while a file is gone through, and of what came of it in the end. */
type BringTold =
  { done: number; of: number; judging?: true } | { brought: Brought } | { failed: { field: string; message: string } };

/**
 * Goes through a file and tells how far it has come, a line of JSON each; whoever stops listening stops it, and nothing
 * of it is kept then.
 */
export function bringAndTell(
  who: Member,
  file: BroughtFile,
  ask: BringAsk,
  signal: AbortSignal,
): ReadableStream<Uint8Array> {
  const text = new TextEncoder();
  const stop = new AbortController();
  signal.addEventListener('abort', () => stop.abort());
  return new ReadableStream<Uint8Array>({
    start(controller) {
      const tell = (line: BringTold) => {
        if (!stop.signal.aborted) controller.enqueue(text.encode(`${JSON.stringify(line)}\n`));
      };
      const progress = (done: number, of = file.bytes) => tell({ done, of });
      const judging = (done: number, of: number) => tell({ done, of, judging: true });
      const work = async () => {
        try {
          const bringing = { keeps: ask.keeps, signal: stop.signal, progress, judging };
          const brought = await bring(who, file, ask, bringing, new Date());
          if (ask.keeps) await tidy(who, file, ask);
          tell({ brought });
        } catch (error) {
          if (stop.signal.aborted) return;
          if (error instanceof InputError)
            tell({ failed: { field: error.field, message: error.message.slice(error.field.length + 2) } });
          else {
            log.error({ practiceId: who.practiceId, ...told(error) }, 'a file was not brought in');
            tell({ failed: { field: 'file', message: 'was not brought in; nothing of it was kept. Try again.' } });
          }
        } finally {
          if (!stop.signal.aborted) controller.close();
        }
      };
      void work();
    },
    cancel: () => stop.abort(),
  });
}
