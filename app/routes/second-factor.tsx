import { data, Link, useFetcher } from 'react-router';
import { permitted } from '../../server/access/session.server';
import { whyUnsigned } from '../../server/access/signature.server';
import { takeTry } from '../../server/db/queries/attempts.server';
import {
  askForSecondFactor,
  endSecondFactor,
  offerSecondFactor,
  secondFactorOf,
} from '../../server/db/queries/second-factor.server';
import { counted } from '../../core/words';
import { FirstCode, Offered, SpareCodes, WithPassword } from '../rooms/own/second-factor';
import { useDates } from '../parts/frame/use-dates';
import { firstCodeSchema, ownPasswordSchema } from '../schemas/account';
import { checkForm, type FieldErrors, readForm } from '../schemas/read';
import type { Route } from './+types/second-factor';

export const meta = () => [{ title: 'Second factor · Velvet Compass' }];

export async function loader({ request }: Route.LoaderArgs) {
  const who = await permitted(request, 'see', 'self');
  return { factor: await secondFactorOf(who) };
}

interface Answer {
  errors: FieldErrors;
  offer?: { secret: string; address: string };
  spares?: string[];
}
const WRONG = 'This code does not belong to the secret. Check the time of the phone, and take the next code.';

export async function action({ request }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'self');
  const sent = await readForm(request);
  const told = (answer: Answer, status = 200) => data(answer, { status, headers: { 'Cache-Control': 'no-store' } });
  if (sent.get('do') === 'first') {
    const input = await checkForm(firstCodeSchema, sent, ['do']);
    if (!input.ok) return told({ errors: input.errors }, 422);
    const wait = await takeTry('signature', who.practitionerId);
    if (wait) return told({ errors: { code: `Too many wrong tries. Try again in ${wait} min.` } }, 429);
    const spares = await askForSecondFactor(who, input.value.code, Date.now());
    return spares ? told({ errors: {}, spares }) : told({ errors: { code: WRONG } }, 422);
  }
  const input = await checkForm(ownPasswordSchema, sent, ['do']);
  if (!input.ok) return told({ errors: input.errors }, 422);
  const unsigned = await whyUnsigned(who, input.value.present);
  if (unsigned) return told({ errors: { present: unsigned.message } }, unsigned.status);
  if (sent.get('do') === 'end') {
    await endSecondFactor(who);
    return told({ errors: {} });
  }
  const offer = await offerSecondFactor(who, who.email);
  return offer === 'asked'
    ? told({ errors: { present: 'A code is asked for already.' } }, 409)
    : told({ errors: {}, offer });
}

/** A code of an authenticator app at the door, beside the password: set up, or taken away. */
export default function SecondFactor({ loaderData: { factor } }: Route.ComponentProps) {
  const signed = useFetcher<Answer>();
  const first = useFetcher<Answer>();
  const { shortDay } = useDates();
  const spares = first.data?.spares;
  const offer = signed.data?.offer;
  return (
    <div className="page">
      <main>
        <div className="page-head">
          <h1>Second factor</h1>
          <Link to="/you">Back to your page</Link>
        </div>
        <div className="narrow">
          {spares ? (
            <SpareCodes codes={spares} />
          ) : factor ? (
            <>
              <p>
                Since {shortDay(factor.since)} a code of your authenticator app is asked for at the door, beside your
                password. {counted(factor.spares, 'spare code')} left.
              </p>
              <WithPassword fetcher={signed} what="end" verb="Take it away">
                Then your password alone opens the door. To get new spare codes, take it away and set it up again.
              </WithPassword>
            </>
          ) : offer ? (
            <>
              <Offered {...offer} />
              <FirstCode fetcher={first} />
            </>
          ) : (
            <WithPassword fetcher={signed} what="offer" verb="Set it up">
              Whoever knows your password comes in. With a second factor they need your phone too: an authenticator app
              on it makes six digits, new ones every half minute. It needs no connection.
            </WithPassword>
          )}
        </div>
      </main>
    </div>
  );
}
