import type { TrainerDay } from '../../../core/atlas';
import { line, max, scaleLinear, scalePoint } from 'd3';
import { useDates } from '../../parts/frame/use-dates';

const WIDTH = 520;
const HEIGHT = 130;
const LEFT = 52;
const BOTTOM = 22;

/** Median error by day, with how many places were asked as posts below it. */
export function ProgressChart({ days }: { days: readonly TrainerDay[] }) {
  const { dayWords } = useDates();
  const shown = days.slice(-30);
  if (shown.length < 2)
    return (
      <p className="soft small">
        After two days the course of your error stands here
        {shown[0] ? `: ${shown[0].asked} asked today, median error ${Math.round(shown[0].medianErrorMm ?? 0)} mm` : ''}.
      </p>
    );
  const x = scalePoint(
    shown.map((d) => d.day),
    [LEFT + 8, WIDTH - 12],
  );
  const y = scaleLinear([0, Math.max(12, max(shown, (d) => d.medianErrorMm ?? 0) ?? 12)], [HEIGHT - BOTTOM, 10]).nice();
  const withError = shown.filter((d): d is TrainerDay & { medianErrorMm: number } => d.medianErrorMm !== null);
  const path = line<(typeof withError)[number]>(
    (d) => x(d.day)!,
    (d) => y(d.medianErrorMm),
  );
  const last = shown[shown.length - 1]!;
  return (
    <figure className="trainer-progress">
      <figcaption>
        Median error{' '}
        {withError.length > 1
          ? `${Math.round(withError[0]!.medianErrorMm)} → ${Math.round(withError[withError.length - 1]!.medianErrorMm)} mm`
          : ''}{' '}
        over {shown.length} days
      </figcaption>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        role="img"
        aria-label={`Median error by day in mm: ${withError.map((d) => `${dayWords(d.day)} ${Math.round(d.medianErrorMm)}`).join(', ')}`}
      >
        {y.ticks(3).map((t) => (
          <g key={t}>
            <line className="grid" x1={LEFT} x2={WIDTH} y1={y(t)} y2={y(t)} />
            <text x={LEFT - 5} y={y(t)} textAnchor="end" dominantBaseline="middle">
              {t} mm
            </text>
          </g>
        ))}
        <path className="course-line" d={path(withError) ?? ''} />
        {withError.map((d) => (
          <circle key={d.day} cx={x(d.day)} cy={y(d.medianErrorMm)} r="3">
            <title>{`${dayWords(d.day)}: ${d.asked} asked, median ${Math.round(d.medianErrorMm)} mm`}</title>
          </circle>
        ))}
        <text x={x(shown[0]!.day)} y={HEIGHT - 6}>
          {dayWords(shown[0]!.day)}
        </text>
        <text x={x(last.day)} y={HEIGHT - 6} textAnchor="end">
          {dayWords(last.day)}
        </text>
      </svg>
    </figure>
  );
}
