import { randomBytes } from 'node:crypto';
import { Client as Connection } from 'pg';
import { serve, type Served } from '../../scripts/lib/server.ts';

export { Visitor } from '../../scripts/lib/visitor.ts';

/** The database that holds all tables and nothing else: those of the tests are copies of it. */
export const SHAPE = 'shape';

/** A database of a test's own in a cluster: empty, or a copy of another one. */
export async function freshDatabase(
  clusterUrl: string,
  copyOf: string | null = null,
  name = `t_${randomBytes(6).toString('hex')}`,
): Promise<string> {
  const connection = new Connection({ connectionString: clusterUrl });
  await connection.connect();
  await connection.query(`create database ${name}${copyOf ? ` template ${copyOf}` : ''}`);
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
