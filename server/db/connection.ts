import pg from 'pg';
import { BaseError, ConnectionError, Sequelize, type Transaction, type TransactionOptions } from 'sequelize';
import { defineModels } from './models/index.ts';
import { practiceInScope, readsCopy } from './scope.ts';

/** PostgreSQL states that mean "the server is going away, coming up or not answering", not "the query was wrong". */
const AWAY_CODES = new Set([
  '57P01',
  '57P02',
  '57P03',
  '57014',
  '55P03',
  '08000',
  '08003',
  '08006',
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  'ENOENT',
]);
const AWAY_WORDS =
  /connection terminated|ConnectionManager\.getConnection was called after|query read timeout|timeout expired|timeout exceeded when trying to connect|client has encountered a connection error/i;

/** True when the database cannot be reached or does not answer in time, as opposed to refusing what it was asked. */
export function isDatabaseAway(error: unknown): boolean {
  if (error instanceof ConnectionError) return true;
  const all = [error, error instanceof BaseError && 'original' in error ? error.original : null];
  return all.some((e) => {
    const { code, message } = (e ?? {}) as { code?: unknown; message?: unknown };
    return (
      (typeof code === 'string' && AWAY_CODES.has(code)) || (typeof message === 'string' && AWAY_WORDS.test(message))
    );
  });
}

/** What every page shows as "the records cannot be reached". */
const away = (): Response =>
  new Response('The records cannot be reached.', { status: 503, statusText: 'Database away' });

/** Runs a question to the database; one that gets no answer becomes the 503 of every page. */
export async function reaching<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    if (isDatabaseAway(error)) throw away();
    throw error;
  }
}

/** A page must be able to say within ten seconds that the database does not answer: two of these and a way between. */
const STATEMENT_MS = 3_500;
const ANSWER_MS = 4_000;
const CONNECT_MS = 4_000;

/**
 * A connection that the server cuts off in the very moment it is ready tells it before anybody listens, and an error
 * nobody listens to ends the process. Whoever asked for the connection gets it from the pool as "away" all the same.
 */
class HeardClient extends pg.Client {
  constructor(config?: string | pg.ClientConfig) {
    super(config);
    this.on('error', () => {});
  }
}

/** Connects lazily: nothing is opened before the first query. */
export function connect(
  url: string,
  limits: { statementMs: number; answerMs: number } | null = { statementMs: STATEMENT_MS, answerMs: ANSWER_MS },
): Sequelize {
  return new Sequelize(url, {
    dialect: 'postgres',
    dialectModule: { ...pg, Client: HeardClient },
    logging: false,
    define: { underscored: true, timestamps: false },
    pool: { max: 10, idle: 10_000, acquire: CONNECT_MS + 500 },
    dialectOptions: {
      connectionTimeoutMillis: CONNECT_MS,
      ...(limits && {
        statement_timeout: limits.statementMs,
        lock_timeout: limits.statementMs,
        query_timeout: limits.answerMs,
        idle_in_transaction_session_timeout: 4 * limits.answerMs,
      }),
    },
  });
}

interface Asking {
  transaction?: Transaction | null;
  bind?: unknown;
}

/**
 * Every statement runs with the practice of its scope set, for the length of its own transaction: a plain one carries
 * the setting in front of it, so that it costs no journey; one with values of its own gets a transaction around it.
 */
function scoped(sequelize: Sequelize): Sequelize {
  const query = sequelize.query.bind(sequelize) as (sql: unknown, options?: Asking) => Promise<unknown>;
  const begin = sequelize.transaction.bind(sequelize) as (
    options: TransactionOptions,
    work: (t: Transaction) => Promise<unknown>,
  ) => Promise<unknown>;
  const setting = (practiceId: string) => `set local velvet.practice = '${practiceId}'; `;
  const transaction = (
    first: TransactionOptions | ((t: Transaction) => Promise<unknown>),
    second?: (t: Transaction) => Promise<unknown>,
  ): Promise<unknown> => {
    const [options, work] = typeof first === 'function' ? [{}, first] : [first, second!];
    const practiceId = practiceInScope();
    return reaching(() =>
      begin(options, async (t) => {
        if (practiceId) await query(setting(practiceId), { transaction: t });
        return work(t);
      }),
    );
  };
  Object.assign(sequelize, {
    query: (sql: unknown, options: Asking = {}): Promise<unknown> => {
      const practiceId = practiceInScope();
      if (!practiceId || options.transaction) return reaching(() => query(sql, options));
      if (typeof sql === 'string' && !options.bind) return reaching(() => query(setting(practiceId) + sql, options));
      return transaction((t) => query(sql, { ...options, transaction: t }));
    },
    transaction,
  });
  return sequelize;
}

/** One connection a process, although the build and a script beside it hold two copies of this module. */
const holder = globalThis as { velvetDatabase?: Sequelize; velvetCopy?: Sequelize };
let definedOn: Sequelize | null = null;

/** The connection of this process, in the application's own role; `prepareDatabase` says where. */
export function database(): Sequelize {
  if (readsCopy()) return copy()!;
  if (!holder.velvetDatabase) {
    const url = process.env.VELVET_DATABASE;
    if (!url) throw new Error('The database was not prepared; start with "npm run demo" or "npm run serve"');
    holder.velvetDatabase = scoped(connect(url));
  }
  if (definedOn !== holder.velvetDatabase) {
    defineModels(holder.velvetDatabase);
    definedOn = holder.velvetDatabase;
  }
  return holder.velvetDatabase;
}

/** The copy that pages read which say how old they are; null where none is set. It knows no models: it is asked in SQL. */
export function copy(): Sequelize | null {
  const url = process.env.VELVET_READ_DATABASE;
  if (url) holder.velvetCopy ??= scoped(connect(url));
  return holder.velvetCopy ?? null;
}

export async function closeDatabase(): Promise<void> {
  await holder.velvetCopy?.close();
  await holder.velvetDatabase?.close();
  delete holder.velvetCopy;
  delete holder.velvetDatabase;
}
