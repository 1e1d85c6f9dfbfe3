/** Measures taking a large practice out as a file and bringing it in, beside PostgreSQL's own COPY of the same rows. */
import { createReadStream, createWriteStream, mkdtempSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { csvHead, csvRows, type CsvWays, READINGS_CSV } from '../../core/exchange/index.ts';
import { ArchiveFile } from '../../server/access/archive-file.server.ts';
import { bringArchive } from '../../server/access/bring-archive.server.ts';
import { bringReadings } from '../../server/access/bring-table.server.ts';
import { practiceArchive } from '../../server/access/practice-archive.server.ts';
import { closeDatabase, connect } from '../../server/db/connection.ts';
import { createPractice } from '../../server/db/queries/accounts.server.ts';
import { allReadings } from '../../server/db/queries/export.server.ts';
import type { Bench } from './bench-service.ts';
import { fillLargePractice } from './large-practice.ts';
import { DATA } from './paths.ts';
import { throwAwayCluster } from './postgres.ts';
import { prepare } from './prepare.ts';
import { ensureTrailKey } from './trail-key.ts';

const WAYS: CsvWays = { delimiter: ',', decimal: '.', dates: 'iso', zone: 'Europe/Lisbon' };
/** Rows of a table that are brought in; what the aim speaks of. */
const TABLE_ROWS = 100_000;

/** How long work takes, and by how much the process grew at most meanwhile. */
async function watched<T>(work: () => Promise<T>): Promise<{ came: T; seconds: number; grewMB: number }> {
  const before = process.memoryUsage().rss;
  let most = before;
  const watch = setInterval(() => (most = Math.max(most, process.memoryUsage().rss)), 50);
  const started = performance.now();
  try {
    const came = await work();
    return { came, seconds: (performance.now() - started) / 1000, grewMB: (most - before) / 1e6 };
  } finally {
    clearInterval(watch);
  }
}
const told = (rows: number, { seconds, grewMB }: { seconds: number; grewMB: number }) =>
  `${Math.round(rows / seconds).toLocaleString('en')} rows/s, ${seconds.toFixed(1)} s, ${grewMB.toFixed(0)} MB more memory at most`;

async function open(n: number) {
  const who = await createPractice({
    practice: `Bench ${n}`,
    timeZone: 'Europe/Lisbon',
    name: 'Nobody',
    email: `bench${n}@quay.example`,
    password: 'a long enough one',
  });
  if (who === 'email-taken') throw new Error('the address is taken');
  return who;
}

/** Readings as somebody's own sheet has them: of no visit, with no ids. @returns how many */
async function writeTable(practiceId: string, file: string): Promise<number> {
  const sink = createWriteStream(file);
  sink.write(csvHead(READINGS_CSV, WAYS));
  let n = 0;
  for await (const page of allReadings(practiceId)) {
    const own = page.slice(0, TABLE_ROWS - n).map((r) => ({ ...r, phase: 'between' as const, visit_id: null, id: '' }));
    n += own.length;
    if (!sink.write(csvRows(READINGS_CSV, own, WAYS))) await new Promise<void>((go) => sink.once('drain', () => go()));
    if (n >= TABLE_ROWS) break;
  }
  await new Promise<void>((go) => sink.end(() => go()));
  return n;
}
async function* textOf(file: string): AsyncGenerator<string> {
  for await (const part of createReadStream(file, { encoding: 'utf8', highWaterMark: 60_000 })) yield part as string;
}

export async function measureArchives({ say, short }: Bench): Promise<void> {
  say('\n## Taking out and bringing in\n');
  const cluster = await throwAwayCluster();
  const folder = mkdtempSync(join(tmpdir(), 'velvet-bench-'));
  const owner = connect(cluster.url, null);
  try {
    ensureTrailKey(DATA);
    await prepare(cluster.url);
    const [from, to] = [await open(1), await open(2)];
    const size = short
      ? { clients: 500, visitsEach: 10, readings: 100_000 }
      : { clients: 2500, visitsEach: 20, readings: 1_000_000 };
    await fillLargePractice(cluster.url, from, size);
    const [[{ rows }]] = (await owner.query('select count(*)::int as rows from readings')) as unknown as [
      [{ rows: number }],
    ];
    const copied = await watched(() => owner.query(`copy (select * from readings) to '/dev/null'`));
    say(`- COPY of ${rows.toLocaleString('en')} readings alone: ${told(rows, copied)}`);
    const file = join(folder, 'practice.zip');
    const out = await watched(() => pipeline(practiceArchive(from.practiceId, new Date()), createWriteStream(file)));
    const archive = await ArchiveFile.open(file);
    const all = archive.rows;
    say(
      `- The archive of that practice, ${all.toLocaleString('en')} rows, ${(statSync(file).size / 1e6).toFixed(1)} MB: ${told(all, out)}; ${(out.seconds / copied.seconds).toFixed(1)} × COPY of the readings`,
    );
    /** When the first courses were judged: by then every row was kept. */
    let keptAt = 0;
    const kept = {
      keeps: true,
      signal: new AbortController().signal,
      progress: () => (keptAt = performance.now()),
      judging: () => {},
    };
    const begun = performance.now();
    const brought = await watched(() => bringArchive(to, archive, kept));
    archive.close();
    say(`- Brought into an empty practice: ${told(all, { ...brought, seconds: (keptAt - begun) / 1000 })}`);
    say(`- Its courses judged afterwards: ${((begun - keptAt) / 1000 + brought.seconds).toFixed(1)} s`);
    const csv = join(folder, 'readings.csv');
    const written = await watched(() => writeTable(from.practiceId, csv));
    say(`- A table of ${written.came.toLocaleString('en')} readings written: ${told(written.came, written)}`);
    const table = { text: textOf(csv), ways: WAYS, names: {} };
    const started = performance.now();
    const into = await watched(() => bringReadings(from, table, kept, new Date()));
    const count = into.came.kinds.readings!;
    say(
      `- The same brought in (aim under 60 s), ${count.new} new, ${count.same + count.changed} here already, ${count.refused} refused: ${told(written.came, { ...into, seconds: (keptAt - started) / 1000 })}`,
    );
    say(`- Courses judged afterwards: ${((started - keptAt) / 1000 + into.seconds).toFixed(1)} s`);
  } finally {
    await closeDatabase();
    await owner.close();
    await cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}
