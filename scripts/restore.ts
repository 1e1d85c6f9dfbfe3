/** Brings a backup into an empty database. */
import { existsSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { BackupError, restoreBackup } from './lib/backup.ts';
import { command, databaseUrl, options, reachable, Wrong } from './lib/command.ts';
import { DATA } from './lib/paths.ts';
import { privateCluster, type PrivateCluster } from './lib/postgres.ts';

const HELP = `
npm run restore -- FILE

Brings a backup into the empty database that DATABASE_URL names, or into the demo's own where nothing was made yet: all
of it, held against its manifest, or nothing. A backup of a newer version is refused; one of an older version is brought
up to date with the next start. "npm run check-trail" tells afterwards whether the audit trails fit their key.`;

await command(async () => {
  const { rest } = options(HELP, {}, 1);
  const file = rest[0] && resolve(rest[0]);
  if (!file) throw new Wrong('name the file to bring in; --help tells what there is');
  if (!existsSync(file)) throw new Wrong(`${rest[0]} is not there`);
  const given = databaseUrl(process.env.DATABASE_URL);
  let cluster: PrivateCluster | null = null;
  try {
    if (!given) cluster = await privateCluster(join(DATA, 'demo'));
    const owner = given ?? cluster!.url;
    const { tables, madeAt } = await reachable(owner, () => restoreBackup(owner, file));
    console.log(
      `${tables.reduce((sum, t) => sum + t.rows, 0)} rows of ${tables.length} tables, as they were ${madeAt}; every hash fits`,
    );
  } catch (error) {
    throw error instanceof BackupError ? new Wrong(`${rest[0]}: ${error.message}`) : error;
  } finally {
    await cluster?.stop();
  }
});
