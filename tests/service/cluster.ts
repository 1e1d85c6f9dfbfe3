import type { TestProject } from 'vitest/node';
import { throwAwayCluster } from '../../scripts/lib/postgres.ts';

declare module 'vitest' {
  interface ProvidedContext {
    clusterUrl: string;
  }
}

/** One throw-away PostgreSQL for all service tests; each file makes a database of its own in it. */
export default async function start(project: TestProject): Promise<() => Promise<void>> {
  const cluster = await throwAwayCluster();
  project.provide('clusterUrl', cluster.url);
  return cluster.stop;
}
