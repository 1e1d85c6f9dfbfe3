import { QueryTypes } from 'sequelize';
import { database } from './connection.ts';
import { migrationNames } from './migrate.ts';

/** Null when the database answers and has the present shape; otherwise why not. */
export async function isReady(): Promise<string | null> {
  try {
    const rows = await database().query<{ name: string }>('select name from migrations', { type: QueryTypes.SELECT });
    const done = new Set(rows.map((r) => r.name));
    return migrationNames().every((name) => done.has(name)) ? null : 'the database has an older shape';
  } catch {
    return 'the database does not answer';
  }
}
