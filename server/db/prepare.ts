import { createHmac } from 'node:crypto';
import { QueryTypes, type Sequelize } from 'sequelize';
import { connect } from './connection.ts';
import { migrate } from './migrate.ts';

/** The role the application works in: it owns nothing, and what it may do is granted table by table. */
export const APP_ROLE = 'velvet_app';

/** The same for every process that knows the owner's address, and stored nowhere. */
const derivedPassword = (owner: URL): string =>
  createHmac('sha256', `${owner.username}:${owner.password}`).update(APP_ROLE).digest('base64url');

function appUrlOf(ownerUrl: string): { url: string; password: string } {
  const url = new URL(ownerUrl);
  const password = derivedPassword(url);
  url.username = APP_ROLE;
  url.password = password;
  return { url: url.href, password };
}

/** The address of another server of the same database, in the role of this one. */
export function inSameRole(appUrl: string, otherUrl: string): string {
  const [role, url] = [new URL(appUrl), new URL(otherUrl)];
  url.username = role.username;
  url.password = role.password;
  return url.href;
}

/** Two who make it at once: the second finds it made. */
const MADE_MEANWHILE = new Set(['42710', '23505', 'XX000']);

async function ensureRole(owner: Sequelize, password: string): Promise<void> {
  const [known] = await owner.query<{ ok: boolean }>(
    'select not (rolsuper or rolcreaterole or rolcreatedb or rolbypassrls or rolreplication) as ok from pg_roles where rolname = :name',
    { replacements: { name: APP_ROLE }, type: QueryTypes.SELECT },
  );
  if (known && !known.ok)
    throw new Error(`The database role ${APP_ROLE} may more than it should; take its attributes away first`);
  if (known) return;
  try {
    await owner.query(
      `create role ${APP_ROLE} login nosuperuser nocreatedb nocreaterole nobypassrls noreplication password '${password}'`,
    );
  } catch (error) {
    const { code } = (error as { original?: { code?: string } }).original ?? {};
    if (code === '42501')
      throw new Error(
        `The owner of the database may not make roles; make the role ${APP_ROLE} and name its address in DATABASE_APP_URL`,
        { cause: error },
      );
    if (!MADE_MEANWHILE.has(code ?? '')) throw error;
  }
}

/** The password of the role is the derived one again, when somebody changed the owner's. */
async function ensurePassword(owner: Sequelize, url: string, password: string): Promise<void> {
  const app = connect(url);
  try {
    await app.query('select 1');
  } catch (error) {
    if ((error as { original?: { code?: string } }).original?.code !== '28P01') throw error;
    await owner.query(`alter role ${APP_ROLE} password '${password}'`);
  } finally {
    await app.close();
  }
}

/** The application's own role, without any table: what is granted to it can be brought in. */
export async function ensureAppRole(ownerUrl: string): Promise<void> {
  const owner = connect(ownerUrl, null);
  try {
    await ensureRole(owner, appUrlOf(ownerUrl).password);
  } finally {
    await owner.close();
  }
}

/**
 * Brings the database to the present shape as its owner and answers with the address of the application's own role.
 * Everything afterwards runs in that role. `appUrl` names one that was made by hand.
 */
export async function prepareDatabase(
  ownerUrl: string,
  appUrl = process.env.DATABASE_APP_URL,
): Promise<{ url: string; made: string[] }> {
  const owner = connect(ownerUrl, null);
  try {
    const { url, password } = appUrlOf(ownerUrl);
    if (!appUrl) await ensureRole(owner, password);
    const made = await migrate(owner);
    if (!appUrl) await ensurePassword(owner, url, password);
    return { url: appUrl || url, made };
  } finally {
    await owner.close();
  }
}
