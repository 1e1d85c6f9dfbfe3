import type { Amendment } from '../../../../core/record';
import { useState } from 'react';
import { Button, Form as Fields } from 'react-bootstrap';
import { Form, useActionData, useRevalidator } from 'react-router';
import { OnceKey } from '../../../parts/fields/once-key';
import { useDates } from '../../../parts/frame/use-dates';
import { useVisit } from '../session/context';

/** Second thoughts on an ended visit: what was added and corrected, by whom and when, and the way to do so. */
export function Amendments({ list }: { list: readonly Amendment[] }) {
  const { timeOfDay, shortDay } = useDates();
  const { amending, setAmending } = useVisit();
  const answered = useActionData<{ errors?: Record<string, string>; kept?: number }>();
  const [why, setWhy] = useState('');
  const [told, setTold] = useState('');
  const { revalidate } = useRevalidator();
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
      {amending === null ? (
        <form
          className="add-to no-print"
          onSubmit={(e) => {
            e.preventDefault();
            if (!why.trim()) return setTold('Say why: it stands beside each value that is changed.');
            setTold('');
            setAmending(why.trim());
          }}
        >
          <Fields.Label htmlFor="why-correct">Correct what was recorded, because</Fields.Label>
          <Fields.Control
            id="why-correct"
            maxLength={2000}
            value={why}
            isInvalid={!!told}
            aria-describedby="why-told"
            onChange={(e) => setWhy(e.target.value)}
          />
          <Fields.Control.Feedback type="invalid" id="why-told">
            {told}
          </Fields.Control.Feedback>
          <Button type="submit" variant="outline-primary" className="mt-2">
            Open for correction
          </Button>
        </form>
      ) : (
        <p className="note-bar no-print">
          Open for correction, because: {amending}. Old values are kept.{' '}
          <Button
            size="sm"
            onClick={() => {
              setAmending(null);
              void revalidate();
            }}
          >
            Close again
          </Button>
        </p>
      )}
    </section>
  );
}
