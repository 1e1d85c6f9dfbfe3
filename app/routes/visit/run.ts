import { readGuideEvent } from '../../../core/guide';
import type { Routine } from '../../../core/routine';
import { checkRoutine } from '../../../core/rules';
import { hasEnded, sorerSide } from '../../../core/record';
import { InputError } from '../../../core/words';
import { data } from 'react-router';
import { array, mixed, number, object, string } from 'yup';
import { openRun, takeEvents } from '../../../server/db/queries/runs.server';
import { findClient } from '../../../server/db/queries/clients.server';
import { readingsOfVisit } from '../../../server/db/queries/readings.server';
import { catalogueOf } from '../../../server/db/queries/techniques.server';
import { findVisit } from '../../../server/db/queries/visits.server';
import { signalVisit } from '../../../server/live/signals.server';
import { readJson } from '../../schemas/read';
import { screeningOf } from '../../../server/access/screening.server';
import { notFound, permitted } from '../../../server/access/session.server';
import type { Route } from './+types/run';

const bodySchema = object({
  kind: string()
    .oneOf(['open', 'events'] as const)
    .required(),
  runId: string().max(64).optional(),
  events: array().of(mixed().required()).max(500, 'At most 500 events at a time are accepted.').optional(),
  /** The device's clock, by which its events are stamped; what counts as now is ours. */
  nowMs: number().min(0).optional(),
});

/** Opens a run of the visit's routine, or takes what happened in it. */
export async function action({ request, params }: Route.ActionArgs) {
  const { practiceId, practitionerId } = await permitted(request, 'change', 'care');
  const input = await readJson(request, bodySchema);
  if (!input.ok) return data({ message: Object.values(input.errors)[0] }, { status: 422 });
  const visit = await findVisit(practiceId, params.visitId);
  if (!visit) return data({ message: 'This visit is not here.' }, { status: 404 });

  const screening = (await screeningOf(practiceId, visit))(visit);
  const catalogue = await catalogueOf(practiceId);
  /** Why a routine may not be run as the visit is screened now; null when it may. */
  const whyNot = (routine: Routine): string | null => {
    const stop = checkRoutine(routine, catalogue, screening).find((f) => f.severity === 'stop');
    return stop?.title ?? (screening.mustStop ? 'A red flag was answered yes.' : null);
  };

  if (input.value.kind === 'open') {
    if (hasEnded(visit.stage)) return data({ message: 'This visit has ended.' }, { status: 409 });
    const why = visit.routine && whyNot(visit.routine);
    if (why) return data({ message: why }, { status: 422 });
    const [client, readings] = await Promise.all([
      findClient(practiceId, visit.clientId),
      readingsOfVisit(practiceId, visit.id),
    ]);
    const sorer = client && sorerSide(client, readings);
    const run = await openRun(practiceId, visit.id, input.value.runId ?? '', { by: practitionerId, sorer });
    if (run) signalVisit(practiceId, visit.id);
    return run
      ? { run: { id: run.id, routine: run.routine, events: run.events } }
      : data({ message: 'There is no routine to run.' }, { status: 422 });
  }

  try {
    const events = (input.value.events ?? []).map(readGuideEvent);
    const taken = await takeEvents(
      practiceId,
      visit.id,
      input.value.runId ?? '',
      events,
      input.value.nowMs ?? null,
      Date.now(),
      (routine) => whyNot(routine) === null,
    );
    if (taken === 'missing') return data({ message: 'This run is not here.' }, { status: 404 });
    if (taken === 'closed')
      return data(
        { result: 'closed', message: 'This run has ended; nothing is added to it any more.' },
        { status: 409 },
      );
    if (taken === 'not-allowed')
      return data({ message: 'As the visit is screened now, this run may not go on.' }, { status: 422 });
    if (taken === 'from-the-future')
      return data({ message: 'event.atMs: a moment up to now is accepted' }, { status: 422 });
    if (events.length) signalVisit(practiceId, visit.id);
    return taken;
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return data({ message: error.message }, { status: 422 });
  }
}

export const loader = () => notFound('page');
