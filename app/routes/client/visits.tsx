import { Button } from 'react-bootstrap';
import { data, Form, Link, useActionData, useRouteLoaderData } from 'react-router';
import { object, string } from 'yup';
import { REACTION_NAMES, STAGE_NAMES } from '../../../core/visit/model';
import { createVisit } from '../../../server/db/queries/visits.server';
import { calendarDay } from '../../schemas/day';
import { check, formObject } from '../../schemas/read';
import { notFound, requirePractitioner } from '../../session.server';
import { momentIn } from '../../time.server';
import { FieldFrame } from '../../ui/field';
import { shortDay, timeOfDay } from '../../ui/time';
import { complaintName } from '../../visit/names';
import type { loader } from './client';
import type { Route } from './+types/visits';

const bookingSchema = object({
  day: calendarDay.required('Choose a day.'),
  time: string().trim().required('Choose a time.').matches(/^([01]\d|2[0-3]):[0-5]\d$/, 'A time such as 14:30 is accepted.'),
});

/** Books a visit for a day and time of the practice's zone. */
export async function action({ request, params }: Route.ActionArgs) {
  const { practiceId, practitionerId, timeZone } = await requirePractitioner(request);
  const input = await check(bookingSchema, formObject(await request.formData()));
  if (!input.ok) return data({ errors: input.errors, booked: false }, { status: 422 });
  const made = await createVisit(practiceId, { clientId: params.clientId, practitionerId, startsAt: momentIn(timeZone, input.value.day, input.value.time) });
  if (!made) notFound('client');
  return { errors: undefined, booked: true };
}

export default function Visits() {
  const { client, visits, readings, timeZone } = useRouteLoaderData('routes/client/client') as Awaited<ReturnType<typeof loader>>;
  const answered = useActionData<typeof action>();
  return (
    <div className="page">
      <main>
        <div className="page-head">
          <h1>Visits</h1>
        </div>
        <Form method="post" className="d-flex gap-3 align-items-start mb-3">
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
              {[...visits].reverse().map((v) => (
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
                        const of = (phase: string) => readings.find((r) => r.visitId === v.id && r.measure === 'nrs-now' && r.complaintId === c.id && r.phase === phase)?.value;
                        const [before, after] = [of('before'), of('after')];
                        return before === undefined ? '' : `${complaintName(c)} ${before}${after === undefined ? '' : ` → ${after}`}`;
                      })
                      .filter(Boolean)
                      .join('; ')}
                  </td>
                  <td>{v.routine?.name}</td>
                  <td className="small">{[...(v.record?.reactions ?? []).map((r) => REACTION_NAMES[r]), v.record?.note].filter(Boolean).join('; ')}</td>
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
      </main>
    </div>
  );
}
