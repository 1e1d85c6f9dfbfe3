import { BaseError, ConnectionError, Sequelize } from 'sequelize';
import { defineModels } from './models/index.ts';

/** PostgreSQL states that mean "the server is going away or coming up", not "the query was wrong". */
const AWAY_CODES = new Set(['57P01', '57P02', '57P03', '08000', '08003', '08006', 'ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ETIMEDOUT', 'ENOENT']);

/** True when the database cannot be reached, as opposed to refusing what it was asked. */
export function isDatabaseAway(error: unknown): boolean {
  if (error instanceof ConnectionError) return true;
  const codes = [error, error instanceof BaseError && 'original' in error ? error.original : null];
  return codes.some((e) => {
    const { code, message } = (e ?? {}) as { code?: unknown; message?: unknown };
    return (typeof code === 'string' && AWAY_CODES.has(code)) || (typeof message === 'string' && /connection terminated|ConnectionManager\.getConnection was called after/i.test(message));
  });
}

/** Connects lazily: nothing is opened before the first query. */
export function connect(url: string): Sequelize {
  const sequelize = new Sequelize(url, {
    dialect: 'postgres',
    logging: false,
    define: { underscored: true, timestamps: false },
    pool: { max: 10, idle: 10_000, acquire: 8_000 },
    dialectOptions: { connectionTimeoutMillis: 4_000 },
  });
  const query = sequelize.query.bind(sequelize) as (...args: unknown[]) => Promise<unknown>;
  // One place turns a lost database into the answer that every page shows as "the records cannot be reached".
  (sequelize as { query: unknown }).query = async (...args: unknown[]) => {
    try {
      return await query(...args);
    } catch (error) {
      if (isDatabaseAway(error)) throw new Response('The records cannot be reached.', { status: 503, statusText: 'Database away' });
      throw error;
    }
  };
  return sequelize;
}

/** One connection a process, although the build and a script beside it hold two copies of this module. */
const holder = globalThis as { velvetDatabase?: Sequelize };
let definedOn: Sequelize | null = null;

/** The connection of this process; the address comes from DATABASE_URL. */
export function database(): Sequelize {
  if (!holder.velvetDatabase) {
    const url = process.env.DATABASE_URL;
    if (!url) throw new Error('DATABASE_URL is not set; start with "npm run demo"');
    holder.velvetDatabase = connect(url);
  }
  if (definedOn !== holder.velvetDatabase) {
    defineModels(holder.velvetDatabase);
    definedOn = holder.velvetDatabase;
  }
  return holder.velvetDatabase;
}

export async function closeDatabase(): Promise<void> {
  await holder.velvetDatabase?.close();
  delete holder.velvetDatabase;
}
