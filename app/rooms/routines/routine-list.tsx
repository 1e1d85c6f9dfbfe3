import { clock, COMPLAINT_NAMES, counted } from '../../../core/words';
import { Link } from 'react-router';
import { useDates } from '../../parts/frame/use-dates';
import type { RoutineRow } from '../../routes/routines';
import { StandsSeen } from '../../parts/course/stands-seen';
import { SmallRibbon } from '../../parts/ribbon/small-ribbon';

/** Every routine as a row with its ribbon, all at one scale. A touch or the arrows show it at the side, its name opens it. */
export function RoutineList({
  rows,
  scaleMinutes,
  chosen,
  onChoose,
}: {
  rows: readonly RoutineRow[];
  scaleMinutes: number;
  chosen: string | null;
  onChoose: (id: string) => void;
}) {
  const { shortDay } = useDates();
  const every = scaleMinutes > 45 ? 15 : 5;
  const ticks = Array.from({ length: Math.floor(scaleMinutes / every) + 1 }, (_, i) => i * every);
  return (
    <table className="routine-list">
      <thead>
        <tr>
          <th scope="col">Name</th>
          <th scope="col" className="time-axis">
            <span className="visually-hidden">From the first minute to the last</span>
            {ticks.slice(0, -1).map((m) => (
              <span key={m} aria-hidden="true" style={{ left: `${(m / scaleMinutes) * 100}%` }}>
                {m === ticks.at(-2) && m > 0 ? `${m} min` : m}
              </span>
            ))}
          </th>
          <th scope="col" className="text-end">
            Length
          </th>
          <th scope="col">Used</th>
          <th scope="col">Relief seen</th>
          <th scope="col" className="text-end">
            Version
          </th>
        </tr>
      </thead>
      <tbody
        onKeyDown={(e) => {
          const by = { ArrowDown: 1, ArrowUp: -1 }[e.key];
          const links = [...e.currentTarget.querySelectorAll('a')];
          const at = links.indexOf(e.target as HTMLAnchorElement);
          if (!by || at < 0) return;
          links[Math.min(Math.max(at + by, 0), links.length - 1)]?.focus();
          e.preventDefault();
        }}
      >
        {rows.map((t) => (
          <tr key={t.id} className={t.id === chosen ? 'is-chosen' : undefined} onClick={() => onChoose(t.id)}>
            <td>
              <Link to={`/routines/${t.id}`} className="fw-bold" onFocus={() => onChoose(t.id)}>
                {t.name}
              </Link>
              <div className="soft small">
                {[t.serves.map((s) => COMPLAINT_NAMES[s].toLowerCase()).join(', '), t.school]
                  .filter(Boolean)
                  .join(' · ')}
              </div>
            </td>
            <td className="ribbon-cell">
              <SmallRibbon bands={t.bands} budgetMinutes={t.budgetMinutes} scaleMinutes={scaleMinutes} />
            </td>
            <td className="num text-end">{clock(t.seconds)}</td>
            <td className="small used">
              {t.usedAt ? shortDay(t.usedAt) : 'never'}
              {t.clients > 0 && <div className="soft">{counted(t.clients, 'client')}</div>}
            </td>
            <td className="small relief-seen">
              <StandsSeen clients={t.clients} stands={t.relief} />
            </td>
            <td className="num text-end soft">{t.version}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
