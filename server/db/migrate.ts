import { readdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import type { Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';

const folder = join(dirname(fileURLToPath(import.meta.url)), 'migrations');

/** Bring the database to the present shape. Several processes may call this at once: the first holds a lock. */
export async function migrate(sequelize: Sequelize): Promise<string[]> {
  const umzug = new Umzug({
    migrations: readdirSync(folder)
      .filter((name) => name.endsWith('.ts'))
      .sort()
      .map((name) => ({
        name,
        up: async (params: unknown) => ((await import(pathToFileURL(join(folder, name)).href)) as { up: (p: unknown) => Promise<void> }).up(params),
      })),
    context: sequelize.getQueryInterface(),
    storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
    logger: undefined,
  });
  return sequelize.transaction(async (transaction) => {
    await sequelize.query('select pg_advisory_xact_lock(7310042)', { transaction });
    return (await umzug.up()).map((m) => m.name);
  });
}
