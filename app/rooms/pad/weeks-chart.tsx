import { padWeeks, type KeptTry } from '../../../core/touch';
import { counted } from '../../../core/words';
import { line, scaleLinear, scalePoint } from 'd3';
import { dayNumber, TrendWords } from './trend-words';
import { useDates } from '../../parts/frame/use-dates';

const [WIDTH, HEIGHT, LEFT, BOTTOM] = [278, 130, 34, 24];

/** Time in the aim by week: middle of the tries with the half of them around it. */
export function WeeksChart({ tries, mondays }: { tries: readonly KeptTry[]; mondays: Record<string, string> }) {
  const { dayWords } = useDates();
  const weeks = padWeeks(tries, (at) => mondays[at]!).slice(-10);
  const last = weeks.at(-1);
  if (!last)
    return (
      <>
        <h2>Time in the aim, by week</h2>
        <p className="soft small">The first try begins the line.</p>
      </>
    );
  const x = scalePoint(
    weeks.map((w) => w.monday),
    [LEFT + 12, WIDTH - 52],
  );
  const y = scaleLinear([0, 1], [HEIGHT - BOTTOM, 8]);
  const percent = (share: number) => `${Math.round(share * 100)} %`;
  return (
    <>
      <h2>Time in the aim, by week</h2>
      <svg
        className="pad-weeks"
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        role="img"
        aria-label={weeks
          .map((w) => `week of ${dayWords(w.monday)}: ${percent(w.median)}, ${counted(w.tries, 'try', 'tries')}`)
          .join('; ')}
      >
        {[0, 0.5, 1].map((share) => (
          <g key={share}>
            <line className="grid" x1={LEFT} x2={WIDTH - 40} y1={y(share)} y2={y(share)} />
            <text x={LEFT - 6} y={y(share)} textAnchor="end" dominantBaseline="middle">
              {share * 100}
            </text>
          </g>
        ))}
        <path
          d={
            line<(typeof weeks)[number]>(
              (w) => x(w.monday)!,
              (w) => y(w.median),
            )(weeks) ?? ''
          }
        />
        {weeks.map((w) => (
          <g key={w.monday} transform={`translate(${x(w.monday)!},0)`}>
            <line className="half" y1={y(w.lower)} y2={y(w.upper)} />
            <rect x={-4} y={y(w.median) - 4} width={8} height={8} />
          </g>
        ))}
        <text className="value" x={x(last.monday)! + 12} y={y(last.median)} dominantBaseline="middle">
          {percent(last.median)}
        </text>
        <text x={x(weeks[0]!.monday)!} y={HEIGHT - 6} textAnchor="start">
          {dayWords(weeks[0]!.monday)}
        </text>
        {weeks.length > 2 && (
          <text x={x(last.monday)! + 12} y={HEIGHT - 6} textAnchor="end">
            {dayWords(last.monday)}
          </text>
        )}
      </svg>
      <p className="soft small">Your tries of this technique; bars hold half of a week’s tries.</p>
      <TrendWords
        points={tries.flatMap(({ at, score }) =>
          score.inAimShare === null ? [] : [{ day: dayNumber(at), value: score.inAimShare }],
        )}
      />
    </>
  );
}
