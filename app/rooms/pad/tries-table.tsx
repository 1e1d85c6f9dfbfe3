import {
  handsVerdict,
  harderBy,
  padStanding,
  scoreTry,
  type KeptScore,
  type Estimated,
  type KeptTry,
  type PadCheck,
  type TryPlan,
  type TryScore,
} from '../../../core/touch';
import { useEffect, useState } from 'react';
import { useDates } from '../../parts/frame/use-dates';
import type { useTry } from './use-try';

const SHOWN = 6;
const LOOK_EVERY_MS = 400;
const signed = (value: number, digits: number): string => `${value < 0 ? '−' : '+'}${Math.abs(value).toFixed(digits)}`;
const orNone = (value: number | null, words: (value: number) => string): string =>
  value === null ? '–' : words(value);

type Figures = Omit<TryScore, 'presses'> & Pick<KeptScore, 'beatPerMinute'>;
/** The try under way and those before it. */
export function TriesTable({
  tries,
  run,
  plan,
  checks,
  isHidden,
}: {
  tries: readonly KeptTry[];
  run: ReturnType<typeof useTry>;
  plan: TryPlan;
  /** Of the pad that is read, newest first. */
  checks: readonly PadCheck[];
  isHidden: boolean;
}) {
  const { shortDay, timeOfDay } = useDates();
  const [score, setScore] = useState<TryScore | null>(null);
  const running = run.status === 'running';
  useEffect(() => {
    if (!running) return;
    const timer = setInterval(() => {
      const { trace, ms } = run.now.current;
      setScore(scoreTry(trace, plan, ms));
    }, LOOK_EVERY_MS);
    return () => clearInterval(timer);
  }, [running, run.now, plan]);
  const cells = (of: Figures, presses: number, asked: number, isMarked = false) => (
    <>
      <td className="num">
        {presses} of {asked}
      </td>
      <td className="num">{orNone(of.inAimShare, (v) => `${isMarked ? '≈ ' : ''}${Math.round(v * 100)} %`)}</td>
      <td className="num">{orNone(of.meanKpa, (v) => v.toFixed(v < 10 ? 1 : 0))}</td>
      <td className="num">{orNone(of.wobbleKpa, (v) => v.toFixed(1))}</td>
      <td className="num">{orNone(of.offBeatS, (v) => `${signed(v, 2)} s`)}</td>
      <td className="num">{orNone(of.beatPerMinute ?? null, (v) => v.toFixed(0))}</td>
    </>
  );
  const latest = tries.slice(-SHOWN).toReversed();
  const hasWay = latest.some((t) => t.score.stroke ?? t.score.rounds ?? t.score.leftShare);
  /** Whether the pad could be relied on when it was tried; another pad's checks are not known here. */
  const marked = (t: KeptTry) =>
    checks[0]?.sensor === t.sensor && padStanding(checks.find((c) => c.at <= t.at) ?? null, new Date(t.at)) !== 'good';
  return (
    <>
      <table className="pad-tries">
        <thead>
          <tr>
            <th scope="col">Tries</th>
            <th scope="col">Presses</th>
            <th scope="col">In the aim</th>
            <th scope="col">Mean, kPa</th>
            <th scope="col">Wobble, ± kPa</th>
            <th scope="col">Off the beat</th>
            <th scope="col" className="num">
              A minute
            </th>
            {hasWay && <th scope="col">Way</th>}
          </tr>
        </thead>
        <tbody>
          {running && (
            <tr className="is-now">
              <th scope="row">now</th>
              {score && !isHidden ? cells(score, score.presses.length, plan.wanted.length) : <td colSpan={6}>–</td>}
              {hasWay && <td />}
            </tr>
          )}
          {latest.map((t) => (
            <tr key={t.id}>
              <th scope="row">
                {shortDay(t.at)}, {timeOfDay(t.at)}
                {t.isBlind && <span className="soft small"> blind</span>}
              </th>
              {cells(t.score, t.score.pressesKpa.length, t.score.asked, marked(t))}
              {hasWay && <td>{wayWords(t.score)}</td>}
            </tr>
          ))}
        </tbody>
      </table>
      {!latest.length && <p className="soft small">No tries of this yet.</p>}
      {latest[0] && <p className="soft small">{fullWords(latest[0].score)}</p>}
      {latest.some(marked) && (
        <p className="soft small">≈ the pad had not been checked for 30 days, or was off by more than 5 %.</p>
      )}
      {latest[0] && latest[0].score.lostMs > 200 && (
        <p className="soft small">
          {(latest[0].score.lostMs / 1000).toFixed(1)} s of the last try were not read and count neither way.
        </p>
      )}
    </>
  );
}

/** What else is told of the last try: how quickly it rose, and how the presses followed each other. */
function fullWords({ riseKpaPerSecond, tempoError }: KeptScore): string {
  const rise = riseKpaPerSecond === null ? null : `rose ${Math.round(riseKpaPerSecond)} kPa a second`;
  const percent = tempoError === null ? 0 : Math.round(Math.abs(tempoError) * 100);
  const tempo =
    tempoError === null
      ? null
      : percent === 0
        ? 'in the tempo that was asked'
        : `${percent} % ${tempoError > 0 ? 'quicker' : 'slower'} than asked`;
  const words = [rise, tempo].filter(Boolean).join(', ');
  return words && `Last try: ${words}.`;
}
/** How evenly both hands of the one who presses worked. */
function handsWords(share: Estimated | null): string {
  const verdict = handsVerdict(share);
  if (!share || verdict === 'not-known') return 'hands: not to be told';
  const by = `${Math.round(100 * harderBy(share.value))} %`;
  return verdict === 'even' ? `hands even, within ${by}` : `your ${verdict} hand ${by} harder`;
}
/** Ways over the pad as the one who presses sees them, each 45° on, from 0° to the right. */
const WAYS = [
  'to the right',
  'away to the right',
  'away',
  'away to the left',
  'to the left',
  'near to the left',
  'near',
  'near to the right',
];
/** What is told of a way: how straight a stroke was, or how round and which way a circle. */
function wayWords({ stroke, rounds, leftShare }: KeptScore): string {
  if (leftShare !== undefined) return handsWords(leftShare);
  if (stroke)
    return `${Math.round(stroke.lengthMm)} mm ${WAYS[Math.round(stroke.directionDegrees / 45) % 8]}, ${stroke.offLineMm.toFixed(1)} mm off its line`;
  if (!rounds) return '';
  return `${rounds.rounds.toFixed(0)} rounds ${rounds.isClockwise ? 'clockwise' : 'anticlockwise'}, ${Math.round(rounds.perMinute)} a minute`;
}
