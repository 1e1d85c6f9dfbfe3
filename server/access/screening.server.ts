import type { Visit } from '../../core/record/index';
import { screenVisit, type Screening } from '../../core/limits/index';
import { storedCourses } from '../db/queries/courses.server';
import { findClient } from '../db/queries/clients.server';
import { overridesOf } from '../db/queries/overrides.server';
import { cautionsOf } from '../db/queries/practice.server';
import { visitBefore } from '../db/queries/visits.server';

/** How a visit is screened, with the practice's own rules and what was overridden in writing; for any state of it. */
export async function screeningOf(
  practiceId: string,
  visit: Pick<Visit, 'id' | 'clientId' | 'startsAt'>,
): Promise<(now: Pick<Visit, 'screen'>) => Screening> {
  const [client, cautions, overrides, before, courses] = await Promise.all([
    findClient(practiceId, visit.clientId),
    cautionsOf(practiceId),
    overridesOf(practiceId, visit.id),
    visitBefore(practiceId, visit),
    storedCourses(practiceId, [visit.clientId]),
  ]);
  const overridden = new Set(overrides.map((o) => o.caution));
  const last = before?.screen.answers ?? null;
  const worse = courses.filter((c) => c.judgement.verdict === 'worse').map((c) => c.kind);
  return (now) => screenVisit(cautions, now.screen.answers, last, client?.pressureCap ?? null, overridden, worse);
}
