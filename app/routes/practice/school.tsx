import { Button, Form as BsForm } from 'react-bootstrap';
import { data, Form, useActionData, useRouteLoaderData } from 'react-router';
import { DATE_FORMATS } from '../../../core/record';
import { SCHOOLS } from '../../../reference/schools';
import { permitted } from '../../../server/access/session.server';
import { judgeAnew } from '../../../server/access/judge-anew.server';
import { contactOf, dateFormatOf, reviewDaysOf, schoolOf, setSchool } from '../../../server/db/queries/practice.server';
import { FieldFrame } from '../../parts/fields/field';
import { datesIn } from '../../../core/schedule';
import { FRAMES, orderWords, walkWords } from '../../parts/routine/order-words';
import { schoolSchema } from '../../schemas/practice';
import { checkForm, readForm, type FieldErrors } from '../../schemas/read';
import type { loader as frame } from './practice';
import type { Route } from './+types/school';
import { Failed } from '../../parts/frame/failed';

export async function loader({ request }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'rules');
  const [school, dateFormat, reviewDays, contact] = await Promise.all([
    schoolOf(practiceId),
    dateFormatOf(practiceId),
    reviewDaysOf(practiceId),
    contactOf(practiceId),
  ]);
  return { school, dateFormat, reviewDays, contact };
}

export async function action({ request }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'rules');
  const form = await readForm(request);
  const input = await checkForm(schoolSchema, form);
  if (!input.ok) return data({ errors: input.errors, kept: false }, { status: 422 });
  // Judged anew while the answer goes out already; whatever is left over is taken up by the upkeep of the next start.
  if (await setSchool(who, input.value)) void judgeAnew(who.practiceId);
  return { errors: {} as FieldErrors, kept: true };
}

/** A moment that tells day from month and morning from afternoon. */
const SAMPLE = '2026-11-29T14:30:00Z';

/** Which school of order new routines begin with, and how the practice writes days and times. */
export default function School({ loaderData }: Route.ComponentProps) {
  const { isOwner } = useRouteLoaderData('routes/practice/practice') as Awaited<ReturnType<typeof frame>>;
  const answered = useActionData<typeof action>();
  const told = answered?.errors.school ?? answered?.errors.dateFormat;
  const reviewTold = answered?.errors.reviewDays;
  return (
    <div className="page">
      <main>
        <div className="page-head">
          <h1>School, dates, review and contact</h1>
          <span className="soft">the order that new routines begin with; each routine can name another</span>
        </div>
        <p className="narrow soft">
          Schools of order disagree, and none is the truth. The one chosen here decides which order is asked for, never
          what is safe.
        </p>
        <Form method="post">
          <fieldset disabled={!isOwner} className="border-0 p-0 m-0 school-list">
            <legend className="visually-hidden">School of new routines</legend>
            {SCHOOLS.map((s) => (
              <div key={s.id} className="school">
                <BsForm.Check
                  type="radio"
                  name="school"
                  id={`school-${s.id}`}
                  value={s.id}
                  defaultChecked={s.id === loaderData.school}
                  label={<strong>{s.name}</strong>}
                />
                <div className="ps-4">
                  {s.differs} <span className="soft">{s.because}</span>
                  <div className="soft small">
                    {orderWords(s.order)} {FRAMES[s.frame]}
                  </div>
                  {s.walk.length > 0 && <div className="soft small">{walkWords(s.walk)}</div>}
                </div>
              </div>
            ))}
          </fieldset>
          <fieldset disabled={!isOwner} className="border-0 p-0 mt-4">
            <legend className="fs-5">Days and times</legend>
            {DATE_FORMATS.map((way) => {
              const dates = datesIn('UTC', way);
              return (
                <BsForm.Check
                  key={way}
                  type="radio"
                  name="dateFormat"
                  id={`dates-${way}`}
                  value={way}
                  defaultChecked={way === loaderData.dateFormat}
                  label={`${dates.shortDay(SAMPLE)}, ${dates.timeOfDay(SAMPLE)}`}
                />
              );
            })}
          </fieldset>
          <fieldset disabled={!isOwner} className="border-0 p-0 mt-4">
            <legend className="fs-5">Review</legend>
            <BsForm.Label htmlFor="review-days">Days of work after which a course is reviewed</BsForm.Label>
            <BsForm.Control
              id="review-days"
              name="reviewDays"
              type="number"
              className="w-auto"
              min={7}
              max={180}
              defaultValue={loaderData.reviewDays}
              isInvalid={!!reviewTold}
              aria-describedby="review-told"
            />
            <BsForm.Control.Feedback type="invalid" id="review-told">
              {reviewTold}
            </BsForm.Control.Feedback>
            <p className="soft small mb-0">
              From then on “about the same” asks to adjust the routine, after twice as long for a review.
            </p>
          </fieldset>
          <fieldset disabled={!isOwner} className="border-0 p-0 mt-4">
            <legend className="fs-5">At home</legend>
            <FieldFrame
              name="contact"
              label="How clients reach you, as it stands on home plans"
              placeholder="telephone and hours"
              maxLength={120}
              defaultValue={loaderData.contact}
              message={answered?.errors.contact}
              className="narrow"
            />
          </fieldset>
          <Failed words={told} />
          {isOwner && (
            <div className="d-flex gap-3 align-items-center mt-3">
              <Button type="submit">Keep</Button>
              <span role="status">{answered?.kept && 'Kept.'}</span>
            </div>
          )}
        </Form>
      </main>
    </div>
  );
}
