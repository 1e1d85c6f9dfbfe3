import { REACTION_NAMES, STAGE_NAMES } from '../../../core/record';
import { complaintName } from '../../../core/words';
import { Button } from 'react-bootstrap';
import { data, Form, Link, useActionData, useRouteLoaderData } from 'react-router';
import { object, string } from 'yup';
import { ratingsOfVisits } from '../../../server/db/queries/readings.server';
import { createVisit, VISITS_SHOWN, visitsOfClient } from '../../../server/db/queries/visits.server';
import { calendarDay } from '../../schemas/day';
import { once } from '../../schemas/once';
import { checkForm, readForm } from '../../schemas/read';
import { notFound, requirePractitioner } from '../../../server/access/session.server';
import { momentIn } from '../../../server/access/time.server';
import { FieldFrame } from '../../parts/fields/field';
import { OnceKey } from '../../parts/fields/once-key';
import { shortDay, timeOfDay } from '../../parts/marks/time';
import type { loader as frame } from './client';
import type { Route } from './+types/visits';

const bookingSchema = object({
  once,
  day: calendarDay.required('Choose a day.'),
  time: string()
    .trim()
    .required('Choose a time.')
    .matches(/^([01]\d|2[0-3]):[0-5]\d$/, 'A time such as 14:30 is accepted.'),
});

/** Books a visit for a day and time of the practice's zone. */
export async function action({ request, params }: Route.ActionArgs) {
  const { practiceId, practitionerId, timeZone } = await requirePractitioner(request);
  const input = await checkForm(bookingSchema, await readForm(request));
  if (!input.ok) return data({ errors: input.errors, booked: null }, { status: 422 });
  const made = await createVisit(practiceId, {
    clientId: params.clientId,
    practitionerId,
    startsAt: momentIn(timeZone, input.value.day, input.value.time),
    once: input.value.once,
  });
  if (!made) notFound('client');
  return { errors: undefined, booked: made };
}

export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId } = await requirePractitioner(request);
  const before = new URL(request.url).searchParams.get('before') ?? '';
  const visits = await visitsOfClient(
    practiceId,
    params.clientId,
    /^\d{4}-\d\d-\d\dT[\d:.]+Z$/.test(before) && !Number.isNaN(Date.parse(before)) ? new Date(before) : null,
  );
  const shown = visits.slice(0, VISITS_SHOWN);
  return {
    visits: shown,
    more: visits.length > shown.length ? shown[shown.length - 1]!.startsAt : null,
    later: before !== '',
    ratings: await ratingsOfVisits(
      practiceId,
      shown.map((v) => v.id),
    ),
  };
}

export default function Visits({ loaderData: { visits, more, later, ratings } }: Route.ComponentProps) {
  const { client, timeZone } = useRouteLoaderData('routes/client/client') as Awaited<ReturnType<typeof frame>>;
  const answered = useActionData<typeof action>();
  return (
    <div className="page">
      <main>
        <div className="page-head">
          <h1>Visits</h1>
        </div>
        <Form method="post" className="d-flex gap-3 align-items-start mb-3" key={answered?.booked ?? ''}>
          <OnceKey />
          <FieldFrame label="Day" name="day" type="date" message={answered?.errors?.day} />
          <FieldFrame label="Time" name="time" type="time" message={answered?.errors?.time} />
          <Button type="submit" variant="outline-primary" className="mt-4">
            Book a visit
          </Button>
          {answered?.booked && (
            <span role="status" className="soft mt-4 pt-1">
              Booked
            </span>
          )}
        </Form>
        {visits.length ? (
          <table className="table">
            <thead>
              <tr>
                <th scope="col">When</th>
                <th scope="col">Stage</th>
                <th scope="col">Ratings before → after</th>
                <th scope="col">Routine</th>
                <th scope="col">Noted</th>
              </tr>
            </thead>
            <tbody>
              {visits.map((v) => (
                <tr key={v.id}>
                  <td>
                    <Link to={`/visits/${v.id}`}>
                      {shortDay(v.startsAt, timeZone)}, <span className="num">{timeOfDay(v.startsAt, timeZone)}</span>
                    </Link>
                  </td>
                  <td>{STAGE_NAMES[v.stage]}</td>
                  <td>
                    {client.complaints
                      .map((c) => {
                        const of = (phase: string) =>
                          ratings.find((r) => r.visitId === v.id && r.complaintId === c.id && r.phase === phase)?.value;
                        const [before, after] = [of('before'), of('after')];
                        return before === undefined
                          ? ''
                          : `${complaintName(c)} ${before}${after === undefined ? '' : ` → ${after}`}`;
                      })
                      .filter(Boolean)
                      .join('; ')}
                  </td>
                  <td>{v.routine}</td>
                  <td className="small">
                    {[...v.reactions.map((r) => REACTION_NAMES[r]), v.note].filter(Boolean).join('; ')}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        ) : (
          <p className="empty">
            <strong>No visit yet</strong>
            Start the first one with the button at the top right.
          </p>
        )}
        {(more || later) && (
          <nav aria-label="Further visits" className="d-flex gap-3">
            {later && <Link to="?">The latest</Link>}
            {more && <Link to={`?before=${encodeURIComponent(more)}`}>Earlier visits</Link>}
          </nav>
        )}
      </main>
    </div>
  );
}
