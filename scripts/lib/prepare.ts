import { closeDatabase } from '../../server/db/connection.ts';
import { inSameRole, prepareDatabase } from '../../server/db/prepare.ts';
import { anchorTrails, learnSpreads, practiceIds, refreshAllCourses } from '../../server/db/upkeep.ts';
import { reachable } from './command.ts';

/** Migrates as the owner, sets the address of the application's own role for this process, and brings along what was kept before. */
export async function prepare(ownerUrl: string, copyUrl: string | null = null): Promise<string> {
  const { url, made } = await reachable(ownerUrl, () => prepareDatabase(ownerUrl));
  await closeDatabase();
  process.env.VELVET_DATABASE = url;
  if (copyUrl) process.env.VELVET_READ_DATABASE = inSameRole(url, copyUrl);
  if (made.length) console.log(`Tables made: ${made.join(', ')}`);
  // Trails from before their heads were signed are signed once, as they stand.
  if (made.includes('0005-walls.ts')) await anchorTrails(await practiceIds(ownerUrl));
  await refreshAllCourses(ownerUrl);
  await learnSpreads(ownerUrl);
  return url;
}
