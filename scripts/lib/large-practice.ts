import { QueryTypes } from 'sequelize';
import { connect } from '../../server/db/connection.ts';

/** How much a large practice holds. */
export interface Size {
  clients: number;
  visitsEach: number;
  /** Ratings and measures together. */
  readings: number;
}

/** Numbers that look like none of a pattern, from a client's and a reading's number alone: the same every time. */
const odd = (seed: string, most: number): string => `(abs(hashtext(${seed})) % ${most})`;

/**
 * Fills a database that has one practitioner with a large practice, as its owner, in a few statements: a year of visits
 * and home ratings. For measuring and for looking at plans; nothing in it is anybody.
 */
export async function fillLargePractice(
  ownerUrl: string,
  who: { practiceId: string; practitionerId: string },
  { clients, visitsEach, readings }: Size,
): Promise<{ clientId: string; visitId: string }> {
  const owner = connect(ownerUrl, null);
  const each = Math.round(readings / clients);
  const replacements = {
    ...who,
    clients,
    visitsEach,
    home: Math.max(0, each - visitsEach * 4),
    every: 365 / visitsEach,
  };
  const run = (sql: string) => owner.query(sql, { replacements });
  try {
    await run(
      `insert into clients (id, practice_id, name, about) select gen_random_uuid(), :practiceId, 'Client ' || lpad(i::text, 5, '0'), 'seat ' || i from generate_series(1, :clients) i`,
    );
    await run(`insert into complaints (id, practice_id, client_id, kind, side, position)
      select gen_random_uuid(), :practiceId, c.id, k.kind, k.side, k.position from clients c, (values ('jaw', 'left', 0), ('headache', 'both', 1)) k(kind, side, position) where c.practice_id = :practiceId`);
    // Spread over a year up to some days from now, so that today has its share.
    await run(`insert into visits (id, practice_id, client_id, practitioner_id, starts_at, stage, screen, record, ended_at)
      select gen_random_uuid(), :practiceId, c.id, :practitionerId, now() - (v * :every * interval '1 day') + ((${odd("c.name || 'at'", 1_000_000)})::float8 / 1000000 - 0.5) * :every * interval '1 day', 'done', '{"answers": {}, "preparation": []}',
        jsonb_build_object('reactions', '[]'::jsonb, 'note', 'as before', 'product', '', 'nextOn', '', 'reviewOn', ''), now() - (v * :every * interval '1 day')
      from clients c, generate_series(0, :visitsEach - 1) v where c.practice_id = :practiceId`);
    await run(`insert into readings (id, practice_id, client_id, visit_id, complaint_id, measure, place, side, phase, value, source, taken_by, taken_at)
      select gen_random_uuid(), :practiceId, v.client_id, v.id, k.id, 'nrs-now', '', k.side, p.phase, ${odd('v.id::text || k.kind || p.phase', 8)} + (p.phase = 'before')::int, 'studio', :practitionerId, v.starts_at + interval '5 minutes'
      from visits v join complaints k on k.client_id = v.client_id, (values ('before'), ('after')) p(phase) where v.practice_id = :practiceId`);
    await run(`insert into readings (id, practice_id, client_id, complaint_id, measure, place, side, phase, value, source, taken_at)
      select gen_random_uuid(), :practiceId, k.client_id, k.id, 'nrs-now', '', k.side, 'between', ${odd('k.id::text || d', 9)}, 'home', now() - (d * interval '1 day') - interval '8 hours'
      from complaints k, generate_series(0, (:home / 2)::int - 1) d where k.practice_id = :practiceId`);
    await run('analyze');
    const [one] = await owner.query<{ clientId: string; visitId: string }>(
      'select client_id as "clientId", id as "visitId" from visits where practice_id = :practiceId order by starts_at desc offset 5 limit 1',
      { replacements: who, type: QueryTypes.SELECT },
    );
    return one!;
  } finally {
    await owner.close();
  }
}
