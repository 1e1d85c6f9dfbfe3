import type { KeptHomePlan } from '../../../core/record';
import { adherence } from '../../../core/schedule';
import { adviceOfAll } from '../../../core/relief';
import { complaintName } from '../../../core/words';
import { useCallback, useMemo, useState } from 'react';
import { Link, useRouteLoaderData, useSearchParams } from 'react-router';
import { reliefOf } from '../../../server/access/relief-of.server';
import { latestDecision } from '../../../server/db/queries/decisions.server';
import { homePlansOf } from '../../../server/db/queries/home-plans.server';
import { doneAtVisits } from '../../../server/db/queries/runs.server';
import { daysBetween } from '../../../server/access/time.server';
import { permitted } from '../../../server/access/session.server';
import { FaceChart } from '../../parts/chart/face-chart';
import { asSvg } from '../../parts/export/picture';
import { PictureButtons } from '../../parts/export/picture-buttons';
import { KeptRatings } from '../../rooms/client/kept-ratings';
import { calendarDay } from '../../schemas/day';
import { type Days, type Period, PeriodStrip } from '../../parts/course/period';
import { dayOf } from '../../../core/schedule';
import { useDates } from '../../parts/frame/use-dates';
import { CameBefore } from '../../rooms/client/came-before';
import { WhatNext } from '../../rooms/client/what-next';
import { PairTable } from '../../rooms/client/pair-table';
import { ReliefCourses, toldCourses } from '../../rooms/client/relief-courses';
import { changeMarks } from '../../parts/chart/chart-marks';
import type { Route } from './+types/relief';
import type { loader as frame } from './client';

export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId, timeZone } = await permitted(request, 'see', 'care');
  const asked = new URL(request.url).searchParams;
  const [from, to] = [asked.get('from') ?? '', asked.get('to') ?? ''];
  // An address that names no days shows them all.
  const isAsked = from && to && from <= to && [from, to].every((day) => calendarDay.isValidSync(day));
  const days = isAsked ? daysBetween(timeZone, from, to) : null;
  const [relief, done, decision, plans] = await Promise.all([
    reliefOf(practiceId, params.clientId, days),
    doneAtVisits(practiceId, params.clientId),
    latestDecision(practiceId, params.clientId),
    homePlansOf(practiceId, params.clientId),
  ]);
  const period: Period | null = days && { fromMs: days.from.getTime(), toMs: days.to.getTime() };
  return { ...relief, period, done, decision, home: atHomeOf(plans, dayOf(new Date().toISOString(), timeZone)) };
}

/** Days of all plans up to today, and how the latest went. */
function atHomeOf(plans: readonly KeptHomePlan[], today: string) {
  const told = plans.map((p) => {
    const ended = p.endedAt?.slice(0, 10);
    return adherence({ ...p, until: ended && ended < p.until ? ended : p.until }, p.runDays, today);
  });
  const [latest] = told;
  return {
    words: latest ? `${latest.done} of ${latest.due} done${plans.length > 1 ? ' of the latest plan' : ''}` : '',
    // Noon stands for a day on every axis.
    days: told.flatMap((t) =>
      t.days
        .filter((d) => d.day < today || d.done > 0)
        .map(({ day, planned, done }) => ({ atMs: Date.parse(`${day}T12:00:00Z`), planned, done })),
    ),
  };
}

/** The course of a complaint that is on the page, as a drawing that stands by itself. */
function courseAsSvg(complaintId: string): string | null {
  const drawing = document.querySelector<SVGSVGElement>(`#course-${complaintId} .course-frame > svg`);
  return drawing && asSvg([drawing], '--sheet');
}

export default function Relief({ loaderData }: Route.ComponentProps) {
  const { pairs, measured, decision, period } = loaderData;
  const courses = useMemo(() => toldCourses(loaderData.courses), [loaderData.courses]);
  const { client, begun, now, timeZone } = useRouteLoaderData('routes/client/client') as Awaited<
    ReturnType<typeof frame>
  >;
  const changes = changeMarks(pairs);
  const open = client.complaints.filter((c) => !c.closed);
  const { shortDay } = useDates();
  const [, setAsked] = useSearchParams();
  const lookAt = useCallback(
    (days: Days | null) => setAsked(days ? { ...days } : {}, { replace: true, preventScrollReset: true }),
    [setAsked],
  );
  const [beside, setBeside] = useState('');
  const moments = useMemo(
    () => [...loaderData.moments, ...begun.map((at) => Date.parse(at))],
    [loaderData.moments, begun],
  );
  const of = (c: { id: string }) => courses.find((k) => k.complaintId === c.id);
  const rated = open.filter((c) => of(c));
  const done = loaderData.done
    .map((d) => ({
      ...d,
      atMs: Date.parse(d.startsAt),
      name: `visit ${begun.indexOf(d.startsAt) + 1}, ${shortDay(d.startsAt)}`,
    }))
    .reverse();
  return (
    <div className="page with-aside">
      <main>
        <h1 className="visually-hidden">Relief</h1>
        {!open.length && (
          <p className="empty">
            <strong>No complaint on record</strong>
            <Link to={`/clients/${client.id}/details`}>Add what they come for</Link>, then rate it at a visit.
          </p>
        )}
        {open.length > 0 && !begun.length && (
          <p className="narrow">
            Three ratings on different days before the work tell most: a first visit that stands in the book has{' '}
            <Link to={`/clients/${client.id}/visits`}>a link for them</Link>.
          </p>
        )}
        <ReliefCourses
          between={
            <>
              {loaderData.moments.length > 0 && (
                <PeriodStrip moments={moments} period={period} timeZone={timeZone} onChange={lookAt} />
              )}
              {rated.length > 1 && (
                <label className="compare no-print">
                  Drawn beside each{' '}
                  <select
                    className="form-select form-select-sm"
                    value={beside}
                    onChange={(e) => setBeside(e.target.value)}
                  >
                    <option value="">no other</option>
                    {rated.map((c) => (
                      <option key={c.id} value={c.id}>
                        {complaintName(c)}
                      </option>
                    ))}
                  </select>
                </label>
              )}
            </>
          }
          done={done}
          home={loaderData.home}
          period={period}
          beside={beside || null}
          complaints={open}
          courses={courses}
          begun={begun}
          nowIso={now}
          measured={measured}
          extra={(c) => (
            <>
              <KeptRatings
                clientId={client.id}
                complaintId={c.id}
                name={complaintName(c)}
                nowIso={now}
                timeZone={timeZone}
              />
              {courses.some((told) => told.complaintId === c.id && told.points.length > 0) && (
                <details className="course-legend no-print">
                  <summary>Take the drawing along</summary>
                  <div className="course-take">
                    <PictureButtons
                      what="Course"
                      name={`${client.name}, ${complaintName(c)}`}
                      drawing={() => courseAsSvg(c.id)}
                    />
                  </div>
                </details>
              )}
            </>
          )}
        />
        {pairs.length > 0 && (
          <details className="course-legend">
            <summary>The same as a table, with the source of each error</summary>
            <PairTable pairs={pairs} />
          </details>
        )}
      </main>
      <aside>
        {open.length > 0 && (
          <p className="text-end">
            Print <Link to={`/paper/clients/${client.id}/relief`}>for the client</Link> ·{' '}
            <Link to={`/paper/clients/${client.id}/relief?for=colleague`}>for a colleague</Link>
          </p>
        )}
        {rated.length > 0 && (
          <WhatNext
            clientId={client.id}
            proposed={adviceOfAll(rated.map((c) => of(c)!.judgement))}
            courses={rated.map((c) => ({ name: complaintName(c), judgement: of(c)!.judgement }))}
            decision={decision}
          />
        )}
        <div style={{ height: 430, margin: '-24px -24px 12px' }}>
          <FaceChart changes={changes} />
        </div>
        {rated.length > 0 && (
          <CameBefore
            courses={rated.flatMap((c) => {
              const told = loaderData.courses.find((k) => k.complaintId === c.id)?.cameBefore;
              return told ? [{ name: complaintName(c), told }] : [];
            })}
          />
        )}
        <h2 className="mb-2">Complaints</h2>
        {open.map((c) => (
          <div key={c.id} className="look">
            <h3>{complaintName(c)}</h3>
            {[
              ['Since', c.onset],
              ['Set off by', c.triggers],
              ['Goal', c.goal],
            ]
              .filter(([, v]) => v)
              .map(([k, v]) => (
                <p key={k}>
                  <span className="soft">{k}</span> {v}
                </p>
              ))}
          </div>
        ))}
        {client.note && <p className="mt-3">{client.note}</p>}
      </aside>
    </div>
  );
}
