import { STANDS_FROM_CLIENTS } from '../../../core/record';
import { HAND_PART_NAMES, HAND_PARTS } from '../../../core/proposal';
import { addDays, dayOf } from '../../../core/schedule';
import { COMPLAINT_NAMES } from '../../../core/words';
import { Button } from 'react-bootstrap';
import { Form, Link } from 'react-router';
import { numbersOf } from '../../../server/access/numbers.server';
import { fromCopy } from '../../../server/access/copy.server';
import { permitted } from '../../../server/access/session.server';
import { StandsTable } from '../../parts/course/stands-seen';
import { FieldFrame } from '../../parts/fields/field';
import { AsOf } from '../../parts/frame/as-of';
import { spanSchema } from '../../schemas/numbers';
import { check, type FieldErrors } from '../../schemas/read';
import type { Route } from './+types/numbers';

/** Shown where nobody asked for other days. Our choice. */
const DAYS = 28;

export async function loader({ request }: Route.LoaderArgs) {
  const who = await permitted(request, 'see', 'sums');
  const query = new URL(request.url).searchParams;
  const today = dayOf(new Date().toISOString(), who.timeZone);
  const asked = { from: query.get('from') ?? addDays(today, 1 - DAYS), until: query.get('until') ?? today };
  const input = await check(spanSchema, asked);
  const span = input.ok ? input.value : { from: addDays(today, 1 - DAYS), until: today };
  const { told: numbers, asOf } = await fromCopy(() => numbersOf(who, span.from, span.until));
  return {
    asked,
    span,
    asOf,
    errors: input.ok ? ({} as FieldErrors) : input.errors,
    numbers,
  };
}

const percent = (share: number): string => `${Math.round(share * 100)} %`;
const hours = (minutes: number): string => `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`;

/** The practice in numbers: what was worked, who did not come, how clients stand, what the hands bore. */
export default function Numbers({ loaderData: { asked, span, errors, asOf, numbers } }: Route.ComponentProps) {
  const { people, complaints } = numbers;
  return (
    <div className="page">
      <main>
        <div className="page-head">
          <h1>Numbers</h1>
          <span className="soft">of the practice, for its owner</span>
        </div>
        <AsOf at={asOf} />
        <Form className="d-flex gap-3 align-items-start flex-wrap mb-4">
          <FieldFrame name="from" label="From" type="date" defaultValue={asked.from} message={errors.from} />
          <FieldFrame name="until" label="to" type="date" defaultValue={asked.until} message={errors.until} />
          <Button type="submit" variant="outline-primary" className="mt-4">
            Show these days
          </Button>
          <Link
            reloadDocument
            to={`/practice/numbers/file?from=${span.from}&until=${span.until}`}
            className="align-self-center mt-3"
          >
            As a table
          </Link>
        </Form>
        <h2>Work</h2>
        {people.length ? (
          <table className="table">
            <thead>
              <tr>
                <th scope="col">Who</th>
                <th scope="col" className="text-end">
                  Visits
                </th>
                <th scope="col" className="text-end">
                  Worked, h
                </th>
                <th scope="col" className="text-end">
                  Booked, h
                </th>
                <th scope="col" className="text-end">
                  Did not come
                </th>
                <th scope="col" className="text-end">
                  Cancelled
                </th>
                <th scope="col">Hands, a day with work</th>
              </tr>
            </thead>
            <tbody>
              {people.map((p) => (
                <tr key={p.id}>
                  <td>{p.name}</td>
                  <td className="num text-end">{p.visits}</td>
                  <td className="num text-end">{hours(p.workedMinutes)}</td>
                  <td className="num text-end">{hours(p.bookedMinutes)}</td>
                  <td className="num text-end">
                    {p.missed} of {p.visits + p.missed}
                  </td>
                  <td className="num text-end">{p.cancelled}</td>
                  <td>
                    {p.hands ? (
                      <>
                        {HAND_PARTS.filter((part) => p.hands!.mean[part] >= 0.005)
                          .map((part) => `${HAND_PART_NAMES[part]} ${percent(p.hands!.mean[part])}`)
                          .join(', ') || 'light work only'}
                        {p.hands.passedDays > 0 && (
                          <div className="worse">
                            past the limit on {p.hands.passedDays} of {p.hands.days} days
                          </div>
                        )}
                      </>
                    ) : (
                      <span className="soft">no run with the guide</span>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        ) : (
          <p className="empty">
            <strong>No visit in these days</strong>Choose other ones.
          </p>
        )}
        <p className="soft small">
          Worked is what the guide ran, of visits that were finished. Hands: the share of what each part can hold
          without rest that runs really asked, an estimate.
        </p>
        <h2>How clients stand, by complaint</h2>
        <p className="soft small">
          Now, whatever the days above. Told from {STANDS_FROM_CLIENTS} clients up whose course can be judged; seen
          together with the work, not proof of it.
        </p>
        <StandsTable title="Complaint" rows={complaints.map((c) => ({ ...c, name: COMPLAINT_NAMES[c.id] }))} />
      </main>
    </div>
  );
}
