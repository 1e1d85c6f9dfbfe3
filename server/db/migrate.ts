import { readdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { QueryTypes, type Sequelize, type Transaction } from 'sequelize';

const folder = join(dirname(fileURLToPath(import.meta.url)), 'migrations');
export const migrationNames = (): string[] =>
  readdirSync(folder)
    .filter((name) => name.endsWith('.ts'))
    .sort();

/** What a migration is handed: everything it does belongs into this transaction. */
export interface Migration {
  sequelize: Sequelize;
  transaction: Transaction;
}

/**
 * Bring the database to the present shape, as its owner. A step and the note that it was done are one transaction, so
 * that one cut off in the middle leaves nothing. Several processes may call this at once: the first holds a lock.
 */
export async function migrate(owner: Sequelize): Promise<string[]> {
  return owner.transaction(async (lock) => {
    await owner.query('select pg_advisory_xact_lock(7310042)', { transaction: lock });
    await owner.query('create table if not exists migrations (name varchar(255) primary key)');
    const executed = async () =>
      (
        await owner.query<{ name: string }>('select name from migrations order by name', { type: QueryTypes.SELECT })
      ).map((r) => r.name);
    const done = new Set(await executed());
    if (migrationNames().every((name) => done.has(name))) return [];
    const { Umzug } = await import('umzug');
    const umzug = new Umzug({
      migrations: migrationNames().map((name) => ({
        name,
        up: () =>
          owner.transaction(async (transaction) => {
            const { up } = (await import(pathToFileURL(join(folder, name)).href)) as {
              up: (m: Migration) => Promise<void>;
            };
            await up({ sequelize: owner, transaction });
            await owner.query('insert into migrations (name) values (:name)', { replacements: { name }, transaction });
          }),
      })),
      storage: {
        // Noted with the step itself, above.
        logMigration: async () => {},
        unlogMigration: async () => {},
        executed,
      },
      logger: undefined,
    });
    return (await umzug.up()).map((m) => m.name);
  });
}
