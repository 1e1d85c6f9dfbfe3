import type { Migration } from '../migrate.ts';

/** Writes known by their own id, things made once, the signed head of the trail, courses kept ready for Today. */
const TABLES = `
-- A write is known by its id and the hash of what it said: sent again it is acknowledged, under other words it is refused.
create table visit_writes (
  practice_id uuid not null references practices on delete cascade, visit_id uuid not null references visits on delete cascade, save_id text not null,
  body_hash text not null, version integer not null, at timestamptz not null default now(), primary key (visit_id, save_id)
);
alter table visits drop column last_save_id;
-- A form pressed twice makes one thing: its key stands for what it made.
create table made_once (
  practice_id uuid not null references practices on delete cascade, key uuid not null, what text not null, made_id text, at timestamptz not null default now(), primary key (practice_id, key)
);
create index on made_once (practice_id, at);
create table trail_heads (
  practice_id uuid primary key references practices on delete cascade, entries bigint not null, hash text not null, signature text not null
);
-- How each complaint's ratings stand, worked out when one is written, so that Today reads a line for a course and not its ratings.
create table course_states (
  complaint_id uuid primary key references complaints on delete cascade, practice_id uuid not null references practices on delete cascade,
  client_id uuid not null references clients on delete cascade, rule_version integer not null, verdict text not null, advice text not null,
  baseline double precision, current double precision, days double precision not null, ratings integer not null, recent jsonb not null,
  last_at timestamptz, last_home_at timestamptz
);
create index on course_states (practice_id, last_at);
create index on course_states (practice_id, client_id);
create index readings_rated on readings (practice_id, complaint_id, measure, taken_at);
-- The review agreed at the latest finished visit.
alter table clients add column review_on date, add column review_visit_id uuid;
update clients c set review_on = nullif(v.record->>'reviewOn', '')::date, review_visit_id = v.id
  from (select distinct on (client_id) client_id, id, record from visits where stage = 'done' order by client_id, starts_at desc) v where v.client_id = c.id;
create index clients_review on clients (practice_id, review_on) where review_on is not null;
create index visits_referred on visits (practice_id, starts_at) where stage = 'stopped' and referral->>'outcome' is null;
-- How far the device's clock was ahead when the run began; afterwards the server's own clock counts.
alter table runs add column clock_ahead_ms double precision;
delete from consents a using consents b where a.client_id = b.client_id and a.kind = b.kind and a.text_version = b.text_version and a.withdrawn_at is null and b.withdrawn_at is null and (a.given_at, a.id) > (b.given_at, b.id);
create unique index consents_once on consents (client_id, kind, text_version) where withdrawn_at is null;
delete from patch_tests a using patch_tests b where a.client_id = b.client_id and a.product_id = b.product_id and a.tested_on = b.tested_on and (a.noted_at, a.id) < (b.noted_at, b.id);
create unique index patch_tests_once on patch_tests (client_id, product_id, tested_on);
`;

/** Every table of the work, and what the application may do to it. What is not named here it may not. */
const GRANTS: Record<string, string> = {
  practices: 'select, insert, update',
  practitioners: 'select, insert, update',
  sessions: 'select, insert, update, delete',
  clients: 'select, insert, update',
  complaints: 'select, insert, update',
  visits: 'select, insert, update',
  readings: 'select, insert, update, delete',
  templates: 'select, insert, update, delete',
  runs: 'select, insert, update',
  run_events: 'select, insert',
  body_measures: 'select, insert, delete',
  trainer_cards: 'select, insert, update',
  trainer_answers: 'select, insert',
  scores: 'select, insert, update, delete',
  practice_texts: 'select, insert',
  consents: 'select, insert, update',
  local_rules: 'select, insert, update',
  overrides: 'select, insert',
  products: 'select, insert, update',
  patch_tests: 'select, insert, update',
  photos: 'select, insert, update, delete',
  audit: 'select, insert',
  visit_writes: 'select, insert',
  made_once: 'select, insert, update',
  trail_heads: 'select, insert, update',
  course_states: 'select, insert, update, delete',
};

/** The second wall: whatever a query asks, it reaches the rows of the practice that is set, or none. */
const WALL = `
create function current_practice() returns uuid language sql stable parallel safe as $$ select nullif(current_setting('velvet.practice', true), '')::uuid $$;
${Object.entries(GRANTS)
  .map(([table, may]) => {
    const own = table === 'practices' ? 'id' : 'practice_id';
    return `alter table ${table} enable row level security;
create policy own_practice on ${table} using (${own} = current_practice()) with check (${own} = current_practice());
grant ${may} on ${table} to velvet_app;`;
  })
  .join('\n')}
grant select, insert, update, delete on sign_in_attempts to velvet_app;
grant select on migrations to velvet_app;
`;

/** What has to be known before anybody is: whose address this is, and whose token. */
const DOORS = `
create function account_of(address text) returns table (id uuid, practice_id uuid, name text, password_hash text)
  language sql stable security definer set search_path = public, pg_temp as $$ select id, practice_id, name, password_hash from practitioners where email = address $$;
create function session_of(hash text) returns table ("practitionerId" uuid, name text, email text, role text, "practiceId" uuid, "practiceName" text, "timeZone" text, "expiresAt" timestamptz)
  language sql stable security definer set search_path = public, pg_temp as $$
  select p.id, p.name, p.email, p.role, r.id, r.name, r.time_zone, s.expires_at
  from sessions s join practitioners p on p.id = s.practitioner_id join practices r on r.id = s.practice_id where s.token_hash = hash and s.expires_at > now() $$;
revoke all on function account_of(text), session_of(text) from public;
grant execute on function account_of(text), session_of(text) to velvet_app;
`;

export const up = async ({ sequelize, transaction }: Migration): Promise<void> => {
  for (const part of [TABLES, WALL, DOORS]) await sequelize.query(part, { transaction });
};
