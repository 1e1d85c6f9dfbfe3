import { randomBytes } from 'node:crypto';
import { Client as Connection } from 'pg';
import { serve, type Served } from '../../scripts/lib/server.ts';

export { Visitor } from '../../scripts/lib/visitor.ts';

/** A database of a test's own in a cluster, empty. */
export async function freshDatabase(clusterUrl: string): Promise<string> {
  const name = `t_${randomBytes(6).toString('hex')}`;
  const connection = new Connection({ connectionString: clusterUrl });
  await connection.connect();
  await connection.query(`create database ${name}`);
  await connection.end();
  return clusterUrl.replace(/\/[^/]*$/, `/${name}`);
}

export const serveForTests = (databaseUrl: string, env: NodeJS.ProcessEnv = {}): Promise<Served> =>
  serve(databaseUrl, {
    VELVET_TRAIL_KEY: 'a key that is only used by these tests',
    VELVET_NEW_PRACTICES_PER_HOUR: '100000',
    VELVET_LOG: 'fatal',
    ...env,
  });
