import { counted } from '../../../core/words';
import { STAGE_NAMES } from '../../../core/record';
import { differenceInCalendarDays } from 'date-fns';
import { Button } from 'react-bootstrap';
import { data, Form, Link, NavLink, Outlet, redirect } from 'react-router';
import { object, string } from 'yup';
import { findClient } from '../../../server/db/queries/clients.server';
import { handsOfClient } from '../../../server/db/queries/hand-over.server';
import { beginWith } from '../../../server/db/queries/bookings.server';
import { findTemplate } from '../../../server/db/queries/templates.server';
import { standingFacts } from '../../../server/db/queries/facts.server';
import { createVisit, openVisitBetween, visitTimes } from '../../../server/db/queries/visits.server';
import { once } from '../../schemas/once';
import { checkForm, readForm } from '../../schemas/read';
import { notFound, permitted } from '../../../server/access/session.server';
import { dayIn } from '../../../server/access/time.server';
import { OnceKey } from '../../parts/fields/once-key';
import { dayOf } from '../../../core/schedule';
import type { Route } from './+types/client';

export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId, timeZone } = await permitted(request, 'see', 'care');
  const now = new Date();
  const { from, to } = dayIn(timeZone, now);
  const chosen = new URL(request.url).searchParams.get('with');
  const [client, begun, open, facts, template, hands] = await Promise.all([
    findClient(practiceId, params.clientId),
    visitTimes(practiceId, params.clientId, now),
    openVisitBetween(practiceId, params.clientId, from, to),
    standingFacts(practiceId, params.clientId),
    chosen ? findTemplate(practiceId, chosen) : null,
    handsOfClient(practiceId, params.clientId),
  ]);
  if (!client) notFound('client');
  const routine = template && { id: template.id, name: template.name };
  return { client, hands: hands?.name ?? null, begun, open, facts, routine, timeZone, now: now.toISOString() };
}

/** Starts a visit right now. */
export async function action({ request, params }: Route.ActionArgs) {
  const { practiceId, practitionerId, timeZone } = await permitted(request, 'change', 'care');
  const input = await checkForm(object({ once, with: string().max(36) }), await readForm(request));
  if (!input.ok) throw data(Object.values(input.errors)[0], { status: 422 });
  const template = input.value.with ? await findTemplate(practiceId, input.value.with) : null;
  if (input.value.with && !template) notFound('routine');
  // Who is booked for today is who has come: the booking becomes the visit.
  const { from, to } = dayIn(timeZone, new Date());
  const booked = await openVisitBetween(practiceId, params.clientId, from, to);
  if (booked?.stage === 'screen') {
    if (template) await beginWith({ practiceId, practitionerId }, booked.id, template);
    return redirect(`/visits/${booked.id}/screen`);
  }
  const made = await createVisit(practiceId, {
    clientId: params.clientId,
    practitionerId,
    startsAt: new Date(),
    once: input.value.once,
    routine: template?.body ?? null,
    origin: template && { template: template.id, version: template.version },
  });
  if (!made) notFound('client');
  return redirect(`/visits/${made}/screen`);
}

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.client.name ?? 'Client'} · Velvet Compass` },
];

export default function ClientFrame({ loaderData }: Route.ComponentProps) {
  const { client, hands, begun, open, facts, routine, now, timeZone } = loaderData;
  const base = `/clients/${client.id}`;
  const days = begun[0] ? differenceInCalendarDays(dayOf(now, timeZone), dayOf(begun[0], timeZone)) : null;
  return (
    <>
      <section className="client-strip" aria-label="Client">
        <div className="who">
          <Link to={base}>{client.name}</Link>
          <div className="soft small">
            {days === null
              ? 'no visit yet'
              : days === 0
                ? 'first visit today'
                : `${counted(days, 'day')} since the first visit`}
            {hands && `, with ${hands}`}
          </div>
        </div>
        <nav className="client-nav" aria-label="Client">
          <NavLink to={base} end>
            Relief
          </NavLink>
          <NavLink to={`${base}/visits`}>Visits</NavLink>
          <NavLink to={`${base}/home-plan`}>Home plan</NavLink>
          <NavLink to={`${base}/measure`}>Measure</NavLink>
          <NavLink to={`${base}/details`}>Details</NavLink>
        </nav>
        {client.about && <span className="soft small">{client.about}</span>}
        {facts.length > 0 && (
          <span
            className="caution small"
            title="What was answered with yes at the last visit; it holds until it is taken back."
          >
            Last time: {facts.join(', ').toLowerCase()}
          </span>
        )}
        <div className="ms-auto d-flex gap-3">
          {open ? (
            <Link to={`/visits/${open.id}`} className="btn btn-primary">
              Go on: {STAGE_NAMES[open.stage]}
            </Link>
          ) : (
            <Form method="post" action={base}>
              <OnceKey />
              {routine && <input type="hidden" name="with" value={routine.id} />}
              <Button type="submit">
                Start visit {begun.length + 1}
                {routine && ` with “${routine.name}”`}
              </Button>
            </Form>
          )}
        </div>
      </section>
      <Outlet />
    </>
  );
}
