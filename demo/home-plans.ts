import { addDays, dailyMost } from '../core/schedule/index.ts';
import { QueryTypes } from 'sequelize';
import { homeOffer } from '../server/access/home.server.ts';
import { database } from '../server/db/connection.ts';
import { refreshCoursesOf } from '../server/db/queries/courses.server.ts';
import { keepHomePlan } from '../server/db/queries/home-plans.server.ts';

/** Home plans of the demo; every figure is invented. */
interface DemoPlan {
  name: string;
  /** Ids of techniques of the client’s latest routine. */
  steps: string[];
  timesADay: number;
  /** Days before today on which it began, and how many days it goes on for. */
  beganDaysAgo: number;
  days: number;
  /** Runs of each day from the first on. */
  runs: number[];
}
const PLANS: readonly DemoPlan[] = [
  {
    name: 'Noor Halvorsen',
    steps: ['masseter-warm-hold', 'temple-circles', 'slow-opening-stretch'],
    timesADay: 2,
    beganDaysAgo: 20,
    days: 28,
    // 31 of 40 up to yesterday.
    runs: [2, 2, 2, 1, 2, 2, 2, 1, 2, 1, 0, 2, 2, 1, 2, 1, 2, 0, 2, 2],
  },
  // Given up after nine days.
  {
    name: 'Lena Marchetti',
    steps: ['under-eye-four-point-hold', 'orbit-ring-finger-drain'],
    timesADay: 1,
    beganDaysAgo: 19,
    days: 21,
    runs: [1, 1, 1, 1, 1, 1, 1, 1, 1],
  },
  {
    name: 'Odile Brandt',
    steps: ['collarbone-pump', 'ear-v-drain'],
    timesADay: 4,
    beganDaysAgo: 4,
    days: 14,
    runs: [3, 4, 2, 4],
  },
];

/** Plans and runs, by the ways in which a practitioner makes them; what lies in the past is put there afterwards. */
export async function seedHomePlans(practiceId: string, today: string): Promise<void> {
  for (const plan of PLANS) {
    const [who] = await database().query<{ clientId: string; practitionerId: string }>(
      `select c.id as "clientId", v.practitioner_id as "practitionerId" from clients c join visits v on v.practice_id = c.practice_id and v.client_id = c.id
       where c.practice_id = :practiceId and c.name = :name order by v.starts_at limit 1`,
      { replacements: { practiceId, name: plan.name }, type: QueryTypes.SELECT },
    );
    const { clientId, practitionerId } = who!;
    const offer = (await homeOffer(practiceId, clientId, new Set()))!;
    const steps = plan.steps.flatMap((id) => {
      const found = offer.candidates.find((c) => c.step.technique === id);
      return found ? [{ step: found.step, words: found.words }] : [];
    });
    const from = addDays(today, -plan.beganDaysAgo);
    await keepHomePlan({ practiceId, practitionerId }, clientId, {
      steps,
      timesADay: Math.min(
        plan.timesADay,
        dailyMost(
          steps.map((s) => s.step),
          offer.catalogue.techniques,
        ).times,
      ),
      weekdays: [1, 2, 3, 4, 5, 6, 7],
      from,
      until: addDays(from, plan.days - 1),
      reviewOn: addDays(from, plan.days),
      shown: [],
    });
    const runs = plan.runs.flatMap((times, i) =>
      Array.from({ length: times }, (_, n) => ({ day: addDays(from, i), n })),
    );
    await database().transaction(async (transaction) => {
      await database().query(
        `insert into home_runs (practice_id, client_id, plan_id, ran_on, ended_at, told, worked)
         select p.practice_id, p.client_id, p.id, (r->>'day')::date, (r->>'day')::date + interval '7 hours 40 minutes' + (r->>'n')::int * interval '4 hours 30 minutes', false,
           array(select jsonb_array_elements_text(cast(:worked as jsonb)))
         from home_plans p, jsonb_array_elements(cast(:runs as jsonb)) r where p.practice_id = :practiceId and p.client_id = :clientId`,
        {
          replacements: {
            practiceId,
            clientId,
            runs: JSON.stringify(runs),
            worked: JSON.stringify(steps.map((s) => s.step.technique)),
          },
          transaction,
        },
      );
      await database().query(
        `update home_plans set made_at = cast(:from as date) + interval '12 hours' where practice_id = :practiceId and client_id = :clientId`,
        { replacements: { practiceId, clientId, from }, transaction },
      );
      await refreshCoursesOf(practiceId, clientId, transaction);
    });
  }
}
