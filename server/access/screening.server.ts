import type { Visit } from '../../core/record/index';
import { screen, type Screening } from '../../core/limits/index';
import { findClient } from '../db/queries/clients.server';
import { overridesOf } from '../db/queries/overrides.server';
import { cautionsOf } from '../db/queries/practice.server';

/** How a visit is screened, with the practice's own rules and what was overridden in writing; for any state of it. */
export async function screeningOf(
  practiceId: string,
  visit: Pick<Visit, 'id' | 'clientId'>,
): Promise<(now: Pick<Visit, 'screen'>) => Screening> {
  const [client, cautions, overrides] = await Promise.all([
    findClient(practiceId, visit.clientId),
    cautionsOf(practiceId),
    overridesOf(practiceId, visit.id),
  ]);
  const overridden = new Set(overrides.map((o) => o.caution));
  return (now) => screen(cautions, now.screen.answers, client?.pressureCap ?? null, overridden);
}
