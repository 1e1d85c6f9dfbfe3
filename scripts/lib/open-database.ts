import { practiceIds } from '../../server/db/upkeep.ts';
import { prepare } from './prepare.ts';
import { privateCluster, type PrivateCluster } from './postgres.ts';

interface Wanted {
  /** DATABASE_URL; null starts the private cluster. */
  given: string | null;
  folder: string;
  withDemo: boolean;
  /** Hears of the cluster as soon as it runs, so that it can be stopped from then on. */
  started?: (cluster: PrivateCluster) => void;
}

/** A database of the present shape, with the demo practice when there is none and one is wanted. */
export async function openDatabase({ given, folder, withDemo, started }: Wanted): Promise<PrivateCluster | null> {
  let cluster: PrivateCluster | null = null;
  if (!given) {
    console.log('Starting PostgreSQL …');
    cluster = await privateCluster(folder);
    started?.(cluster);
  }
  const owner = given ?? cluster!.url;
  await prepare(owner);
  if (withDemo && !(await practiceIds(owner)).length) {
    console.log('Making the demo practice …');
    // Only the first start needs the made-up people and all that works out what they did.
    const { seedDemo } = await import('../../demo/seed.ts');
    await seedDemo(new Date());
  }
  return cluster;
}
