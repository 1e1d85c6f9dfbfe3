import type { Amendment } from '../../../../core/record';
import { Button, Form as Fields } from 'react-bootstrap';
import { Form, Link, useActionData } from 'react-router';
import { OnceKey } from '../../../parts/fields/once-key';
import { useDates } from '../../../parts/frame/use-dates';
import { useVisit } from '../session/context';
import { Correction } from '../session/correction';

/** Second thoughts on an ended visit: what was added and corrected, by whom and when, and the way to do so. */
export function Amendments({ list }: { list: readonly Amendment[] }) {
  const { timeOfDay, shortDay } = useDates();
  const { visit } = useVisit();
  const answered = useActionData<{ errors?: Record<string, string>; kept?: number }>();
  return (
    <section className="section amendments">
      <h2>Added and corrected afterwards</h2>
      {list.length === 0 && <p className="soft">Nothing so far.</p>}
      <ol className="plain-list">
        {list.map((a) => (
          <li key={`${a.at} ${a.words}`}>
            <span className="soft small">
              {shortDay(a.at)}, {timeOfDay(a.at)}, {a.by}:
            </span>{' '}
            {a.words}
            {a.changes.map((c) => (
              <div key={c.what} className="small">
                {c.what}: <del>{c.before || 'nothing'}</del> <ins>{c.after || 'nothing'}</ins>
              </div>
            ))}
          </li>
        ))}
      </ol>
      <Form method="post" key={list.length} className="add-to no-print">
        <OnceKey />
        <Fields.Label htmlFor="addendum">Add to this visit</Fields.Label>
        <Fields.Control
          id="addendum"
          name="words"
          as="textarea"
          rows={2}
          maxLength={2000}
          isInvalid={!!answered?.errors?.words}
          aria-describedby="addendum-told"
        />
        <Fields.Control.Feedback type="invalid" id="addendum-told">
          {answered?.errors?.words}
        </Fields.Control.Feedback>
        <Button type="submit" variant="outline-primary" className="mt-2">
          Add
        </Button>
      </Form>
      <Correction what="what was recorded" />
      <p className="soft small no-print">
        What was asked is corrected in <Link to={`/visits/${visit.id}/screen`}>Screen</Link>, what was found before the
        work in <Link to={`/visits/${visit.id}/assess`}>Assess</Link>.
      </p>
    </section>
  );
}
