import type { Client } from '../../core/record/index.ts';
import { afterAll, beforeAll, inject } from 'vitest';
import { QueryTypes, type Sequelize } from 'sequelize';
import { closeDatabase as closeApp, connect } from '../../server/db/connection.ts';
import { prepareDatabase } from '../../server/db/prepare.ts';
import { createPractice } from '../../server/db/queries/accounts.server.ts';
import { createClient, findClient } from '../../server/db/queries/clients.server.ts';
import { createVisit } from '../../server/db/queries/visits.server.ts';
import { freshDatabase, SHAPE } from '../support/serving.ts';

/** A database of this test file's own, with all tables. */
export async function openFreshDatabase(): Promise<void> {
  const url = await freshDatabase(inject('clusterUrl'), SHAPE);
  await closeDatabase();
  process.env.VELVET_TRAIL_KEY = 'a key that is only used by these tests';
  process.env.VELVET_DATABASE = (await prepareDatabase(url)).url;
  ownerConnection = connect(url, null);
  process.env.VELVET_OWNER_FOR_TESTS = url;
}

let ownerConnection: Sequelize | null = null;
/** The database as its owner sees it, past every wall: to look at rows, and to do by hand what the application may not. */
export async function asOwner<T extends object>(sql: string, replacements: Record<string, unknown> = {}): Promise<T[]> {
  return (await ownerConnection!.query(sql, {
    replacements,
    ...(/^\s*(select|explain|with)/i.test(sql) ? { type: QueryTypes.SELECT } : {}),
  })) as T[];
}
export const owner = (): Sequelize => ownerConnection!;
export async function closeDatabase(): Promise<void> {
  await closeApp();
  await ownerConnection?.close();
  ownerConnection = null;
}

/** A database of this file's own with one practice in it, made before its tests and let go after them. */
export function ownPractice(): { readonly tenant: Tenant } {
  const own = {} as { tenant: Tenant };
  beforeAll(async () => {
    await openFreshDatabase();
    own.tenant = await openPractice();
  });
  afterAll(closeDatabase);
  return own;
}

export interface Tenant {
  practiceId: string;
  practitionerId: string;
}
let made = 0;

/** A practice with its owner, as a visitor opens one. */
export async function openPractice(name = 'Harbour Row'): Promise<Tenant> {
  const result = await createPractice({
    practice: name,
    timeZone: 'Europe/Lisbon',
    name: 'Imke Dahl',
    email: `owner${++made}@harbour-row.example`,
    password: 'velvet-harbour',
  });
  if (result === 'email-taken') throw new Error('the address is taken');
  return result;
}

/** An empty database with two practices in it, to see that neither reaches the other's rows. */
export async function openTwoPractices(): Promise<{ mine: Tenant; theirs: Tenant }> {
  await openFreshDatabase();
  return { mine: await openPractice('Mine'), theirs: await openPractice('Theirs') };
}

export async function addClient(
  tenant: Tenant,
  name = 'Noor Halvorsen',
  over: Partial<Parameters<typeof createClient>[1]> = {},
): Promise<Client> {
  const id = await createClient(tenant, {
    name,
    about: 'second violins',
    email: '',
    note: '',
    pressureCap: null,
    fingerWidthsMm: null,
    habitSides: {},
    allergies: [],
    complaints: [
      { kind: 'jaw', label: '', side: 'left', onset: '', triggers: '', goal: '' },
      { kind: 'headache', label: '', side: 'both', onset: '', triggers: '', goal: '' },
    ],
    ...over,
  });
  return (await findClient(tenant.practiceId, id))!;
}

export async function addVisit(tenant: Tenant, clientId: string, startsAt = new Date()): Promise<string> {
  const id = await createVisit(tenant.practiceId, { clientId, practitionerId: tenant.practitionerId, startsAt });
  if (!id) throw new Error('no visit');
  return id;
}
