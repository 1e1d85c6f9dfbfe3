import type { HomeRunTold } from '../../../core/record';
import { FELT_NAMES } from '../../../core/schedule';
import { useDates } from '../../parts/frame/use-dates';

/** What clients said at home around their runs, the latest first. */
export function RunsTold({ runs }: { runs: readonly HomeRunTold[] }) {
  const { shortDay, timeOfDay } = useDates();
  if (!runs.length) return null;
  return (
    <section>
      <h3>Said at home</h3>
      <ul className="runs-told">
        {runs.map((r) => (
          <li key={r.id}>
            <span className="soft">
              {shortDay(r.at)} {timeOfDay(r.at)}
            </span>{' '}
            {[
              r.before === null && r.after === null ? '' : `${r.before ?? '–'} → ${r.after ?? '–'}`,
              r.felt.map((f) => FELT_NAMES[f]).join(', '),
              r.stopped === null ? '' : `stopped${r.stopped && `: ${r.stopped}`}`,
              r.counts ? '' : 'left early, counts as none',
            ]
              .filter(Boolean)
              .join('; ')}
            {r.note && <> “{r.note}”</>}
          </li>
        ))}
      </ul>
    </section>
  );
}
