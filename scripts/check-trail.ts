/** Checks the audit trail of every practice, portion by portion. */
import { join } from 'node:path';
import { command, options } from './lib/command.ts';
import { ownerOf } from './lib/owner.ts';
import { DATA } from './lib/paths.ts';
import { ensureTrailKey } from './lib/trail-key.ts';

const HELP = `
npm run check-trail

Checks that every entry of every audit trail fits the one before it, and that none was cut off at the end.
Looks at DATABASE_URL, or at the demo while it runs. Exit code 1 when something does not fit.`;

await command(async () => {
  options(HELP, {});
  const owner = ownerOf();
  ensureTrailKey(process.env.DATABASE_URL ? DATA : join(DATA, 'demo'));
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
