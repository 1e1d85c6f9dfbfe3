import { Button, Form as BsForm } from 'react-bootstrap';
import { data, Form, Link, useActionData } from 'react-router';
import { permitted } from '../../../server/access/session.server';
import { whyUnsigned } from '../../../server/access/signature.server';
import { eraseOld, retentionOf, setRetention, whatIsOld } from '../../../server/db/queries/retention.server';
import { counted } from '../../../core/words';
import { FieldFrame } from '../../parts/fields/field';
import { Failed } from '../../parts/frame/failed';
import { useDates } from '../../parts/frame/use-dates';
import { eraseOldSchema, retentionSchema } from '../../schemas/let-go';
import { check, checkForm, readForm, type FieldErrors } from '../../schemas/read';
import type { Route } from './+types/retention';

export async function loader({ request }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'records');
  const [kept, old] = await Promise.all([retentionOf(practiceId), whatIsOld(practiceId)]);
  return { kept, old };
}

export async function action({ request }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'records');
  const sent = await readForm(request);
  const told = (errors: FieldErrors, status: number, done = '') => data({ errors, done }, { status });
  if (sent.get('do') === 'keep') {
    const input = await checkForm(retentionSchema, sent, ['do']);
    if (!input.ok) return told(input.errors, 422);
    await setRetention(who, input.value);
    return told({}, 200, 'Kept.');
  }
  const picked = [...sent.keys()].filter((name) => /^(photos|visits):/.test(name));
  const others = [...sent.keys()].filter((name) => !picked.includes(name) && name !== 'do' && name !== 'password');
  if (others.length) return told({ password: 'This form holds something that it does not ask for.' }, 422);
  const input = await check(eraseOldSchema, { picked, password: sent.get('password') ?? '' });
  if (!input.ok) return told(input.errors, 422);
  const unsigned = await whyUnsigned(who, input.value.password);
  if (unsigned) return told({ password: unsigned.message }, unsigned.status);
  let [visits, photos] = [0, 0];
  for (const one of input.value.picked) {
    const [what, clientId] = one.split(':') as ['visits' | 'photos', string];
    const n = await eraseOld(who, clientId, what);
    if (what === 'visits') visits += n;
    else photos += n;
  }
  return told({}, 200, `${counted(visits, 'visit')} and ${counted(photos, 'photo')} erased.`);
}

/** How long visits and photos are kept, and what is older: nothing goes by itself. */
export default function HowLong({ loaderData: { kept, old } }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  const errors: FieldErrors = answered?.errors ?? {};
  const { dayWords } = useDates();
  return (
    <div className="page">
      <main>
        <div className="page-head">
          <h1>How long records are kept</h1>
          <span className="soft">what is older is listed here and erased by hand; nothing goes by itself</span>
        </div>
        <Form method="post" className="narrow" key={`${kept.visitsYears} ${kept.photosMonths}`}>
          <div className="form-grid">
            <FieldFrame
              name="visitsYears"
              label="Visits, years"
              inputMode="numeric"
              defaultValue={kept.visitsYears ?? ''}
              hint="As your law or insurer asks for; empty while you have not decided."
              message={errors.visitsYears}
            />
            <FieldFrame
              name="photosMonths"
              label="Photos, months"
              inputMode="numeric"
              defaultValue={kept.photosMonths ?? ''}
              hint="Usually shorter than visits: they are seen once more, at the review."
              message={errors.photosMonths}
            />
          </div>
          <Button type="submit" name="do" value="keep" className="mt-3">
            Keep
          </Button>
        </Form>
        {answered?.done && (
          <p role="status" className="mt-3">
            {answered.done}
          </p>
        )}
        {old.length > 0 ? (
          <Form method="post" className="mt-4" key={old.map((o) => o.clientId).join()}>
            <h2 className="h5">Older than that</h2>
            <ul className="outbox">
              {old.map((o) => (
                <li key={o.clientId}>
                  <div className="head">
                    <strong>{o.name}</strong>
                    <span className="soft">since {dayWords(o.oldestAt)}</span>
                  </div>
                  {(['visits', 'photos'] as const).map(
                    (what) =>
                      o[what] > 0 && (
                        <BsForm.Check
                          key={what}
                          id={`${what}-${o.clientId}`}
                          name={`${what}:${o.clientId}`}
                          value="on"
                          label={
                            what === 'visits'
                              ? `${counted(o.visits, 'visit')} with all that was found and done in ${o.visits === 1 ? 'it' : 'them'}`
                              : counted(o.photos, 'photo')
                          }
                        />
                      ),
                  )}
                  {o.isAll && (
                    <p className="soft">
                      No newer visit is there: <Link to={`/clients/${o.clientId}/let-go`}>let {o.name} go</Link>{' '}
                      instead.
                    </p>
                  )}
                </li>
              ))}
            </ul>
            <div className="narrow">
              <FieldFrame
                name="password"
                type="password"
                label="Your own password"
                autoComplete="current-password"
                message={errors.password}
              />
              <Failed words={errors.picked} />
              <Button type="submit" variant="danger" className="mt-3">
                Erase what is ticked
              </Button>
            </div>
          </Form>
        ) : (
          (kept.visitsYears !== null || kept.photosMonths !== null) && (
            <p className="empty">
              <strong>Nothing is older than that</strong>Whatever becomes so is listed here.
            </p>
          )
        )}
      </main>
    </div>
  );
}
