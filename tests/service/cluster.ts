import type { TestProject } from 'vitest/node';
import { ensureBuild } from '../../scripts/lib/build.ts';
import { throwAwayCluster } from '../../scripts/lib/postgres.ts';

declare module 'vitest' {
  interface ProvidedContext {
    clusterUrl: string;
  }
}

/** One build and one throw-away PostgreSQL for all service tests; each file makes a database of its own in it. */
export default async function start(project: TestProject): Promise<() => Promise<void>> {
  ensureBuild();
  const cluster = await throwAwayCluster();
  project.provide('clusterUrl', cluster.url);
  return cluster.stop;
}
