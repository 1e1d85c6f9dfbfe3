import { ARCHIVE_KINDS, ARCHIVE_ROWS, type ArchiveKind, type ArchiveRow } from '../../../core/exchange/index.ts';
import { QueryTypes, Transaction } from 'sequelize';
import { database } from '../connection.ts';
import { byPractice } from '../scope.ts';

type Table =
  | 'practitioners'
  | 'clients'
  | 'complaints'
  | 'visits'
  | 'runs'
  | 'home_plans'
  | 'home_runs'
  | 'products'
  | 'rooms'
  | 'templates';
/** Where the rows of a kind lie, by what they are told apart, and whose rows of the same practice they name. */
interface Place {
  table: string;
  key: readonly string[];
  names?: Readonly<Record<string, Table>>;
  /** What is worked out for the archive and stands in no column of this name. */
  made?: Readonly<Record<string, string>>;
  /** Bytes that go as a file of their own. */
  bytes?: string;
  only?: string;
  /** Very many: they go as they lie, and need no sorting first. */
  many?: true;
}
const OF_CLIENT = { client_id: 'clients' } as const;
const OF_VISIT = { visit_id: 'visits' } as const;
export const ARCHIVE_PLACES: Record<Exclude<ArchiveKind, 'practice' | 'members'>, Place> = {
  rooms: { table: 'rooms', key: ['id'] },
  texts: { table: 'practice_texts', key: ['id'], names: { created_by: 'practitioners' } },
  rules: { table: 'local_rules', key: ['id'] },
  techniques: { table: 'techniques', key: ['id'], names: { created_by: 'practitioners' } },
  products: { table: 'products', key: ['id'] },
  templates: { table: 'templates', key: ['id'], names: { created_by: 'practitioners' } },
  'template-versions': {
    table: 'template_versions',
    key: ['template_id', 'version'],
    names: { template_id: 'templates', changed_by: 'practitioners' },
  },
  clients: { table: 'clients', key: ['id'], names: { practitioner_id: 'practitioners' } },
  complaints: { table: 'complaints', key: ['id'], names: OF_CLIENT },
  consents: { table: 'consents', key: ['id'], names: { ...OF_CLIENT, taken_by: 'practitioners' } },
  'body-measures': { table: 'body_measures', key: ['id'], names: { ...OF_CLIENT, taken_by: 'practitioners' } },
  'patch-tests': {
    table: 'patch_tests',
    key: ['id'],
    names: { ...OF_CLIENT, product_id: 'products', noted_by: 'practitioners' },
  },
  'said-before': { table: 'said_before', key: ['client_id', 'question'], names: OF_CLIENT },
  visits: {
    table: 'visits',
    key: ['id'],
    names: { ...OF_CLIENT, practitioner_id: 'practitioners', room_id: 'rooms' },
  },
  waiting: {
    table: 'waiting',
    key: ['id'],
    names: { ...OF_CLIENT, practitioner_id: 'practitioners', made_by: 'practitioners' },
  },
  overrides: { table: 'overrides', key: ['id'], names: { ...OF_VISIT, signed_by: 'practitioners' } },
  amendments: { table: 'visit_amendments', key: ['id'], names: { ...OF_VISIT, written_by: 'practitioners' } },
  readings: {
    table: 'readings',
    key: ['id'],
    names: { ...OF_CLIENT, ...OF_VISIT, complaint_id: 'complaints', taken_by: 'practitioners' },
    many: true,
  },
  scores: { table: 'scores', key: ['id'], names: { ...OF_CLIENT, ...OF_VISIT, taken_by: 'practitioners' } },
  runs: { table: 'runs', key: ['id'], names: { ...OF_VISIT, practitioner_id: 'practitioners' } },
  'run-events': { table: 'run_events', key: ['run_id', 'id'], names: { run_id: 'runs' }, many: true },
  photos: {
    table: 'photos',
    key: ['id'],
    names: { ...OF_CLIENT, ...OF_VISIT, taken_by: 'practitioners' },
    made: { sha256: `encode(sha256(t.bytes), 'hex')` },
    bytes: 'bytes',
  },
  decisions: { table: 'decisions', key: ['id'], names: { ...OF_CLIENT, decided_by: 'practitioners' } },
  'home-plans': { table: 'home_plans', key: ['id'], names: { ...OF_CLIENT, made_by: 'practitioners' } },
  'home-runs': {
    table: 'home_runs',
    key: ['id'],
    names: { ...OF_CLIENT, plan_id: 'home_plans', written_by: 'practitioners' },
  },
  'home-after': { table: 'home_after', key: ['id'], names: { ...OF_CLIENT, run_id: 'home_runs' } },
  'home-flags': { table: 'home_flags', key: ['id'], names: { ...OF_CLIENT, seen_by: 'practitioners' } },
  reminders: { table: 'reminders', key: ['id'], names: OF_CLIENT, only: 't.sent_at is not null' },
  'closed-records': {
    table: 'kept_records',
    key: ['id'],
    names: { made_by: 'practitioners' },
    made: { sha256: `encode(sha256(t.file), 'hex')` },
    bytes: 'file',
  },
  'find-it-cards': {
    table: 'trainer_cards',
    key: ['practitioner_id', 'place'],
    names: { practitioner_id: 'practitioners' },
  },
  'find-it-answers': { table: 'trainer_answers', key: ['id'], names: { practitioner_id: 'practitioners' } },
  'pad-tries': { table: 'pad_tries', key: ['id'], names: { practitioner_id: 'practitioners' } },
  'pad-words': { table: 'pad_words', key: ['id'], names: { practitioner_id: 'practitioners' } },
  'pad-scale': { table: 'pad_scale', key: ['is_stand_in', 'word'], names: { agreed_by: 'practitioners' } },
  'pad-checks': { table: 'pad_checks', key: ['id'], names: { practitioner_id: 'practitioners' } },
  'tempo-tries': { table: 'tempo_tries', key: ['id'], names: { practitioner_id: 'practitioners' } },
  trail: { table: 'audit', key: ['id'], names: { practitioner_id: 'practitioners' }, made: { seq: 't.seq' } },
};
/** Tables of a practice of which an archive tells nothing: secrets, sessions, and what is worked out from the rest. */
export const NOT_IN_ARCHIVE = [
  'client_links',
  'course_states',
  'made_once',
  'sessions',
  'invitations',
  'second_factors',
  'calendar_links',
  'trail_heads',
  'visit_writes',
  'brought_files',
  'brought_parts',
  'csv_mappings',
] as const;

const fieldsOf = (kind: ArchiveKind): string[] => Object.keys(ARCHIVE_ROWS[kind].fields);
/** Columns that stand in the table as they do in the archive. */
const columnsOf = (kind: keyof typeof ARCHIVE_PLACES): string[] =>
  fieldsOf(kind).filter((f) => !Object.hasOwn(ARCHIVE_PLACES[kind].made ?? {}, f));
const objectOf = (fields: readonly string[], of: (field: string) => string): string =>
  `jsonb_build_object(${fields.map((f) => `'${f}', ${of(f)}`).join(', ')})`;

function questionFor(kind: ArchiveKind): string {
  const plain = objectOf(fieldsOf(kind), (f) => `t.${f}`);
  if (kind === 'practice') return `select ${plain}::text as line from practices t where t.id = :practiceId`;
  if (kind === 'members')
    return `select ${plain}::text as line from practitioners t where t.practice_id = :practiceId order by t.created_at, t.id`;
  const { table, key, made = {}, only = 'true', many } = ARCHIVE_PLACES[kind];
  const row = objectOf(fieldsOf(kind), (f) => made[f] ?? `t.${f}`);
  const order = many ? '' : `order by ${key.map((k) => `t.${k}`).join(', ')}`;
  return `select ${row}::text as line from ${table} t where t.practice_id = :practiceId and ${only} ${order}`;
}

/** Rows that are read, and go out, at once. */
const AT_ONCE = 2000;

/** Everything of a practice as one moment sees it, as long as the work on it goes on. */
export interface PracticeSnapshot {
  /** Lines of a kind, some at a time. */
  lines: (kind: ArchiveKind) => AsyncGenerator<string[]>;
  /** Ids of rows that have a file of their own. */
  withFile: (kind: 'photos' | 'closed-records') => Promise<string[]>;
  file: (kind: 'photos' | 'closed-records', id: string) => Promise<Buffer>;
}
export const inOneMoment = byPractice(
  async (practiceId: string, work: (snapshot: PracticeSnapshot) => Promise<void>): Promise<void> =>
    database().transaction({ isolationLevel: Transaction.ISOLATION_LEVELS.REPEATABLE_READ }, async (transaction) => {
      const ask = <T extends object>(sql: string, replacements: object = {}) =>
        database().query<T>(sql, {
          replacements: { practiceId, ...replacements },
          type: QueryTypes.SELECT,
          transaction,
        });
      // Between two questions lies how fast somebody takes what is sent: a picture may take a while.
      await database().query(`set local timezone = 'UTC'; set local idle_in_transaction_session_timeout = '5min'`, {
        transaction,
      });
      await work({
        async *lines(kind) {
          const cursor = `of_${kind.replaceAll('-', '_')}`;
          const further = `fetch ${AT_ONCE} from ${cursor}`;
          // Most kinds have few rows: those are one journey.
          let rows = await ask<{ line: string }>(
            `declare ${cursor} no scroll cursor for ${questionFor(kind)}; ${further}`,
          );
          while (rows.length) {
            yield rows.map((r) => r.line);
            rows = rows.length < AT_ONCE ? [] : await ask<{ line: string }>(further);
          }
        },
        withFile: async (kind) =>
          (
            await ask<{ id: string }>(
              `select id from ${ARCHIVE_PLACES[kind].table} where practice_id = :practiceId order by id`,
            )
          ).map((r) => r.id),
        async file(kind, id) {
          const { table, bytes } = ARCHIVE_PLACES[kind];
          const [row] = await ask<{ bytes: Buffer }>(
            `select ${bytes!} as bytes from ${table} where practice_id = :practiceId and id = :id`,
            { id },
          );
          return row!.bytes;
        },
      });
    }),
);

/** What became of a row: of those that are not taken, why. */
export type RowFate = 'new' | 'same' | 'changed' | { field: string; accepted: string };
interface Seen {
  i: number;
  here: boolean;
  same: boolean;
  missing: string[];
}

/** Rows of a kind are many by now: how they are looked for is thought over. */
export async function countAnew(kind: keyof typeof ARCHIVE_PLACES, transaction: Transaction): Promise<void> {
  await database().query('select sizes_anew(:table)', {
    replacements: { table: ARCHIVE_PLACES[kind].table },
    type: QueryTypes.SELECT,
    transaction,
  });
}

/**
 * Brings rows of a kind in that are not here yet; one that is here stays as it is. Runs in the transaction of the whole
 * file. @returns what became of each, in their order
 */
export async function bringRows(
  practiceId: string,
  kind: keyof typeof ARCHIVE_PLACES,
  rows: readonly ArchiveRow[],
  transaction: Transaction,
): Promise<RowFate[]> {
  const { table, key, names = {}, bytes } = ARCHIVE_PLACES[kind];
  const columns = columnsOf(kind);
  const missing = Object.entries(names).map(
    ([field, of]) =>
      `case when n.${field} is not null and not exists (select 1 from ${of} p where p.practice_id = $2 and p.id = n.${field}) then '${field}' end`,
  );
  const ask = <T extends object>(sql: string, of: readonly ArchiveRow[]) =>
    database().query<T>(sql, { bind: [JSON.stringify(of), practiceId], type: QueryTypes.SELECT, transaction });
  const seen = await ask<Seen>(
    `select x.i::int as i, t.practice_id is not null as here, ${objectOf(columns, (c) => `t.${c}`)} = ${objectOf(columns, (c) => `n.${c}`)} as same,
       array_remove(array[${missing.join(', ')}]::text[], null) as missing
     from jsonb_array_elements($1::jsonb) with ordinality x(row, i) cross join lateral jsonb_populate_record(null::${table}, x.row) n
       left join ${table} t on t.practice_id = $2 and ${key.map((k) => `t.${k} = n.${k}`).join(' and ')} order by x.i`,
    rows,
  );
  const out = seen.map(({ here, same, missing: not }): RowFate =>
    here
      ? same
        ? 'same'
        : 'changed'
      : not.length
        ? { field: not[0]!, accepted: `a row of ${names[not[0]!]!.replaceAll('_', ' ')} in this practice` }
        : 'new',
  );
  const nameOf = (row: Record<string, unknown>) => key.map((k) => String(row[k])).join(' ');
  const named = new Set<string>();
  for (const [i, row] of rows.entries()) {
    if (named.has(nameOf(row))) out[i] = { field: key[0]!, accepted: 'each row once' };
    named.add(nameOf(row));
  }
  const coming = rows.map((row, i) => ({ row, i })).filter(({ i }) => out[i] === 'new');
  const into = bytes ? [...columns, bytes] : columns;
  const insert = (of: readonly ArchiveRow[]) =>
    ask<Record<string, string | number>>(
      `insert into ${table} (practice_id, ${into.join(', ')}) select $2, ${into.map((c) => `n.${c}`).join(', ')}
       from jsonb_populate_recordset(null::${table}, $1::jsonb) n on conflict do nothing returning ${key.join(', ')}`,
      of,
    );
  const kept = new Set<string>();
  /** All at once; where one of them cannot be kept, each half alone, down to the one. */
  const keep = async (of: readonly ArchiveRow[]): Promise<void> => {
    if (!of.length) return;
    await database().query('savepoint some_rows', { transaction });
    try {
      for (const row of await insert(of)) kept.add(nameOf(row));
      await database().query('release savepoint some_rows', { transaction });
    } catch (error) {
      await database().query('rollback to savepoint some_rows', { transaction });
      if (!(error instanceof Error && error.name.startsWith('Sequelize'))) throw error;
      if (of.length === 1) return;
      const middle = Math.ceil(of.length / 2);
      await keep(of.slice(0, middle));
      await keep(of.slice(middle));
    }
  };
  await keep(coming.map((c) => c.row));
  for (const { row, i } of coming)
    if (!kept.has(nameOf(row)))
      out[i] = { field: key[0]!, accepted: 'a row that does not stand in the way of another one here' };
  return out;
}

/** Every table that an archive tells of. */
export const ARCHIVED_TABLES: readonly string[] = [
  'practices',
  'practitioners',
  ...ARCHIVE_KINDS.filter((k) => k !== 'practice' && k !== 'members').map((k) => ARCHIVE_PLACES[k].table),
];
