import type { TestProject } from 'vitest/node';
import { ensureBuild } from '../../scripts/lib/build.ts';
import { freshDatabase, SHAPE } from '../support/serving.ts';
import { throwAwayCluster } from '../../scripts/lib/postgres.ts';
import { prepareDatabase } from '../../server/db/prepare.ts';

declare module 'vitest' {
  interface ProvidedContext {
    clusterUrl: string;
  }
}

/** One build and one throw-away PostgreSQL for all service tests; each file has a database of its own in it, as a copy of the first. */
export default async function start(project: TestProject): Promise<() => Promise<void>> {
  ensureBuild();
  const cluster = await throwAwayCluster();
  await prepareDatabase(await freshDatabase(cluster.url, null, SHAPE));
  project.provide('clusterUrl', cluster.url);
  return cluster.stop;
}
