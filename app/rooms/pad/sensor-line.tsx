import { offShare, padStanding, type PadCheck } from '../../../core/touch';
import { Link } from 'react-router';
import { useDates } from '../../parts/frame/use-dates';
import { usePadHere } from './pad-link';

/** What is read, whether its figures are made up, and how it stood against weights: it never scrolls away. */
export function SensorLine({ checks, now }: { checks: readonly PadCheck[]; now: string }) {
  const { pad, here, isStandIn } = usePadHere();
  return (
    <section className={`pad-sensor${here.status === 'lost' ? ' is-lost' : ''}`} aria-label="The pad">
      <p role="status">
        {pad === undefined ? (
          <>
            <strong className="pad-mark">No pad</strong> Name one for this application to read: a force pad that speaks
            the open line protocol.
          </>
        ) : here.status === 'opening' ? (
          <>Looking for {pad} …</>
        ) : here.status === 'lost' ? (
          <>
            <strong className="pad-mark">Pad lost</strong> {here.why} Tries so far are kept; it is asked again by
            itself.
          </>
        ) : isStandIn ? (
          <>
            <strong className="pad-mark">Stand-in sensor</strong> The force is made up, and its scores are kept apart.
          </>
        ) : (
          <>
            <strong className="pad-mark">{here.shape?.name}</strong> reads {here.shape?.ratePerSecond} times a second.
          </>
        )}
      </p>
      {here.status === 'here' && <LastCheck check={checks[0] ?? null} now={now} />}
    </section>
  );
}

function LastCheck({ check, now }: { check: PadCheck | null; now: string }) {
  const { shortDay } = useDates();
  const standing = padStanding(check, new Date(now));
  // The weight in the middle stands for what presses on a face.
  const told = check?.weights[check.weights.length >> 1];
  const off = told && offShare(told) * 100;
  return (
    <p className="pad-checked">
      {standing !== 'good' && (
        <strong className="worse">
          {standing === 'never'
            ? 'Never checked. '
            : standing === 'old'
              ? 'Not checked for 30 days. '
              : 'Off by more than 5 %. '}
        </strong>
      )}
      {check && told && (
        <>
          Checked {shortDay(check.at)}: {told.grams} g read {told.readN.toFixed(2)} N, {off! < 0 ? '−' : '+'}
          {Math.abs(off!).toFixed(1)} %{' '}
        </>
      )}
      <Link to="/pad/check">{check ? 'Check again' : 'Check it'}</Link>
    </p>
  );
}
