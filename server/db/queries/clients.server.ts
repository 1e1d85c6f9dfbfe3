import type { Client, ClientSort, Complaint } from '../../../core/record/index.ts';
import { COMPLAINT_KINDS, COMPLAINT_NAMES, type ComplaintKind, type Side } from '../../../core/words/index.ts';
import { QueryTypes, type Transaction } from 'sequelize';
import { database } from '../connection.ts';
import { ClientModel, ComplaintModel } from '../models/index.ts';
import { byPractice, isUuid } from '../scope.ts';
import type { Member } from './accounts.server.ts';
import { writeAudit } from './audit.server.ts';
import { factsNamed, HAS_FACT } from './facts.server.ts';
import { workAnew } from './courses.server.ts';
import { once } from './once.server.ts';
import { LEAST_LETTERS, like, nearName } from './shared.server.ts';

export type ClientInput = Omit<Client, 'id' | 'version' | 'complaints'> & {
  complaints: (Omit<Complaint, 'id' | 'closed'> & { id?: string; closed?: boolean })[];
};

export interface ClientRow {
  id: string;
  name: string;
  about: string;
  complaints: { kind: ComplaintKind; label: string; side: Side }[];
  visits: number;
  lastVisitAt: string | null;
}

/** Sorting by visits needs them of every client found; by name, only of those shown. */
const ORDER: Record<ClientSort, string> = { name: 'lower(c.name)', last: 'v.last', visits: 'v.visits' };
const VISITS = `lateral (select count(*)::int as visits, max(starts_at) as last from visits where practice_id = c.practice_id and client_id = c.id and starts_at <= now()) v`;

/** One page of the practice's clients; `namesOnly` finds and tells nothing of why they come. */
export const listClients = byPractice(
  async (
    practiceId: string,
    ask: { find: string; sort: ClientSort; descending: boolean; page: number; pageSize: number; namesOnly?: boolean },
  ): Promise<{ rows: ClientRow[]; total: number }> => {
    const factKeys = ask.namesOnly ? [] : await factsNamed(practiceId, ask.find);
    const replacements = {
      practiceId,
      factKeys,
      find: like(ask.find),
      limit: ask.pageSize,
      offset: (ask.page - 1) * ask.pageSize,
    };
    const fact = factKeys.length ? ` or ${HAS_FACT}` : '';
    const where = `c.practice_id = :practiceId and (c.name ilike :find${ask.namesOnly ? '' : ` or c.about ilike :find${fact}`})`;
    const order = `${ORDER[ask.sort]} ${ask.descending ? 'desc nulls last' : 'asc nulls last'}, lower(c.name), c.id`;
    const shown =
      ask.sort === 'name'
        ? `select c.* from clients c where ${where} order by ${order} limit :limit offset :offset`
        : `select c.* from clients c, ${VISITS} where ${where} order by ${order} limit :limit offset :offset`;
    const [rows, [count]] = await Promise.all([
      database().query<Omit<ClientRow, 'lastVisitAt'> & { lastVisitAt: Date | null }>(
        `select c.id, c.name, c.about, v.visits, v.last as "lastVisitAt",
         coalesce((select json_agg(json_build_object('kind', k.kind, 'label', k.label, 'side', k.side) order by k.position) from complaints k where k.client_id = c.id and k.practice_id = c.practice_id and not k.closed), '[]') as complaints
       from (${shown}) c, ${VISITS} order by ${order}`,
        { replacements, type: QueryTypes.SELECT },
      ),
      database().query<{ total: number }>(`select count(*)::int as total from clients c where ${where}`, {
        replacements,
        type: QueryTypes.SELECT,
      }),
    ]);
    return {
      rows: rows.map((r) => ({
        ...r,
        lastVisitAt: r.lastVisitAt?.toISOString() ?? null,
        ...(ask.namesOnly && { about: '', complaints: [] }),
      })),
      total: count?.total ?? 0,
    };
  },
);

export const findClient = byPractice(async (practiceId: string, id: string): Promise<Client | null> => {
  if (!isUuid(id)) return null;
  database();
  const [client, complaints] = await Promise.all([
    ClientModel.findOne({ where: { practiceId, id } }),
    ComplaintModel.findAll({ where: { practiceId, clientId: id }, order: [['position', 'ASC']] }),
  ]);
  return client && plainClient(client, complaints);
});

function plainClient(c: ClientModel, complaints: ComplaintModel[]): Client {
  return {
    id: c.id,
    name: c.name,
    about: c.about,
    email: c.email,
    note: c.note,
    pressureCap: c.pressureCap,
    fingerWidthsMm: c.fingerWidthsMm,
    habitSides: c.habitSides,
    allergies: c.allergies,
    version: c.version,
    complaints: complaints.map((k) => ({
      id: k.id,
      kind: k.kind,
      label: k.label,
      side: k.side,
      onset: k.onset,
      triggers: k.triggers,
      goal: k.goal,
      closed: k.closed,
    })),
  };
}

/** Adds a client, once for a key. */
export const createClient = byPractice(async (who: Member, input: ClientInput, key?: string): Promise<string> => {
  const { practiceId } = who;
  return database().transaction((transaction) =>
    once(practiceId, key, 'client', transaction, async () => {
      const { complaints, ...own } = input;
      const client = await ClientModel.create({ practiceId, ...own }, { transaction });
      await writeComplaints(practiceId, client.id, complaints, transaction);
      await writeAudit(who, 'client-added', { client: client.id }, transaction);
      return client.id;
    }),
  );
});

/** Writes only when nobody else has since `expectedVersion`; a complaint that is left out is closed, never deleted. */
export const updateClient = byPractice(
  async (
    who: Member,
    id: string,
    expectedVersion: number,
    input: ClientInput,
  ): Promise<'saved' | 'stale' | 'missing'> => {
    const { practiceId } = who;
    if (!isUuid(id)) return 'missing';
    return database().transaction(async (transaction) => {
      const client = await ClientModel.findOne({
        where: { practiceId, id },
        transaction,
        lock: transaction.LOCK.UPDATE,
      });
      if (!client) return 'missing';
      if (client.version !== expectedVersion) return 'stale';
      const { complaints, ...own } = input;
      client.set(own);
      // Which fields, never what stands in them.
      const fields = (client.changed() || []).filter((f) => f in own);
      await client.set({ version: client.version + 1 }).save({ transaction });
      await writeComplaints(practiceId, id, complaints, transaction);
      await writeAudit(who, 'client-changed', { client: id, fields: [...fields, 'complaints'] }, transaction);
      return 'saved';
    });
  },
);

async function writeComplaints(
  practiceId: string,
  clientId: string,
  complaints: ClientInput['complaints'],
  transaction: Transaction,
): Promise<void> {
  const existing = await ComplaintModel.findAll({ where: { practiceId, clientId }, transaction });
  const kept = new Set(complaints.map((c) => c.id));
  for (const gone of existing) if (!kept.has(gone.id)) await gone.update({ closed: true }, { transaction });
  for (const [position, { id, ...own }] of complaints.entries()) {
    const known = existing.find((e) => e.id === id);
    if (known) {
      const isOther = known.kind !== own.kind;
      await known.update({ ...own, position, closed: own.closed ?? false }, { transaction });
      if (isOther) await workAnew(practiceId, clientId, known.id, transaction);
    } else await ComplaintModel.create({ practiceId, clientId, ...own, position }, { transaction });
  }
}

/** Names for the find box, best first. */
const COMPLAINT =
  'exists (select 1 from complaints k where k.practice_id = c.practice_id and k.client_id = c.id and not k.closed and ?)';
/** Kinds of complaint whose name a text speaks of. */
const kindsNamed = (text: string): ComplaintKind[] =>
  COMPLAINT_KINDS.filter((k) => text.length > 2 && COMPLAINT_NAMES[k].toLowerCase().includes(text.toLowerCase()));

/** Clients by name, in spite of a slip of the hand, by what they come with and by a standing fact; names first. */
export const findClients = byPractice(
  async (
    practiceId: string,
    text: string,
    limit: number,
    { namesOnly = false }: { namesOnly?: boolean } = {},
  ): Promise<{ id: string; name: string; about: string }[]> => {
    const factKeys = namesOnly ? [] : await factsNamed(practiceId, text);
    const kinds = namesOnly ? [] : kindsNamed(text);
    const near = nearName('c.name', text);
    const ways = [
      'c.name ilike :find',
      ...(near ? [near.sql] : []),
      ...(namesOnly || text.length < LEAST_LETTERS ? [] : [COMPLAINT.replace('?', 'k.label ilike :find')]),
      ...(kinds.length ? [COMPLAINT.replace('?', 'k.kind in (:kinds)')] : []),
      ...(factKeys.length ? [HAS_FACT] : []),
    ];
    return database().query<{ id: string; name: string; about: string }>(
      `select c.id, c.name, ${namesOnly ? `''` : 'c.about'} as about from clients c where c.practice_id = :practiceId and (${ways.join(' or ')})
       order by (c.name ilike :find) desc, lower(c.name) limit :limit`,
      {
        replacements: { practiceId, find: like(text), kinds, factKeys, limit, ...near?.replacements },
        type: QueryTypes.SELECT,
      },
    );
  },
);

/** Somebody's name; null where there is no such client. */
export const nameOfClient = byPractice(
  async (practiceId: string, id: string): Promise<{ id: string; name: string } | null> => {
    if (!isUuid(id)) return null;
    const [client] = await database().query<{ id: string; name: string }>(
      'select id, name from clients where practice_id = :practiceId and id = :id',
      { replacements: { practiceId, id }, type: QueryTypes.SELECT },
    );
    return client ?? null;
  },
);
