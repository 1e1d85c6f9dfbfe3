import { differenceInCalendarDays } from 'date-fns';
import { Button } from 'react-bootstrap';
import { Form, Link, NavLink, Outlet, redirect } from 'react-router';
import { hasBegun, hasEnded, STAGE_NAMES } from '../../../core/visit/model';
import { findClient } from '../../../server/db/queries/clients.server';
import { readingsOfClient } from '../../../server/db/queries/readings.server';
import { createVisit, visitsOfClient } from '../../../server/db/queries/visits.server';
import { notFound, requirePractitioner } from '../../session.server';
import { dayOf } from '../../ui/time';
import type { Route } from './+types/client';

export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId, timeZone } = await requirePractitioner(request);
  const [client, visits, readings] = await Promise.all([findClient(practiceId, params.clientId), visitsOfClient(practiceId, params.clientId), readingsOfClient(practiceId, params.clientId)]);
  if (!client) notFound('client');
  return { client, visits, readings, timeZone, now: new Date().toISOString() };
}

/** Starts a visit right now. */
export async function action({ request, params }: Route.ActionArgs) {
  const { practiceId, practitionerId } = await requirePractitioner(request);
  const made = await createVisit(practiceId, { clientId: params.clientId, practitionerId, startsAt: new Date() });
  if (!made) notFound('client');
  return redirect(`/visits/${made}/screen`);
}

export const meta: Route.MetaFunction = ({ loaderData }) => [{ title: `${loaderData?.client.name ?? 'Client'} · Velvet Compass` }];

export default function ClientFrame({ loaderData }: Route.ComponentProps) {
  const { client, visits, now, timeZone } = loaderData;
  const base = `/clients/${client.id}`;
  const begun = visits.filter((v) => hasBegun(v, now));
  const open = visits.findLast((v) => !hasEnded(v.stage) && dayOf(v.startsAt, timeZone) === dayOf(now, timeZone));
  const days = begun[0] ? differenceInCalendarDays(dayOf(now, timeZone), dayOf(begun[0].startsAt, timeZone)) : null;
  return (
    <>
      <section className="client-strip" aria-label="Client">
        <div className="who">
          <Link to={base}>{client.name}</Link>
          <div className="soft small">{days === null ? 'no visit yet' : days === 0 ? 'first visit today' : `${days} day${days === 1 ? '' : 's'} since the first visit`}</div>
        </div>
        <nav className="client-nav" aria-label="Client">
          <NavLink to={base} end>
            Relief
          </NavLink>
          <NavLink to={`${base}/visits`}>Visits</NavLink>
          <NavLink to={`${base}/measure`}>Measure</NavLink>
          <NavLink to={`${base}/details`}>Details</NavLink>
        </nav>
        {client.about && <span className="soft small">{client.about}</span>}
        <div className="ms-auto d-flex gap-3">
          {open ? (
            <Link to={`/visits/${open.id}`} className="btn btn-primary">
              Go on: {STAGE_NAMES[open.stage]}
            </Link>
          ) : (
            <Form method="post" action={base}>
              <Button type="submit">Start visit {begun.length + 1}</Button>
            </Form>
          )}
        </div>
      </section>
      <Outlet />
    </>
  );
}
