import { HAND_PART_NAMES, HAND_PARTS, usualStrengthN, type HandPart } from '../../core/proposal';
import { Button } from 'react-bootstrap';
import { data, Form, Link, useActionData } from 'react-router';
import { permitted } from '../../server/access/session.server';
import { setStrength, strengthOf } from '../../server/db/queries/hands.server';
import { hasGauge } from '../../server/gauge.server';
import { useGauge } from '../parts/gauge/use-gauge';
import { Field, useCheckedForm } from '../parts/fields/field';
import { type Strength, strengthSchema } from '../schemas/hands';
import { checkForm, type FieldErrors, readForm } from '../schemas/read';
import type { Route } from './+types/own-hands';

export const meta = () => [{ title: 'Your hands · Velvet Compass' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { practiceId, practitionerId } = await permitted(request, 'see', 'care');
  return { strength: await strengthOf(practiceId, practitionerId), gauge: hasGauge() };
}

export async function action({ request }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'self');
  const input = await checkForm(strengthSchema, await readForm(request));
  if (!input.ok) return data({ errors: input.errors, typed: input.typed, kept: false }, { status: 422 });
  const known = Object.fromEntries(Object.entries(input.value).filter(([, n]) => n !== undefined));
  await setStrength(who, known);
  return { errors: {} as FieldErrors, typed: undefined, kept: true };
}

/** How hard each part of one's own hand presses at most: the load of a day is told against it. */
export default function OwnHands({ loaderData: { strength, gauge } }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  const { form, bind } = useCheckedForm<Strength>(strengthSchema, answered, strength);
  return (
    <div className="page">
      <main>
        <div className="page-head">
          <h1>Your hands</h1>
          <Link to="/you">Back to your page</Link>
        </div>
        <div className="narrow">
          <p>
            Press once as hard as you can without pain, with each part, on a kitchen or bathroom scale: 1 kg is 9.8 N.
            What is left empty is taken as usual. The load that Today draws is an estimate from these, the pressure of
            each step and its seconds; it says nothing about your health.
          </p>
          <Form {...bind}>
            {HAND_PARTS.map((part) => (
              <div key={part} className="d-flex gap-3 align-items-end mb-3">
                <Field
                  form={form}
                  name={part}
                  label={`${HAND_PART_NAMES[part][0]!.toUpperCase()}${HAND_PART_NAMES[part].slice(1)}, N`}
                  type="number"
                  min={10}
                  max={600}
                  step="any"
                  placeholder={`usual ${usualStrengthN(part)}`}
                />
                {gauge && <OnGauge part={part} onNewtons={(n) => form.setValue(part, n, { shouldDirty: true })} />}
              </div>
            ))}
            <div className="d-flex gap-3 align-items-center">
              <Button type="submit">Keep it</Button>
              <span role="status">{answered?.kept && 'Kept.'}</span>
            </div>
          </Form>
        </div>
      </main>
    </div>
  );
}

/** One press on the gauge: the highest of it, as a force. */
function OnGauge({ part, onNewtons }: { part: HandPart; onNewtons: (newtons: number) => void }) {
  // kPa × cm² ÷ 10 = N.
  const newtonsOf = (kpa: number, tipCm2: number) => Math.round((kpa * tipCm2) / 10);
  const { gauge, press, mark } = useGauge(({ kpa }, { tipCm2 }) => onNewtons(newtonsOf(kpa, tipCm2)));
  const last = gauge.samples.at(-1);
  return (
    <span className="d-flex gap-2 align-items-center">
      {gauge.status === 'pressing' ? (
        <>
          <Button size="sm" onClick={() => mark()}>
            That was it
          </Button>
          <span className="num" role="status">
            {last ? `${newtonsOf(last.kpa, gauge.tipCm2)} N` : 'press'}
          </span>
        </>
      ) : (
        <Button size="sm" variant="outline-primary" onClick={() => press(`hand.${part}`, 1)}>
          Press the gauge<span className="visually-hidden"> with {HAND_PART_NAMES[part]}</span>
        </Button>
      )}
      {gauge.status === 'idle' && gauge.device && <span className="soft small">by {gauge.device}</span>}
      {gauge.status === 'failed' && <span className="worse small">{gauge.failed}</span>}
    </span>
  );
}
