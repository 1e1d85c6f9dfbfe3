import type { KeptHomePlan } from '../../../core/record';
import {
  type Catalogue,
  emptyRoutine,
  type JawLimits,
  routineSeconds,
  stepOpening,
  stepSeconds,
} from '../../../core/routine';
import { aboutMinutes, dailyMost, plannedDays, rhythmWords, weekdayOf, yourSides } from '../../../core/schedule';
import { counted } from '../../../core/words';
import { StopLists } from '../../parts/marks/stop-lists';
import { lazy, Suspense } from 'react';
import { FaceChart } from '../../parts/chart/face-chart';
import { pathMark } from '../../parts/chart/path-layer';
import { jawHeld, viewWithJaw } from '../../parts/chart/jaw/jaw-view';
import { viewsShowing } from '../../parts/paper/paper-charts';
import { useDates } from '../../parts/frame/use-dates';

const Qr = lazy(() => import('../../parts/marks/qr'));
const WEEKDAYS = ['Mo', 'Tu', 'We', 'Th', 'Fr', 'Sa', 'Su'] as const;
/** Columns that fit beside each other; what is more goes into the next rows. */
const COLUMNS = 14;

/** A home plan on one page: drawings as in a mirror, words, days to tick, when to stop and whom to ask. */
export function HandOut({
  plan,
  catalogue,
  who,
  contact,
  address,
  today,
  complaint,
  jaw,
}: {
  plan: KeptHomePlan;
  catalogue: Catalogue;
  /** Whom to ask. */
  who: string;
  /** How they are reached; empty where the practice never said. */
  contact: string;
  /** Of the private link; empty where none is handed over with it. */
  address: string;
  today: string;
  /** What is rated in the evening. */
  complaint: string;
  /** How far the mouth may open; nothing where it was not measured. */
  jaw: JawLimits;
}) {
  const { dayWords } = useDates();
  // What lies behind is ticked already, or was not.
  const days = plannedDays(plan).filter((day) => day >= today);
  const most = dailyMost(
    plan.steps.map((s) => s.step),
    catalogue.techniques,
  );
  const rows = Array.from({ length: Math.ceil(days.length / COLUMNS) }, (_, i) =>
    days.slice(i * COLUMNS, (i + 1) * COLUMNS),
  );
  const seconds = routineSeconds({ ...emptyRoutine('Home'), items: plan.steps.map((s) => s.step) });
  return (
    <div className="hand-out">
      <div className="hand-out-head">
        <p>
          {rhythmWords(plan).replace(/^./, (c) => c.toUpperCase())}, {aboutMinutes(seconds)} each time, from{' '}
          {dayWords(plan.from)} to {dayWords(plan.until)}. Drawn as you see yourself in a mirror: your left is on the
          left.
        </p>
        {address && (
          <aside className="link">
            <Suspense>
              <Qr text={address} label="The private link as a code" />
            </Suspense>
            <p>
              The same on your phone, guided and with shut eyes. No account; also without a connection.
              <br />
              <span className="num">{address}</span>
            </p>
          </aside>
        )}
      </div>
      {plan.steps.map(({ step, words }, i) => {
        const path = pathMark(step);
        const places = path.sides.flat();
        const opening = stepOpening(step.body, jaw);
        const views = opening ? [viewWithJaw(opening, places)] : viewsShowing(places).slice(0, 1);
        return (
          <section key={step.id} className="hand-out-step">
            <div className="drawing">
              {places.length > 0 && (
                <FaceChart bare mirror views={views} follow={places} paths={[path]} jaw={jawHeld(opening)} />
              )}
            </div>
            <div>
              <h2>
                {i + 1} {step.label ?? catalogue.techniques.get(step.technique)?.name}
              </h2>
              <p className="sides">
                <strong>{yourSides(step.sides)}</strong>
                <span>{aboutMinutes(stepSeconds(step))}</span>
              </p>
              <p>{words}</p>
            </div>
          </section>
        );
      })}
      <h2>Tick each time you did it</h2>
      <p>
        At most {counted(most.times, 'time')} a day. If you miss one, go on. In the evening write a number for{' '}
        {complaint}: 0 is nothing, 10 the worst you can think of.
      </p>
      {rows.map((some) => (
        <table key={some[0]} className="ticks">
          <thead>
            <tr>
              <td />
              {some.map((day) => (
                <th key={day} scope="col">
                  {WEEKDAYS[weekdayOf(day) - 1]}
                  <br />
                  {Number(day.slice(8))}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {Array.from({ length: plan.timesADay }, (_, n) => (
              <tr key={n}>
                <th scope="row">{plan.timesADay > 1 ? `${n + 1}` : 'done'}</th>
                {some.map((day) => (
                  <td key={day}>
                    <span className="tick" aria-label="to tick" />
                  </td>
                ))}
              </tr>
            ))}
            <tr>
              <th scope="row">0–10</th>
              {some.map((day) => (
                <td key={day} />
              ))}
            </tr>
          </tbody>
        </table>
      ))}
      <p>Bring this page along on {dayWords(plan.reviewOn)}.</p>
      <div className="stop">
        <StopLists ask={who} contact={contact} as="h2" />
      </div>
      <p className="soft">
        Wellness work, not medical care. It may ease tension; it does not replace a doctor or dentist. Plan{' '}
        {plan.number}.
      </p>
    </div>
  );
}
