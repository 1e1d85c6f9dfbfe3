import type { KnownPerson, ResolvedReading } from '../../../core/exchange/index.ts';
import { QueryTypes, type Transaction } from 'sequelize';
import { database } from '../connection.ts';

/** Everybody of the practice with their complaints: whom the rows of a table may be of. */
export const knownPeople = async (practiceId: string, transaction: Transaction): Promise<KnownPerson[]> =>
  database().query<KnownPerson>(
    `select c.id, c.name, coalesce((select json_agg(json_build_object('id', k.id, 'kind', k.kind, 'label', k.label, 'side', k.side, 'closed', k.closed) order by k.position)
       from complaints k where k.practice_id = c.practice_id and k.client_id = c.id), '[]') as complaints
     from clients c where c.practice_id = :practiceId`,
    { replacements: { practiceId }, type: QueryTypes.SELECT, transaction },
  );

export type ReadingToBring = ResolvedReading & { id: string };
/** How a row stands to the one of its id that is here. */
export interface ReadingHere {
  here: boolean;
  same: boolean;
  /** It was taken in a visit. */
  visit: boolean;
  /** It is somebody else’s, or of something else. */
  other: boolean;
  was: string | null;
}
const AS_ROWS = `jsonb_to_recordset($1::jsonb) as n(i int, id uuid, client_id uuid, complaint_id uuid, measure text, place text, side text, phase text, value numeric, source text, taken_at timestamptz)`;
const numbered = (rows: readonly ReadingToBring[]) => JSON.stringify(rows.map((r, i) => ({ ...r, i })));

/** Each row beside what stands here under its id, in their order. */
export const readingsBeside = async (
  practiceId: string,
  rows: readonly ReadingToBring[],
  transaction: Transaction,
): Promise<ReadingHere[]> =>
  database().query<ReadingHere>(
    `select r.id is not null as here, r.visit_id is not null as visit, r.value::text as was,
       coalesce((r.client_id, r.measure, r.place) is distinct from (n.client_id, n.measure, n.place) or r.complaint_id is distinct from n.complaint_id, false) as other,
       coalesce((r.side, r.phase, r.value, r.source, date_trunc('milliseconds', r.taken_at)) = (n.side, n.phase, n.value, n.source, n.taken_at), false) as same
     from ${AS_ROWS} left join readings r on r.practice_id = $2 and r.id = n.id order by n.i`,
    { bind: [numbered(rows), practiceId], type: QueryTypes.SELECT, transaction },
  );

/** Brings readings in that are not here. @returns ids of those that came */
export async function addReadings(
  { practiceId, practitionerId }: { practiceId: string; practitionerId: string },
  rows: readonly ReadingToBring[],
  transaction: Transaction,
): Promise<Set<string>> {
  const came = await database().query<{ id: string }>(
    `insert into readings (id, practice_id, client_id, complaint_id, measure, place, side, phase, value, source, taken_by, taken_at)
     select n.id, $2, n.client_id, n.complaint_id, n.measure, n.place, n.side, n.phase, n.value, n.source, $3, n.taken_at from ${AS_ROWS} on conflict do nothing returning id`,
    { bind: [numbered(rows), practiceId, practitionerId], type: QueryTypes.SELECT, transaction },
  );
  return new Set(came.map((r) => r.id));
}

/** Writes the value, side, phase, source and time of readings that no visit holds. */
export async function changeReadings(
  practiceId: string,
  rows: readonly ReadingToBring[],
  transaction: Transaction,
): Promise<void> {
  await database().query(
    `update readings r set side = n.side, phase = n.phase, value = n.value, source = n.source, taken_at = n.taken_at
     from ${AS_ROWS} where r.practice_id = $2 and r.id = n.id and r.visit_id is null`,
    { bind: [numbered(rows), practiceId], transaction },
  );
}

/** Words of a client, or of a complaint, as a table may bring them; what is empty there stays as it is here. */
export type ClientWords = { name: string; about: string; email: string; note: string; allergies: string[] };
export interface ComplaintWords {
  side: string;
  called: string;
  since: string;
  set_off_by: string;
  goal: string;
}

/** The words that stand here of somebody. */
export async function clientWords(practiceId: string, id: string, transaction: Transaction): Promise<ClientWords> {
  const [row] = await database().query<ClientWords>(
    'select name, about, email, note, allergies from clients where practice_id = :practiceId and id = :id for update',
    { replacements: { practiceId, id }, type: QueryTypes.SELECT, transaction },
  );
  return row!;
}
export async function complaintWords(
  practiceId: string,
  id: string,
  transaction: Transaction,
): Promise<ComplaintWords> {
  const [row] = await database().query<ComplaintWords>(
    'select side, label as called, onset as since, triggers as set_off_by, goal from complaints where practice_id = :practiceId and id = :id for update',
    { replacements: { practiceId, id }, type: QueryTypes.SELECT, transaction },
  );
  return row!;
}

/** A new client, or one whose words are other ones now. */
export async function writeClient(
  practiceId: string,
  id: string,
  { allergies, ...words }: ClientWords,
  transaction: Transaction,
): Promise<void> {
  await database().query(
    `insert into clients (id, practice_id, name, about, email, note, allergies) values (:id, :practiceId, :name, :about, :email, :note, cast(:allergies as jsonb))
     on conflict (practice_id, id) do update set name = excluded.name, about = excluded.about, email = excluded.email, note = excluded.note, allergies = excluded.allergies, version = clients.version + 1`,
    {
      replacements: { id, practiceId, ...words, allergies: JSON.stringify(allergies) },
      transaction,
    },
  );
}
export async function writeComplaint(
  practiceId: string,
  { id, clientId, kind }: { id: string; clientId: string; kind: string },
  words: ComplaintWords,
  transaction: Transaction,
): Promise<void> {
  await database().query(
    `insert into complaints (id, practice_id, client_id, kind, side, label, onset, triggers, goal, position)
     values (:id, :practiceId, :clientId, :kind, :side, :called, :since, :set_off_by, :goal, (select count(*) from complaints where practice_id = :practiceId and client_id = :clientId))
     on conflict (practice_id, id) do update set side = excluded.side, label = excluded.label, onset = excluded.onset, triggers = excluded.triggers, goal = excluded.goal
     where complaints.client_id = excluded.client_id`,
    { replacements: { id, practiceId, clientId, kind, ...words }, transaction },
  );
}
