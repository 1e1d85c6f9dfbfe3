import type { PadHere } from './use-pad';

/** What is read, and whether its figures are made up: it never scrolls away. */
export function SensorLine({ pad, here }: { pad: string | undefined; here: PadHere }) {
  const isStandIn = here.shape?.isStandIn ?? false;
  return (
    <p className={`pad-sensor${here.status === 'lost' ? ' is-lost' : ''}`} role="status">
      {pad === undefined ? (
        <>
          <strong className="pad-mark">No pad</strong> Name one for this application to read: a force pad that speaks
          the open line protocol.
        </>
      ) : here.status === 'opening' ? (
        <>Looking for {pad} …</>
      ) : here.status === 'lost' ? (
        <>
          <strong className="pad-mark">Pad lost</strong> {here.why} Tries so far are kept; it is asked again by itself.
        </>
      ) : isStandIn ? (
        <>
          <strong className="pad-mark">Stand-in sensor</strong> The force is made up: hold <kbd>space</kbd> or the
          button below, <kbd>↑</kbd> <kbd>↓</kbd> press harder and softer. Its scores are kept apart.
        </>
      ) : (
        <>
          <strong className="pad-mark">{here.shape?.name}</strong> reads {here.shape?.ratePerSecond} times a second.
        </>
      )}
    </p>
  );
}
