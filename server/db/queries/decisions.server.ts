import { adviceOfAll, type Advice, type Decision } from '../../../core/relief/index.ts';
import { QueryTypes } from 'sequelize';
import { database } from '../connection.ts';
import { ClientModel } from '../models/index.ts';
import { byPractice, isUuid } from '../scope.ts';
import type { Member } from './accounts.server.ts';
import { writeAudit } from './audit.server.ts';
import { storedCourses } from './courses.server.ts';
import { once } from './once.server.ts';

/** What was decided last for a client; null where nobody has. */
export const latestDecision = byPractice(async (practiceId: string, clientId: string): Promise<Decision | null> => {
  if (!isUuid(clientId)) return null;
  const [row] = await database().query<Omit<Decision, 'at'> & { at: Date }>(
    `select d.proposed, d.choice, d.reason, p.name as by, d.decided_at as at from decisions d
     join practitioners p on p.practice_id = d.practice_id and p.id = d.decided_by
     where d.practice_id = :practiceId and d.client_id = :clientId order by d.decided_at desc limit 1`,
    { replacements: { practiceId, clientId }, type: QueryTypes.SELECT },
  );
  return row ? { ...row, at: row.at.toISOString() } : null;
});

/**
 * Keeps what is to be done next, once for a key. What the ratings propose is worked out here; where it is no longer what
 * the page showed, nothing is kept and it is told.
 */
export const decide = byPractice(
  async (
    who: Member,
    clientId: string,
    { choice, seen, reason, key }: { choice: Advice; seen: Advice; reason: string; key?: string },
  ): Promise<'kept' | 'missing' | 'outdated'> => {
    if (!isUuid(clientId)) return 'missing';
    const { practiceId, practitionerId } = who;
    if (!(await ClientModel.count({ where: { practiceId, id: clientId } }))) return 'missing';
    const proposed = adviceOfAll((await storedCourses(practiceId, [clientId])).map((c) => c.judgement));
    if (proposed !== seen) return 'outdated';
    await database().transaction((transaction) =>
      once(practiceId, key, 'decision', transaction, async () => {
        const [row] = await database().query<{ id: string }>(
          `insert into decisions (practice_id, client_id, proposed, choice, reason, decided_by, decided_at)
           values (:practiceId, :clientId, :proposed, :choice, :reason, :practitionerId, now()) returning id`,
          {
            replacements: { practiceId, clientId, proposed, choice, reason, practitionerId },
            type: QueryTypes.SELECT,
            transaction,
          },
        );
        await writeAudit(who, 'decided-next', { client: clientId, proposed, choice }, transaction);
        return row!.id;
      }),
    );
    return 'kept';
  },
);
