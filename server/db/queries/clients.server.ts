import { Op, type Transaction } from 'sequelize';
import type { ComplaintKind } from '../../../core/routine/technique.ts';
import type { Pressure, Side } from '../../../core/units.ts';
import type { HabitSides } from '../../../core/visit/habit-sides.ts';
import { database } from '../connection.ts';
import { ClientModel, ComplaintModel } from '../models/index.ts';
import { isUuid, like } from './shared.server.ts';

export interface Complaint {
  id: string;
  kind: ComplaintKind;
  label: string;
  side: Side;
  onset: string;
  triggers: string;
  goal: string;
  closed: boolean;
}
export interface Client {
  id: string;
  name: string;
  about: string;
  note: string;
  pressureCap: Pressure | null;
  fingerWidthsMm: number[] | null;
  habitSides: HabitSides;
  allergies: string[];
  version: number;
  complaints: Complaint[];
}
export type ClientInput = Omit<Client, 'id' | 'version' | 'complaints'> & { complaints: (Omit<Complaint, 'id' | 'closed'> & { id?: string; closed?: boolean })[] };

export interface ClientRow {
  id: string;
  name: string;
  about: string;
  complaints: { kind: ComplaintKind; label: string; side: Side }[];
  visits: number;
  lastVisitAt: string | null;
}
export const CLIENT_SORTS = ['name', 'last', 'visits'] as const;
export type ClientSort = (typeof CLIENT_SORTS)[number];

const ORDER: Record<ClientSort, string> = { name: 'lower(c.name)', last: 'max(v.starts_at)', visits: 'count(v.id)' };

/** One page of the practice's clients. */
export async function listClients(practiceId: string, ask: { find: string; sort: ClientSort; descending: boolean; page: number; pageSize: number }): Promise<{ rows: ClientRow[]; total: number }> {
  const replacements = { practiceId, find: like(ask.find), limit: ask.pageSize, offset: (ask.page - 1) * ask.pageSize };
  const where = 'c.practice_id = :practiceId and (c.name ilike :find or c.about ilike :find)';
  const direction = ask.descending ? 'desc nulls last' : 'asc nulls last';
  const [rows] = await database().query(
    `select c.id, c.name, c.about, count(v.id)::int as visits, max(v.starts_at) as "lastVisitAt",
       coalesce((select json_agg(json_build_object('kind', k.kind, 'label', k.label, 'side', k.side) order by k.position) from complaints k where k.client_id = c.id and k.practice_id = c.practice_id and not k.closed), '[]') as complaints
     from clients c left join visits v on v.client_id = c.id and v.practice_id = c.practice_id and v.starts_at <= now()
     where ${where} group by c.id order by ${ORDER[ask.sort]} ${direction}, lower(c.name) limit :limit offset :offset`,
    { replacements },
  );
  const [[count]] = (await database().query(`select count(*)::int as total from clients c where ${where}`, { replacements })) as [{ total: number }[], unknown];
  return { rows: (rows as (Omit<ClientRow, 'lastVisitAt'> & { lastVisitAt: Date | null })[]).map((r) => ({ ...r, lastVisitAt: r.lastVisitAt?.toISOString() ?? null })), total: count?.total ?? 0 };
}

export async function findClient(practiceId: string, id: string): Promise<Client | null> {
  if (!isUuid(id)) return null;
  database();
  const [client, complaints] = await Promise.all([
    ClientModel.findOne({ where: { practiceId, id } }),
    ComplaintModel.findAll({ where: { practiceId, clientId: id }, order: [['position', 'ASC']] }),
  ]);
  return client && plainClient(client, complaints);
}

function plainClient(c: ClientModel, complaints: ComplaintModel[]): Client {
  return {
    id: c.id, name: c.name, about: c.about, note: c.note, pressureCap: c.pressureCap, fingerWidthsMm: c.fingerWidthsMm, habitSides: c.habitSides, allergies: c.allergies, version: c.version,
    complaints: complaints.map((k) => ({ id: k.id, kind: k.kind, label: k.label, side: k.side, onset: k.onset, triggers: k.triggers, goal: k.goal, closed: k.closed })),
  };
}

export async function createClient(practiceId: string, input: ClientInput): Promise<string> {
  return database().transaction(async (transaction) => {
    const { complaints, ...own } = input;
    const client = await ClientModel.create({ practiceId, ...own }, { transaction });
    await writeComplaints(practiceId, client.id, complaints, transaction);
    return client.id;
  });
}

/** Writes only when nobody else has since `expectedVersion`; a complaint that is left out is closed, never deleted. */
export async function updateClient(practiceId: string, id: string, expectedVersion: number, input: ClientInput): Promise<'saved' | 'stale' | 'missing'> {
  if (!isUuid(id)) return 'missing';
  return database().transaction(async (transaction) => {
    const client = await ClientModel.findOne({ where: { practiceId, id }, transaction, lock: transaction.LOCK.UPDATE });
    if (!client) return 'missing';
    if (client.version !== expectedVersion) return 'stale';
    const { complaints, ...own } = input;
    await client.update({ ...own, version: client.version + 1 }, { transaction });
    await writeComplaints(practiceId, id, complaints, transaction);
    return 'saved';
  });
}

async function writeComplaints(practiceId: string, clientId: string, complaints: ClientInput['complaints'], transaction: Transaction): Promise<void> {
  const existing = await ComplaintModel.findAll({ where: { practiceId, clientId }, transaction });
  const kept = new Set(complaints.map((c) => c.id));
  for (const gone of existing) if (!kept.has(gone.id)) await gone.update({ closed: true }, { transaction });
  for (const [position, { id, ...own }] of complaints.entries()) {
    const known = existing.find((e) => e.id === id);
    if (known) await known.update({ ...own, position, closed: own.closed ?? false }, { transaction });
    else await ComplaintModel.create({ practiceId, clientId, ...own, position }, { transaction });
  }
}

/** Names for the find box, best first. */
export async function findClientsByName(practiceId: string, text: string, limit: number): Promise<{ id: string; name: string; about: string }[]> {
  database();
  const rows = await ClientModel.findAll({ where: { practiceId, name: { [Op.iLike]: like(text) } }, order: [['name', 'ASC']], limit, attributes: ['id', 'name', 'about'] });
  return rows.map((r) => ({ id: r.id, name: r.name, about: r.about }));
}
