import type { ReactNode } from 'react';
import { routineSeconds, stepsOf } from '../../../core/routine';
import { aboutMinutes, weekdayOf, type HomePacket, type HomeToday } from '../../../core/schedule';
import { counted } from '../../../core/words';
import { useDates } from '../../parts/frame/use-dates';
import { Rate } from './rate';
import { StepsToday } from './steps-today';
import { StopWords } from './stop-words';

const capital = (words: string) => words.replace(/^./, (c) => c.toUpperCase());

/** Why there is no start now. */
function whyNot(why: Exclude<HomeToday, { may: true }>['why'], packet: HomePacket, day: (d: string) => string): string {
  switch (why) {
    case 'held':
      return packet.held;
    case 'not-begun':
      return `This plan begins on ${day(packet.plan.from)}.`;
    case 'over':
      return `This plan ended on ${day(packet.plan.until)}.`;
    case 'most':
      return `${capital(counted(packet.plan.most.times, 'time'))} today is the most. Next: tomorrow.`;
  }
}

/** The day so far, the plan, one question, and the start. */
export function Before({
  secret,
  packet,
  today,
  may,
  runsToday,
  before,
  onBefore,
  draws,
  isOpen,
  isReady,
  onStart,
  sending,
}: {
  secret: string;
  packet: HomePacket;
  today: string;
  may: HomeToday;
  /** Moments of the runs of today. */
  runsToday: readonly string[];
  before: number | null;
  onBefore: (value: number | null) => void;
  draws: boolean;
  /** A run of before can be gone on with. */
  isOpen: boolean;
  /** What lies on the phone is known. */
  isReady: boolean;
  onStart: () => void;
  sending: ReactNode;
}) {
  const { timeOfDay, longDay, dayWords } = useDates();
  const { plan } = packet;
  const stops = Math.max(plan.timesADay, runsToday.length);
  const isPlanned = plan.weekdays.includes(weekdayOf(today));
  return (
    <>
      <h1>{longDay(today)}</h1>
      <ol className="stops" aria-label="Today">
        {Array.from({ length: stops }, (_, i) => {
          const at = runsToday[i];
          const isNow = !at && i === runsToday.length && may.may;
          return (
            <li key={i} className={at ? 'is-done' : isNow ? 'is-now' : ''}>
              <span className="stop-mark">{at ? '✓' : i + 1}</span>
              <span>{at ? `done ${timeOfDay(at)}` : isNow ? 'now' : 'later'}</span>
            </li>
          );
        })}
      </ol>
      <p>
        <strong>
          {runsToday.length} of {plan.timesADay} done today.
        </strong>{' '}
        {capital(counted(stepsOf(plan.routine).length, 'technique'))}, {aboutMinutes(routineSeconds(plan.routine))}. At
        most {counted(plan.most.times, 'time')} a day.{!isPlanned && ' Today none is planned.'}
      </p>
      <StepsToday packet={packet} draws={draws} />
      {may.may && packet.complaint && !isOpen && (
        <Rate question={`Your ${packet.complaint.name}: how is it now?`} value={before} onValue={onBefore} />
      )}
      <p>
        <a href={`/h/${secret}/calendar`} download>
          Put the times into your calendar
        </a>
      </p>
      <StopWords packet={packet} open={!may.may && may.why === 'held'} />
      {sending}
      <div className="at-foot">
        {may.may ? (
          <>
            <button type="button" className="main" aria-disabled={!isReady} onClick={() => isReady && onStart()}>
              {isOpen ? 'Go on where you stopped' : 'Start'}
            </button>
            {!isOpen && packet.complaint && before === null && (
              <p className="soft">No number is fine too: it stays empty.</p>
            )}
          </>
        ) : (
          <p className="no-start" role="status">
            <strong>{whyNot(may.why, packet, dayWords)}</strong>
            {may.why !== 'most' && packet.contact && ` ${packet.contact}`}
          </p>
        )}
      </div>
    </>
  );
}
