import { Button, Form as BsForm } from 'react-bootstrap';
import { useFetcher } from 'react-router';
import { SecretAddress } from '../../parts/marks/secret-address';
import { useDates } from '../../parts/frame/use-dates';

/** A link under which one's own calendar reads the visits, made and ended. */
export function OwnCalendar({ link }: { link: { madeAt: string; withNames: boolean } | null }) {
  const asked = useFetcher<{ secret?: string }>();
  const { shortDay } = useDates();
  return (
    <section className="narrow mt-4">
      <h2>Your visits in your calendar</h2>
      {asked.data?.secret ? (
        <div role="status">
          <p>
            <strong>Told this once</strong>: give it to your calendar as one to subscribe to. It is read again every
            quarter of an hour; what is cancelled here is cancelled there.
          </p>
          <SecretAddress secret={asked.data.secret} opens="c" />
        </div>
      ) : (
        <p>
          {link
            ? `A link was made on ${shortDay(link.madeAt)}, ${link.withNames ? 'with the names of clients' : 'without names'}. A new one ends it.`
            : 'A link lets a calendar read when you work and where: it is kept wherever that calendar is kept.'}
        </p>
      )}
      <asked.Form method="post" className="d-flex gap-3 flex-wrap align-items-center">
        <input type="hidden" name="do" value="calendar" />
        <BsForm.Check id="with-names" name="withNames" value="true" label="With the names of clients" />
        <Button type="submit" size="sm" variant="outline-primary" name="what" value="make">
          {link ? 'Make a new link' : 'Make a link'}
        </Button>
        {link && (
          <Button type="submit" size="sm" variant="outline-primary" name="what" value="end">
            End it
          </Button>
        )}
      </asked.Form>
    </section>
  );
}
