import { useDates } from '../frame/use-dates';

interface Day {
  day: string;
  planned: number;
  done: number;
}

/** Days of a plan as strokes: tall and filled what was done, short what was planned and left out, thin what is to come. */
export function PlanDays({ days, today }: { days: readonly Day[]; today: string }) {
  const { dayWords } = useDates();
  if (!days.length) return null;
  return (
    <ol className="plan-days" aria-label="Days of the plan">
      {days.map(({ day, planned, done }) => (
        <li key={day} className={day === today ? 'is-today' : undefined}>
          <span className="visually-hidden">
            {dayWords(day)}: {day < today || done > 0 ? `${done} of ${planned} done` : `${planned} planned`}
          </span>
          <svg width={planned * 6 + 2} height={22} aria-hidden="true">
            {Array.from({ length: planned }, (_, i) => (
              <line
                key={i}
                className={i < done ? 'done' : day < today ? 'left-out' : 'ahead'}
                x1={i * 6 + 3}
                x2={i * 6 + 3}
                y1={i < done ? 2 : day < today ? 15 : 6}
                y2={20}
              />
            ))}
          </svg>
          <small aria-hidden="true">{Number(day.slice(8))}</small>
        </li>
      ))}
    </ol>
  );
}
