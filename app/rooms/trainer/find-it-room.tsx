import { progressByDay } from '../../../core/atlas';
import { nextQuestion } from '../../../core/learning';
import { dayOf } from '../../../core/schedule';
import { clock, type OneSide } from '../../../core/words';
import { useCallback, useMemo, useState } from 'react';
import { Button, Form as BsForm } from 'react-bootstrap';
import { Link, useFetcher, useSearchParams, useSubmit } from 'react-router';
import { Cross, useCross } from '../../parts/chart/cross';
import { FaceChart } from '../../parts/chart/face-chart';
import { useFibres } from '../../parts/chart/fibres';
import { flipX, type View } from '../../parts/chart/places';
import { useKeys } from '../../parts/keys/use-keys';
import { Mistaken } from './mistaken';
import { ProgressChart } from './progress-chart';
import { judgeOnView, QUESTIONS, SETS, type Answered, type NotCounted } from './questions';
import { TrainerAnswer } from './trainer-answer';
import { ROUND_PLACES, roundSums, useRound } from './use-round';

export interface TrainerData {
  cards: { place: string; due: string }[];
  answers: { place: string; at: string; errorMm: number | null; takenFor: string | null; tookMs: number | null }[];
  timeZone: string;
  now: string;
}
const NOT_COUNTED: Record<NotCounted, string> = {
  hidden: 'It cannot be seen from here. Turn the chart and mark it there; this was not counted.',
  beside: 'That is beside the body; this was not counted.',
};

/** The chart asks, the practitioner marks, the error is told in millimetres; what was missed comes back sooner. */
export function FindItRoom({ cards, answers, timeZone, now }: TrainerData) {
  const [query, setQuery] = useSearchParams();
  const submit = useSubmit();
  /** Every answer goes its own way: one that is still under way is not broken off by the next. */
  const [sent, setSent] = useState('none');
  const fetcher = useFetcher<{ kept: boolean }>({ key: sent });
  const set = SETS.find((s) => s.id === query.get('set')) ?? SETS[0]!;
  const keys = useMemo(() => QUESTIONS.filter(set.has).map((q) => q.key), [set]);
  const due = useMemo(() => Object.fromEntries(cards.map((c) => [c.place, new Date(c.due)])), [cards]);
  const [asked, setAsked] = useState(() => nextQuestion(keys, due, new Date(now), null));
  const [askedOf, setAskedOf] = useState(set.id);
  const round = useRound();
  if (askedOf !== set.id) {
    setAskedOf(set.id);
    setAsked(nextQuestion(keys, due, new Date(now), null));
  }
  const question = QUESTIONS.find((q) => q.key === asked) ?? null;
  // Sides take turns, so that neither hand is forgotten.
  const side: OneSide = answers.length % 2 ? 'right' : 'left';
  const [askedSide, setAskedSide] = useState<OneSide>(side);
  const [view, setView] = useState<View>('opened');
  const [mark, setMark] = useState<{ view: View; x: number; y: number; judged: Answered } | null>(null);
  const [notCounted, setNotCounted] = useState<NotCounted | null>(null);
  const [askedAt, setAskedAt] = useState(0);
  const outlines = useFibres(question?.kind === 'edge');
  const isWaiting = question?.kind === 'edge' && !Object.keys(outlines).length;

  const put = (on: View, x: number, y: number) => {
    if (!question || mark || isWaiting) return;
    const judged = judgeOnView(question, askedSide, on, x, y, outlines);
    setNotCounted(typeof judged === 'string' ? judged : null);
    if (typeof judged === 'string') return;
    setMark({ view: on, x, y, judged });
    const tookMs = Math.round(performance.now() - askedAt);
    if (round.isRunning) round.note({ errorMm: judged.errorMm, tookMs });
    const of = { question: question.key, side: askedSide, view: on, x: String(x), y: String(y) };
    const once = crypto.randomUUID();
    setSent(once);
    void submit(
      { ...of, ...(round.isRunning ? { tookMs: String(tookMs) } : {}), once },
      { method: 'post', navigate: false, fetcherKey: once },
    );
  };
  const cross = useCross(view, true, (x, y) => put(view, x, y));
  const ask = useCallback(() => {
    setMark(null);
    cross.clear();
    setNotCounted(null);
    setAskedSide(side);
    setAsked(nextQuestion(keys, due, new Date(), asked));
    setAskedAt(performance.now());
  }, [side, keys, due, asked, cross]);
  const next = () => {
    if (round.round?.isOver) round.end();
    ask();
  };
  const begin = () => {
    round.begin();
    ask();
  };
  useKeys({ n: () => mark && next(), t: () => !round.isRunning && begin() });

  const days = progressByDay(answers, (at) => dayOf(at, timeZone));
  const dueNow = keys.filter((k) => due[k] && due[k] <= new Date(now)).length;
  const known = keys.filter((k) => due[k]).length;
  const sums = round.round && roundSums(round.round);
  const timed = answers.flatMap((a) => a.tookMs ?? []).slice(-ROUND_PLACES);
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
              {mark && mark.view === on && <TrainerMarks mark={mark} unit={unit} at={(x) => flipX(x, mirrored, on)} />}
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
          <div className="end flex-wrap">
            <BsForm.Select
              size="sm"
              aria-label="What to practise"
              value={set.id}
              disabled={round.isRunning}
              onChange={(e) => setQuery({ set: e.target.value })}
            >
              {SETS.map((s) => (
                <option key={s.id} value={s.id}>
                  {s.name}
                </option>
              ))}
            </BsForm.Select>
            <Button
              size="sm"
              variant="outline-primary"
              className="text-nowrap"
              onClick={round.isRunning ? round.end : begin}
            >
              {round.isRunning ? 'End the round' : 'Against the clock (t)'}
            </Button>
            <Link to="/atlas" className="btn btn-outline-primary btn-sm">
              Atlas
            </Link>
          </div>
        </div>
        {round.round && (
          <p role="status" className="trainer-round">
            <strong>
              {round.round.isOver
                ? 'Round over'
                : `${Math.min(ROUND_PLACES, round.round.answers.length + (mark ? 0 : 1))} of ${ROUND_PLACES}`}
            </strong>
            {sums && (
              <>
                : {sums.seconds < 60 ? `${sums.seconds.toFixed(1)} s` : clock(sums.seconds)}, median{' '}
                {sums.medianMm.toFixed(0)} mm off
              </>
            )}
          </p>
        )}
        {question && (
          <section className="trainer-ask" aria-live="polite">
            <p className="trainer-question">
              Mark {question.name}
              {question.paired && <span className="soft">, client’s {askedSide}</span>}
            </p>
            {notCounted && <p role="alert">{NOT_COUNTED[notCounted]}</p>}
            {mark ? (
              <>
                <TrainerAnswer question={question} side={askedSide} judged={mark.judged} />
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
          {timed.length > 0 && (
            <p className="soft small">
              Against the clock, the last {timed.length}:{' '}
              {(timed.reduce((sum, ms) => sum + ms, 0) / timed.length / 1000).toFixed(1)} s a place.
            </p>
          )}
        </section>
        <section className="section">
          <h2>Often mistaken</h2>
          <Mistaken answers={answers} />
        </section>
      </main>
    </div>
  );
}

/** The mark, the place, and the way between them. */
function TrainerMarks({
  mark: { x, y, judged },
  unit,
  at,
}: {
  mark: { x: number; y: number; judged: Answered };
  unit: number;
  at: (x: number) => number;
}) {
  const { target } = judged;
  return (
    <>
      <line x1={at(x)} y1={y} x2={at(target.x)} y2={target.y} strokeWidth={1.2 * unit} />
      <circle className="given" cx={at(x)} cy={y} r={4 * unit} strokeWidth={1.5 * unit} />
      <circle className="true" cx={at(target.x)} cy={target.y} r={5 * unit} />
    </>
  );
}
