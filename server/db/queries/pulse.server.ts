import { QueryTypes } from 'sequelize';
import { database } from '../connection.ts';
import { byPractice, isUuid } from '../scope.ts';

/** How far a visit is: what another screen compares with what it shows. */
export interface Pulse {
  /** Of its entries. */
  version: number;
  /** Of its runs, and of what happened in them. */
  runs: number;
  events: number;
  /** Of what stands beside it and decides what is allowed: overrides, and consents of its client. */
  beside: number;
}
export const pulseOf = byPractice(async (practiceId: string, visitId: string): Promise<Pulse | null> => {
  if (!isUuid(visitId)) return null;
  const [row] = await database().query<Pulse>(
    `select v.version, (select count(*)::int from runs r where r.practice_id = v.practice_id and r.visit_id = v.id) as runs,
     (select count(*)::int from runs r join run_events e on e.practice_id = r.practice_id and e.run_id = r.id
       where r.practice_id = v.practice_id and r.visit_id = v.id) as events,
     ((select count(*) from overrides o where o.practice_id = v.practice_id and o.visit_id = v.id)
       + (select count(*) + count(withdrawn_at) from consents c where c.practice_id = v.practice_id and c.client_id = v.client_id))::int as beside
     from visits v where v.practice_id = :practiceId and v.id = :visitId`,
    { replacements: { practiceId, visitId }, type: QueryTypes.SELECT },
  );
  return row ?? null;
});
