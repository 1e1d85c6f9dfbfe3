/** Checks the audit trail of every practice, portion by portion. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { command, databaseUrl, options, Wrong } from './lib/command.ts';
import { holderOf } from './lib/folder-lock.ts';
import { DATA } from './lib/paths.ts';
import { ensureTrailKey } from './lib/trail-key.ts';

const HELP = `
npm run check-trail

Checks that every entry of every audit trail fits the one before it, and that none was cut off at the end.
Looks at DATABASE_URL, or at the demo while it runs. Exit code 1 when something does not fit.`;

await command(async () => {
  options(HELP, {});
  const given = databaseUrl(process.env.DATABASE_URL);
  const folder = join(DATA, 'demo');
  const port = given ? null : holderOf(folder)?.databasePort;
  if (!given && !port) throw new Wrong('DATABASE_URL is not set and the demo does not run');
  const owner =
    given ?? `postgres://velvet:${readFileSync(join(folder, 'postgres-password'), 'utf8')}@127.0.0.1:${port}/velvet`;
  ensureTrailKey(given ? DATA : folder);
  const { prepare } = await import('./lib/prepare.ts');
  await prepare(owner);
  const { closeDatabase } = await import('../server/db/connection.ts');
  const { checkTrail } = await import('../server/db/queries/audit.server.ts');
  const { practiceIds } = await import('../server/db/upkeep.ts');
  let broken = 0;
  for (const id of await practiceIds(owner)) {
    let check = await checkTrail(id, 0);
    while (!check.whole) check = await checkTrail(id, check.upTo);
    const told =
      check.brokenAt !== null
        ? `entry ${check.brokenAt} does not fit the one before it`
        : check.headFits
          ? 'whole'
          : 'ends otherwise than it was signed';
    if (told !== 'whole') broken++;
    console.log(`${id}  ${check.upTo} entries, ${told}`);
  }
  await closeDatabase();
  process.exitCode = broken ? 1 : 0;
});
