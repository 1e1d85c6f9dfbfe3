import { useState, type ReactNode } from 'react';
import { FELT, type Felt } from '../../../core/record';
import { adherence, FELT_NAMES, HOME_NOTE_LETTERS, isWarning, type HomePacket } from '../../../core/schedule';
import { useDates } from '../../parts/frame/use-dates';
import { PlanDays } from '../../parts/marks/plan-days';
import { Rate } from './rate';
import { StopWords } from './stop-words';

/** After a run: how it is now, how it felt, how the plan goes, what comes next. */
export function After({
  packet,
  before,
  today,
  runDays,
  stopped,
  onClose,
  sending,
}: {
  packet: HomePacket;
  before: number | null;
  today: string;
  runDays: readonly string[];
  /** Why it was stopped; null where it was done. */
  stopped: string | null;
  onClose: (said: { value: number | null; felt: Felt[]; note: string }) => void;
  sending: ReactNode;
}) {
  const { dayWords } = useDates();
  const [value, setValue] = useState<number | null>(null);
  const [felt, setFelt] = useState<readonly Felt[]>([]);
  const [note, setNote] = useState('');
  const [says, setSays] = useState(false);
  const told = adherence(packet.plan, runDays, today);
  const asksFirst = isWarning(stopped);
  const asksMore = says || felt.includes('sore-after') || felt.includes('ache-moved');
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        onClose({ value, felt: [...felt], note: note.trim() });
      }}
    >
      <h1>{stopped === null ? 'Done' : 'Stopped'}</h1>
      {asksFirst && (
        <p className="no-start" role="status">
          <strong>
            Ask {packet.ask} before the next time{packet.contact && `: ${packet.contact}`}.
          </strong>
        </p>
      )}
      {packet.complaint && (
        <Rate
          question={`Your ${packet.complaint.name}: how is it now?`}
          value={value}
          onValue={setValue}
          was={before}
        />
      )}
      <fieldset className="felt">
        <legend>How did it feel?</legend>
        <div className="chips">
          {FELT.map((f) => (
            <button
              key={f}
              type="button"
              aria-pressed={felt.includes(f)}
              onClick={() => setFelt(felt.includes(f) ? felt.filter((x) => x !== f) : [...felt, f])}
            >
              {FELT_NAMES[f]}
            </button>
          ))}
          <button type="button" aria-expanded={asksMore} onClick={() => setSays(!says)}>
            say more
          </button>
        </div>
        {asksMore && (
          <label>
            In your words
            <textarea rows={2} maxLength={HOME_NOTE_LETTERS} value={note} onChange={(e) => setNote(e.target.value)} />
          </label>
        )}
      </fieldset>
      <p className="so-far">
        <strong>
          {told.done} of {told.due} done
        </strong>{' '}
        <span className="soft">since {dayWords(packet.plan.from)}</span>
      </p>
      <PlanDays days={told.days} today={today} />
      <dl>
        <dt>Next</dt>
        <dd>
          {today < packet.plan.until
            ? `This plan goes on until ${dayWords(packet.plan.until)}.`
            : 'This plan ends today.'}{' '}
          You look at it together on {dayWords(packet.plan.reviewOn)}.
        </dd>
      </dl>
      <StopWords packet={packet} open={asksFirst} />
      {sending}
      <div className="at-foot">
        <button type="submit" className="main">
          Close
        </button>
      </div>
    </form>
  );
}
