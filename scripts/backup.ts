/** Writes the whole database into one file, once or again and again. */
import { existsSync, mkdirSync, readdirSync, rmSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { makeBackup } from './lib/backup.ts';
import { command, onEnd, options, reachable, Wrong } from './lib/command.ts';
import { ownerOf } from './lib/owner.ts';

const HELP = `
npm run backup -- FILE
npm run backup -- --every HOURS [--keep N] FOLDER

Writes all practices of the database into one file: a manifest with rows and a hash of every table, and PostgreSQL's dump
of the same moment. Looks at DATABASE_URL, or at the demo while it runs. Nothing has to stand still for it.
  --every HOURS   writes one into FOLDER now and every so many hours, until it is ended
  --keep N        keeps the latest N of them, 14 when not said
The file holds health data: keep it where only you can read it. The key that signs the audit trail is not in it
(VELVET_TRAIL_KEY, or the file trail-key under .data/): keep that apart.`;

const NAME = /^velvet-\d{4}-\d\d-\d\dT\d{6}Z\.backup$/;

await command(async () => {
  const { every, keep, rest } = options(HELP, { every: { type: 'string' }, keep: { type: 'string' } }, 1);
  const target = rest[0];
  if (!target) throw new Wrong('name the file to write; --help tells what there is');
  const hours = every === undefined ? null : Number(every);
  if (hours !== null && !(hours >= 0.01 && hours <= 24 * 31))
    throw new Wrong('--every: 0.01 to 744 hours are accepted');
  const most = keep === undefined ? 14 : Number(keep);
  if (!Number.isInteger(most) || most < 1) throw new Wrong('--keep: a whole number, 1 or more, is accepted');
  const owner = ownerOf();
  const write = async (file: string): Promise<void> => {
    const { tables } = await reachable(owner, () => makeBackup(owner, file));
    const rows = tables.reduce((sum, t) => sum + t.rows, 0);
    console.log(`${file}: ${tables.length} tables, ${rows} rows`);
  };
  if (hours === null) {
    const file = resolve(target);
    if (existsSync(file)) throw new Wrong(`${target} is there already; name another file`);
    return write(file);
  }
  const folder = resolve(target);
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  onEnd(() => process.exit(0));
  for (;;) {
    const at = new Date().toISOString().replace(/[:]|\.\d+/g, '');
    // One that fails is told, and the next is tried all the same.
    await write(join(folder, `velvet-${at}.backup`)).catch((error: unknown) => console.error((error as Error).message));
    const kept = readdirSync(folder)
      .filter((name) => NAME.test(name))
      .sort();
    for (const old of kept.slice(0, Math.max(0, kept.length - most))) rmSync(join(folder, old));
    await new Promise((done) => setTimeout(done, hours * 3_600_000));
  }
});
