import { isStillBooked, REACTION_NAMES, STAGE_NAMES, USUAL_BOOKING_MINUTES, wasBegun } from '../../../core/record';
import { complaintName } from '../../../core/words';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { Link, useRevalidator, useRouteLoaderData } from 'react-router';
import { ratingsOfVisits } from '../../../server/db/queries/readings.server';
import { VISITS_SHOWN, visitsOfClient } from '../../../server/db/queries/visits.server';
import { usualLength } from '../../../server/access/day.server';
import { permitted } from '../../../server/access/session.server';
import { BookingForm, whenOf } from '../../parts/booking/booking-form';
import { BookingWays } from '../../parts/booking/booking-line';
import { useDates } from '../../parts/frame/use-dates';
import type { loader as frame } from './client';
import type { Route } from './+types/visits';

export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'care');
  const before = new URL(request.url).searchParams.get('before') ?? '';
  const visits = await visitsOfClient(
    practiceId,
    params.clientId,
    /^\d{4}-\d\d-\d\dT[\d:.]+Z$/.test(before) && !Number.isNaN(Date.parse(before)) ? new Date(before) : null,
  );
  const shown = visits.slice(0, VISITS_SHOWN);
  const lately = await usualLength(practiceId, params.clientId, null);
  return {
    lately: { practitionerId: lately?.practitionerId ?? null, roomId: lately?.roomId ?? null },
    visits: shown,
    more: visits.length > shown.length ? shown[shown.length - 1]!.startsAt : null,
    later: before !== '',
    ratings: await ratingsOfVisits(
      practiceId,
      shown.map((v) => v.id),
    ),
  };
}

export default function Visits({ loaderData }: Route.ComponentProps) {
  const { visits, more, later, ratings } = loaderData;
  const { timeOfDay, shortDay } = useDates();
  const { client, now } = useRouteLoaderData('routes/client/client') as Awaited<ReturnType<typeof frame>>;
  const [books, setBooks] = useState(false);
  const [when, setWhen] = useState(() => whenOf('', '', USUAL_BOOKING_MINUTES, loaderData.lately));
  const { revalidate } = useRevalidator();
  const isFirst = !more && !later && !visits.some(wasBegun);
  return (
    <div className="page">
      <main>
        <div className="page-head">
          <h1>Visits</h1>
        </div>
        {books ? (
          <BookingForm
            label="Book it"
            clientId={client.id}
            visitId={null}
            when={when}
            onWhen={setWhen}
            onBooked={() => {
              setBooks(false);
              void revalidate();
            }}
            onCancel={() => setBooks(false)}
          />
        ) : (
          <Button variant="outline-primary" className="mb-3" onClick={() => setBooks(true)}>
            Book a visit
          </Button>
        )}
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
                      {shortDay(v.startsAt)}, <span className="num">{timeOfDay(v.startsAt)}</span>
                    </Link>
                  </td>
                  <td>
                    {isStillBooked(v) ? (
                      <>
                        {v.startsAt > now ? 'Booked' : STAGE_NAMES[v.stage]}{' '}
                        <BookingWays
                          booking={{ ...v, visitId: v.id, clientId: client.id, clientName: client.name, isFirst }}
                          onChanged={() => void revalidate()}
                        />
                      </>
                    ) : (
                      STAGE_NAMES[v.stage]
                    )}
                  </td>
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
