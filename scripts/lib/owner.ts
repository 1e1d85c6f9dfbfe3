import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { databaseUrl, Wrong } from './command.ts';
import { holderOf } from './folder-lock.ts';
import { DATA } from './paths.ts';

/** The database that a command is about, as its owner: DATABASE_URL, or the demo while it runs. @throws Wrong */
export function ownerOf(): string {
  const given = databaseUrl(process.env.DATABASE_URL);
  if (given) return given;
  const folder = join(DATA, 'demo');
  const port = holderOf(folder)?.databasePort;
  if (!port) throw new Wrong('DATABASE_URL is not set and the demo does not run');
  return `postgres://velvet:${readFileSync(join(folder, 'postgres-password'), 'utf8')}@127.0.0.1:${port}/velvet`;
}
