import { HAND_PART_NAMES, HAND_PARTS, type HandPart, type HandSwap } from '../../../core/proposal';
import { clockValue, type HandLine, type DaySpan } from '../../../core/schedule';
import { counted } from '../../../core/words';
import { line, scaleLinear } from 'd3';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { Link } from 'react-router';
import { send } from '../../parts/frame/send';
import { useDates } from '../../parts/frame/use-dates';

export interface Hands {
  /** Whose. */
  person: { id: string; name: string };
  lines: HandLine[];
  swap: {
    visitId: string;
    clientName: string;
    startsAt: string;
    part: HandPart;
    swaps: HandSwap[];
    pressing: number;
    before: Record<HandPart, number>;
    after: Record<HandPart, number>;
  } | null;
}
const HEIGHT = 190;
const TOP = 14;
const WIDTH = 1000;
/** Parts differ by dash and label, not by hue: thumb is drawn through, the others broken, each in its way. */
const DASH: Record<HandPart, string | undefined> = {
  thumb: undefined,
  index: '10 5',
  knuckle: '9 4 2 4',
  palm: '2 4',
  pinch: '5 3',
  tool: '1 5',
};
const percent = (share: number): number => Math.round(share * 100);

/** What the day asks of the hands, adding up on the axis of the rail, with the limit and where it is passed. */
export function HandsToday({
  hands,
  axis,
  now,
  isOwn,
  names,
  others,
  toPerson,
  onChanged,
}: {
  hands: Hands;
  axis: DaySpan;
  now: number | null;
  isOwn: boolean;
  /** Names of clients by visit. */
  names: ReadonlyMap<string, string>;
  /** Whose hands may be looked at as well. */
  others: readonly { id: string; name: string }[];
  toPerson: (id: string) => string;
  onChanged: () => void;
}) {
  const { timeOfDay } = useDates();
  const [swapped, setSwapped] = useState<Swapped | null>(null);
  const [told, setTold] = useState('');
  const putBack = async ({ visitId, part, before }: Swapped) => {
    const answer = await send(`/visits/${visitId}/swap`, { part, back: before });
    setTold(answer.ok ? '' : answer.message);
    if (!answer.ok) return;
    setSwapped(null);
    onChanged();
  };
  const used = hands.lines.filter((l) => l.total > 0.005);
  const switcher = others.length > 1 && (
    <p className="soft small">
      Hands of{' '}
      {others.map((p, i) => (
        <span key={p.id}>
          {i > 0 && ' · '}
          {p.id === hands.person.id ? (
            p.name
          ) : (
            <Link to={toPerson(p.id)} preventScrollReset>
              {p.name}
            </Link>
          )}
        </span>
      ))}
    </p>
  );
  if (!used.length) return switcher || null;
  const most = Math.max(1.15, ...used.map((l) => l.total + 0.08));
  const x = scaleLinear([axis.fromMs, axis.toMs], [0, WIDTH]);
  const y = scaleLinear([0, most], [HEIGHT, TOP]);
  const path = line<{ ms: number; share: number }>(
    (p) => x(p.ms),
    (p) => y(p.share),
  );
  const first = used.flatMap((l) => (l.passed ? [{ ...l.passed, part: l.part }] : [])).sort((a, b) => a.ms - b.ms)[0];
  const totals = used.map((l) => `${HAND_PART_NAMES[l.part]} ${percent(l.total)} %`).join(', ');
  return (
    <section className="hands-today" aria-label={isOwn ? 'Your hands' : `Hands of ${hands.person.name}`}>
      <div className="d-flex align-items-baseline gap-3 flex-wrap">
        <h2 className="h5 mb-0">{isOwn ? 'Your hands' : `Hands of ${hands.person.name}`}</h2>
        <span className="soft small">
          planned load adding up, in % of what each can hold in a day without rest.{' '}
          {isOwn && <Link to="/you/hands">Your strength</Link>}
        </span>
      </div>
      <div className="rail-axis">
        <div className="rail-name hands-scale" aria-hidden="true">
          <strong style={{ top: `${(y(1) / HEIGHT) * 100}%` }}>limit</strong>
          <span style={{ top: `${(y(0.5) / HEIGHT) * 100}%` }}>50 %</span>
          <span style={{ top: '100%' }}>0</span>
        </div>
        <div className="hands-track">
          <svg
            viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
            preserveAspectRatio="none"
            role="img"
            aria-label={`By the end of the day: ${totals}`}
          >
            <line className="grid" x1={0} x2={WIDTH} y1={y(0.5)} y2={y(0.5)} />
            <line className="base" x1={0} x2={WIDTH} y1={HEIGHT} y2={HEIGHT} />
            <line className="limit" x1={0} x2={WIDTH} y1={y(1)} y2={y(1)} />
            {now !== null && <line className="now" x1={x(now)} x2={x(now)} y1={0} y2={HEIGHT} />}
            {used.map((l) => (
              <path
                key={l.part}
                d={path(l.points) ?? ''}
                strokeDasharray={DASH[l.part]}
                className={l.passed ? 'is-passed' : l.part === 'thumb' ? 'is-thumb' : ''}
              />
            ))}
          </svg>
          {first && (
            <span
              className="hands-passed worse"
              style={{ left: `${(x(first.ms) / WIDTH) * 100}%`, top: `${(y(1) / HEIGHT) * 100}%` }}
            >
              ▲ passed {timeOfDay(new Date(first.ms).toISOString())}, {names.get(first.visitId)}
            </span>
          )}
        </div>
      </div>
      <ul className="hands-ends">
        {used
          .sort((a, b) => b.total - a.total)
          .map((l) => (
            <li key={l.part} className={l.passed ? 'worse fw-bold' : ''}>
              <svg viewBox="0 0 30 8" aria-hidden="true">
                <line x1={0} x2={30} y1={4} y2={4} strokeDasharray={DASH[l.part]} />
              </svg>
              {HAND_PART_NAMES[l.part]} {percent(l.total)} %
            </li>
          ))}
      </ul>
      {hands.swap && (
        <SwapLine
          key={hands.swap.visitId}
          swap={hands.swap}
          isOwn={isOwn}
          onSwapped={(done) => {
            setSwapped(done);
            onChanged();
          }}
        />
      )}
      {swapped && (
        <p className="mt-2" role="status">
          Swapped in the routine of {swapped.clientName}, and in no other.{' '}
          <Button variant="link" size="sm" className="p-0" onClick={() => void putBack(swapped)}>
            Put it back
          </Button>
          {told && <span className="worse"> {told}</span>}
        </p>
      )}
      {first && !hands.swap && (
        <p className="note-bar">A rest may spare the {HAND_PART_NAMES[first.part]}: no swap was found for this day.</p>
      )}
      {switcher}
    </section>
  );
}

/** A swap that was taken, and what the routine was before. */
interface Swapped {
  visitId: string;
  clientName: string;
  part: HandPart;
  before: unknown;
}

function SwapLine({
  swap,
  isOwn,
  onSwapped,
}: {
  swap: NonNullable<Hands['swap']>;
  isOwn: boolean;
  onSwapped: (swapped: Swapped) => void;
}) {
  const { timeZone } = useDates();
  const [isOpen, setOpen] = useState(false);
  const [told, setTold] = useState('');
  const name = HAND_PART_NAMES[swap.part];
  const more = HAND_PARTS.filter((p) => p !== swap.part && swap.after[p] > swap.before[p] + 0.005);
  const take = async () => {
    const answer = await send<{ before: unknown }>(`/visits/${swap.visitId}/swap`, { part: swap.part });
    setTold(answer.ok ? '' : answer.message);
    if (answer.ok)
      onSwapped({ visitId: swap.visitId, part: swap.part, clientName: swap.clientName, before: answer.value.before });
  };
  return (
    <div className="note-bar hands-swap">
      <strong>
        {swap.clientName}, {clockValue(swap.startsAt, timeZone)}:
      </strong>{' '}
      {counted(swap.swaps.length, 'change')} in the {counted(swap.pressing, 'step')} that press with{' '}
      {swap.part === 'thumb' ? 'the thumb' : name} bring it from {percent(swap.before[swap.part])} to{' '}
      {percent(swap.after[swap.part])} %
      {more.length > 0 &&
        `; ${more.map((p) => `${HAND_PART_NAMES[p]} from ${percent(swap.before[p])} to ${percent(swap.after[p])} %`).join(', ')}`}
      . A rest now may spare {isOwn ? 'your' : 'their'} hands too.{' '}
      <Button variant="link" size="sm" className="p-0" onClick={() => void take()}>
        Swap
      </Button>{' '}
      <Button variant="link" size="sm" className="p-0" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
        {isOpen ? 'Hide the steps' : 'Show the steps'}
      </Button>
      {told && (
        <div className="worse" role="alert">
          {told}
        </div>
      )}
      {isOpen && (
        <ul className="mb-0">
          {swap.swaps.map((s) => (
            <li key={s.stepId}>
              {s.name}: {s.words}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
