import { useState } from 'react';
import { type Answer, isYes, sideOf } from '../../../core/limits';
import { type BeforePacket, beforePages, type BeforeQuestion } from '../../../core/schedule';
import { counted } from '../../../core/words';
import { EMERGENCY } from '../../../reference/facts/at-home';
import { useDates } from '../../parts/frame/use-dates';
import { dayOf } from '../../../core/schedule';
import { NotInUse } from './not-in-use';
import { PhoneHead } from './phone-head';
import { Rate } from './rate';
import { useBefore } from './use-before';

const newBase = () => ({ id: crypto.randomUUID(), at: new Date().toISOString() });

/** Before a first visit: a number on each of a few days, and what hands must know before they begin. */
export function BeforeVisit({ secret, packet }: { secret: string; packet: BeforePacket }) {
  const { visit } = packet;
  const { longDay, timeOfDay } = useDates();
  const before = useBefore(secret, visit.id);
  const [asks, setAsks] = useState(false);
  const { draft } = before;
  if (before.gone) return <NotInUse practice={packet.practice} contact={packet.contact} />;
  return (
    <main className="phone">
      <PhoneHead packet={packet} />
      {asks ? (
        <Questions packet={packet} before={before} onLeave={() => setAsks(false)} />
      ) : (
        <>
          <h1>Before your first visit</h1>
          <p>
            {longDay(dayOf(visit.startsAt, packet.zone))}, {timeOfDay(visit.startsAt)}, {visit.minutes} minutes with{' '}
            {packet.ask}.
          </p>
          <p>
            <a href={`/h/${secret}/calendar`} download>
              Put it into your calendar
            </a>
          </p>
          <Numbers packet={packet} before={before} />
          <section>
            <h2>Questions for {packet.ask}</h2>
            <p>
              What hands must know before they begin:{' '}
              {counted(packet.questions.filter((q) => !q.after).length, 'short question')}, most of them a no.{' '}
              {packet.ask} asks them again with you. You may leave any of them open.
            </p>
            <p className="soft">
              Your answers go to {packet.practice} alone; they cannot be read back through this link.
            </p>
          </section>
          <p className="sending" role="status">
            {draft && sendingWords(draft, timeOfDay)}
          </p>
          <div className="at-foot">
            <button type="button" className="main" aria-disabled={!draft} onClick={() => draft && setAsks(true)}>
              {draft?.finished
                ? 'Answer again'
                : Object.keys(draft?.answers ?? {}).length
                  ? 'Go on with the questions'
                  : 'Answer the questions'}
            </button>
          </div>
        </>
      )}
    </main>
  );
}

function sendingWords(
  { unsent, sentAt, refused }: { unsent: readonly unknown[]; sentAt: string | null; refused: boolean },
  timeOfDay: (at: string) => string,
): string {
  if (unsent.length) return 'Kept on this phone, will be sent when there is a connection.';
  if (refused)
    return 'Some answers could not be taken: the questions have changed. Open this page anew and answer again.';
  return sentAt ? `Sent ${timeOfDay(sentAt)}.` : '';
}

type BeforeState = ReturnType<typeof useBefore>;

/** One number a day for each complaint, on a few different days. */
function Numbers({ packet, before: { draft, keep } }: { packet: BeforePacket; before: BeforeState }) {
  const { dayWords } = useDates();
  const [values, setValues] = useState<Record<string, number | null>>({});
  const today = dayOf(new Date().toISOString(), packet.zone);
  const days = [...new Set([...packet.ratedOn, ...(draft?.ratedOn ? [draft.ratedOn] : [])])].sort();
  const ratedToday = days.includes(today);
  const given = packet.complaints.filter((c) => typeof values[c.id] === 'number');
  if (!packet.complaints.length) return null;
  return (
    <section aria-labelledby="numbers">
      <h2 id="numbers">{counted(packet.ratingsAsked, 'number')}, on different days</h2>
      <ol className="stops" aria-label="Days">
        {Array.from({ length: Math.max(packet.ratingsAsked, days.length) }, (_, i) => (
          <li key={i} className={days[i] ? 'is-done' : i === days.length && !ratedToday ? 'is-now' : ''}>
            <span className="stop-mark">{days[i] ? '✓' : i + 1}</span>
            <span>{days[i] ? dayWords(days[i]) : i === days.length && !ratedToday ? 'today' : 'later'}</span>
          </li>
        ))}
      </ol>
      {ratedToday ? (
        <p>
          Today’s is kept. {days.length < packet.ratingsAsked ? 'Open this again tomorrow.' : 'That is all of them.'}
        </p>
      ) : (
        <>
          {packet.complaints.map((c) => (
            <Rate
              key={c.id}
              question={`Your ${c.name}: how is it now?`}
              value={values[c.id] ?? null}
              onValue={(value) => setValues({ ...values, [c.id]: value })}
            />
          ))}
          <button
            type="button"
            className="wide-button"
            aria-disabled={!given.length || !draft}
            onClick={() =>
              given.length &&
              keep(
                given.map((c) => ({ ...newBase(), kind: 'rating', complaintId: c.id, value: values[c.id]! })),
                { ratedOn: today },
              )
            }
          >
            {given.length > 1 ? 'Keep today’s numbers' : 'Keep today’s number'}
          </button>
        </>
      )}
    </section>
  );
}

const CHOICES: readonly [Answer, string][] = [
  ['no', 'No'],
  ['yes', 'Yes'],
  ['unsure', 'Not sure'],
];
const SIDES: readonly [Answer, string][] = [
  ['left', 'My left'],
  ['right', 'My right'],
  ['yes', 'Both'],
];

/** The questions, a few at a time; each page is sent as it is left. */
function Questions({
  packet,
  before: { draft, answer, keep },
  onLeave,
}: {
  packet: BeforePacket;
  before: BeforeState;
  onLeave: () => void;
}) {
  const said = draft?.answers ?? {};
  const pages = beforePages(packet.questions, said);
  const [page, setPage] = useState(0);
  const questions = pages[page] ?? [];
  const open = questions.filter((q) => said[q.key] === undefined);
  const isLast = page === pages.length - 1;
  const send = (answers: typeof said) => {
    const told = Object.fromEntries(questions.flatMap((q) => (answers[q.key] ? [[q.key, answers[q.key]!]] : [])));
    keep(
      Object.keys(told).length ? [{ ...newBase(), kind: 'answers', answers: told }] : [],
      isLast ? { finished: true } : {},
    );
  };
  const go = (to: number) => {
    setPage(to);
    window.scrollTo(0, 0);
  };
  const onward = () => {
    send(said);
    if (isLast) onLeave();
    else go(page + 1);
  };
  return (
    <form
      className="flags"
      onSubmit={(e) => {
        e.preventDefault();
        onward();
      }}
    >
      <h1>{questions[0]?.isRedFlag ? 'Is any of this so?' : 'What stands'}</h1>
      <p className="soft">
        Page {page + 1} of {pages.length}
      </p>
      {questions.map((q) => (
        <Question
          key={q.key}
          question={q}
          packet={packet}
          value={said[q.key]}
          onAnswer={(a) => answer({ [q.key]: a })}
        />
      ))}
      {questions.some((q) => q.isRedFlag) && <p className="soft">{EMERGENCY}</p>}
      {open.length > 1 && (
        <button
          type="button"
          className="wide-button"
          onClick={() => answer(Object.fromEntries(open.map((q) => [q.key, 'no'])))}
        >
          No to the {open.length} that are open here
        </button>
      )}
      <div className="at-foot two">
        <button type="button" onClick={() => (page ? go(page - 1) : onLeave())}>
          Back
        </button>
        <button type="submit" className="main">
          {isLast ? 'Done' : open.length ? `Go on, ${open.length} open` : 'Go on'}
        </button>
      </div>
    </form>
  );
}

function Question({
  question: { key, words, sided, isRedFlag, seeWho },
  packet: { ask, contact },
  value,
  onAnswer,
}: {
  question: BeforeQuestion;
  packet: BeforePacket;
  value: Answer | undefined;
  onAnswer: (answer: Answer) => void;
}) {
  const isSided = sideOf(value) !== null;
  return (
    <fieldset>
      <legend>{words}</legend>
      <div className="three">
        {CHOICES.map(([a, word]) => (
          <button
            key={a}
            type="button"
            aria-pressed={value === a || (a === 'yes' && isSided)}
            onClick={() => onAnswer(a)}
          >
            {word}
          </button>
        ))}
      </div>
      {sided && isYes(value) && value !== 'unsure' && (
        <div className="three which" role="group" aria-label={`Which side: ${key}`}>
          {SIDES.map(([a, word]) => (
            <button key={a} type="button" aria-pressed={value === a} onClick={() => onAnswer(a)}>
              {word}
            </button>
          ))}
        </div>
      )}
      {isRedFlag && isYes(value) && (
        <div className="no-start" role="status">
          <strong>This belongs to a doctor first.</strong> {seeWho} {ask} is told
          {contact && `; you can call ${contact}`}.
        </div>
      )}
    </fieldset>
  );
}
