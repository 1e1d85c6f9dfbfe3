import { progressByDay } from '../../core/atlas';
import { afterAnswer, nextQuestion } from '../../core/learning';
import { otherSide, counted } from '../../core/words';
import { useCallback, useMemo, useState } from 'react';
import { Button, Form as BsForm } from 'react-bootstrap';
import { data, Link, useFetcher, useSearchParams } from 'react-router';
import type { Card } from 'ts-fsrs';
import { recordTrainerAnswer, trainerState } from '../../server/db/queries/trainer.server';
import { FaceChart } from '../parts/chart/face-chart';
import { Cross, useCross } from '../parts/chart/cross';
import { flipX, spotOf, type View } from '../parts/chart/places';
import { markSchema } from '../schemas/trainer';
import { checkForm, readForm } from '../schemas/read';
import { permitted } from '../../server/access/session.server';
import {
  judgeOnView,
  nameOfKey,
  questionPlace,
  QUESTIONS,
  SETS,
  type Answered,
  type NotCounted,
} from '../rooms/trainer/questions';
import { ProgressChart } from '../rooms/trainer/progress-chart';
import { useKeys } from '../parts/keys/use-keys';
import { dayOf } from '../../core/schedule';
import type { Route } from './+types/find-it';

export async function loader({ request }: Route.LoaderArgs) {
  const { practiceId, practitionerId, timeZone } = await permitted(request, 'see', 'atlas');
  const state = await trainerState(practiceId, practitionerId);
  return { ...state, timeZone, now: new Date().toISOString() };
}

/** The server judges the mark itself: an answer is a place on a sheet, not a grade. */
export async function action({ request }: Route.ActionArgs) {
  const { practiceId, practitionerId } = await permitted(request, 'change', 'self');
  const input = await checkForm(markSchema, await readForm(request));
  const question = input.ok ? QUESTIONS.find((q) => q.key === input.value.question) : undefined;
  if (!input.ok || !question) return data({ kept: false }, { status: 422 });
  const judged = judgeOnView(question, input.value.side, input.value.view, input.value.x, input.value.y);
  if (typeof judged === 'string') return data({ kept: false }, { status: 422 });
  const { cards } = await trainerState(practiceId, practitionerId);
  const now = new Date();
  const after = afterAnswer(
    (cards.find((c) => c.place === question.key)?.card as Card | undefined) ?? null,
    judged.grade,
    now,
  );
  await recordTrainerAnswer(
    practiceId,
    practitionerId,
    {
      place: question.key,
      at: now,
      errorMm: Math.round(judged.errorMm * 10) / 10,
      takenFor: judged.takenFor,
      grade: judged.grade,
    },
    after,
    input.value.once,
  );
  return { kept: true };
}

const NOT_COUNTED: Record<NotCounted, string> = {
  hidden: 'It cannot be seen from here. Turn the chart and mark it there; this was not counted.',
  beside: 'That is beside the body; this was not counted.',
};

export const meta = () => [{ title: 'Find it · Velvet Compass' }];

/** The chart asks, the practitioner marks, the error is told in millimetres; what was missed comes back sooner. */
export default function FindIt({ loaderData: { cards, answers, timeZone, now } }: Route.ComponentProps) {
  const [query, setQuery] = useSearchParams();
  const fetcher = useFetcher<typeof action>();
  const set = SETS.find((s) => s.id === query.get('set')) ?? SETS[0]!;
  const keys = useMemo(() => QUESTIONS.filter(set.has).map((q) => q.key), [set]);
  const due = useMemo(() => Object.fromEntries(cards.map((c) => [c.place, new Date(c.due)])), [cards]);
  const [asked, setAsked] = useState(() => nextQuestion(keys, due, new Date(now), null));
  const [askedOf, setAskedOf] = useState(set.id);
  if (askedOf !== set.id) {
    setAskedOf(set.id);
    setAsked(nextQuestion(keys, due, new Date(now), null));
  }
  const question = QUESTIONS.find((q) => q.key === asked) ?? null;
  // Sides take turns, so that neither hand is forgotten.
  const side = answers.length % 2 ? 'right' : 'left';
  const [askedSide, setAskedSide] = useState<'left' | 'right'>(side);
  const [view, setView] = useState<View>('opened');
  const [mark, setMark] = useState<{ view: View; x: number; y: number; judged: Answered } | null>(null);
  const [notCounted, setNotCounted] = useState<NotCounted | null>(null);

  const put = useCallback(
    (on: View, x: number, y: number) => {
      if (!question || mark) return;
      const judged = judgeOnView(question, askedSide, on, x, y);
      setNotCounted(typeof judged === 'string' ? judged : null);
      if (typeof judged === 'string') return;
      setMark({ view: on, x, y, judged });
      void fetcher.submit(
        { question: question.key, side: askedSide, view: on, x: String(x), y: String(y), once: crypto.randomUUID() },
        { method: 'post' },
      );
    },
    [question, mark, askedSide, fetcher],
  );
  const cross = useCross(view, true, (x, y) => put(view, x, y));
  const next = useCallback(() => {
    setMark(null);
    cross.clear();
    setNotCounted(null);
    setAskedSide(side);
    setAsked(nextQuestion(keys, due, new Date(), asked));
  }, [side, keys, due, asked, cross]);

  useKeys({ n: () => mark && next() });

  const days = progressByDay(answers, (at) => dayOf(at, timeZone));
  const dueNow = keys.filter((k) => due[k] && due[k] <= new Date(now)).length;
  const known = keys.filter((k) => due[k]).length;
  const target = question && mark ? spotOf(questionPlace(question, askedSide), mark.view) : null;
  return (
    <div className="visit-body is-page">
      <div className="chart-side">
        <FaceChart
          bare
          onView={setView}
          onPoint={put}
          over={(on, _shown, unit, mirrored) => (
            <g className="trainer-marks">
              {on === view && !mark && <Cross at={cross.at} view={on} mirrored={mirrored} unit={unit} />}
              {mark && mark.view === on && target && (
                <>
                  <line
                    x1={flipX(mark.x, mirrored, on)}
                    y1={mark.y}
                    x2={flipX(target.x, mirrored, on)}
                    y2={target.y}
                    strokeWidth={1.2 * unit}
                  />
                  <circle
                    className="given"
                    cx={flipX(mark.x, mirrored, on)}
                    cy={mark.y}
                    r={4 * unit}
                    strokeWidth={1.5 * unit}
                  />
                  <circle className="true" cx={flipX(target.x, mirrored, on)} cy={target.y} r={5 * unit} />
                </>
              )}
            </g>
          )}
        />
      </div>
      <main className="work">
        <div className="work-head">
          <h1>Find it</h1>
          <span className="soft">
            {known} of {keys.length} begun, {dueNow} due
          </span>
          <div className="end">
            <BsForm.Select
              size="sm"
              aria-label="What to practise"
              value={set.id}
              onChange={(e) => setQuery({ set: e.target.value })}
            >
              {SETS.map((s) => (
                <option key={s.id} value={s.id}>
                  {s.name}
                </option>
              ))}
            </BsForm.Select>
            <Link to="/atlas" className="btn btn-outline-primary btn-sm">
              Atlas
            </Link>
          </div>
        </div>
        {question && (
          <section className="trainer-ask" aria-live="polite">
            <p className="trainer-question">
              Mark {question.name}
              {question.paired && <span className="soft">, client’s {askedSide}</span>}
            </p>
            {notCounted && <p role="alert">{NOT_COUNTED[notCounted]}</p>}
            {mark ? (
              <>
                <p className="trainer-answer">
                  <strong className={`is-${mark.judged.grade}`}>{Math.round(mark.judged.errorMm)} mm off</strong> over
                  the skin{' '}
                  <span className="soft">
                    ({mark.judged.inches.toFixed(1)} {mark.judged.inchName})
                  </span>
                  {mark.judged.otherSide && <>; on the client’s {otherSide(askedSide)} side</>}
                  {mark.judged.takenFor && <>; nearer to {nameOfKey(mark.judged.takenFor)}</>}
                </p>
                <p>
                  {question.find} <Link to={`/atlas/${question.kind}/${question.id}`}>Open its sheet</Link>
                </p>
                <Button onClick={next} autoFocus>
                  Next (n)
                </Button>
                <span className="soft small ms-3" role="status">
                  {fetcher.state === 'idle' && fetcher.data?.kept ? 'Kept' : ''}
                </span>
                {fetcher.data && !fetcher.data.kept && <p role="alert">This answer could not be kept.</p>}
              </>
            ) : (
              <p className="soft">
                Click the place on the chart, or move the cross with the arrows (<kbd>w</kbd> <kbd>a</kbd> <kbd>s</kbd>{' '}
                <kbd>d</kbd> in long steps) and mark with <kbd>m</kbd>.
              </p>
            )}
          </section>
        )}
        <section className="section">
          <h2>Your course</h2>
          <ProgressChart days={days} />
        </section>
        <section className="section">
          <h2>Often mistaken</h2>
          <Mistaken answers={answers} />
        </section>
      </main>
    </div>
  );
}

function Mistaken({ answers }: { answers: readonly { place: string; takenFor: string | null }[] }) {
  const pairs = new Map<string, number>();
  for (const a of answers)
    if (a.takenFor) pairs.set(`${a.place} ${a.takenFor}`, (pairs.get(`${a.place} ${a.takenFor}`) ?? 0) + 1);
  const most = [...pairs].sort((a, b) => b[1] - a[1]).slice(0, 5);
  if (!most.length)
    return <p className="soft small">Nothing yet: a mark that lies nearer to a neighbour is listed here.</p>;
  return (
    <ul className="plain-list">
      {most.map(([pair, count]) => {
        const [place, other] = pair.split(' ') as [string, string];
        return (
          <li key={pair}>
            {nameOfKey(`${place}.`)} for {nameOfKey(other)} <span className="soft">{counted(count, 'time')}</span>
          </li>
        );
      })}
    </ul>
  );
}
