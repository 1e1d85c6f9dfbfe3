import { trendVerdict, weeklyTrend } from '../../../core/touch';

const DAY_MS = 86_400_000;
/** The day of a moment, counted from any day. */
export const dayNumber = (at: string): number => Math.floor(new Date(at).getTime() / DAY_MS);

const signed = (share: number): string => `${share < 0 ? '−' : '+'}${Math.round(Math.abs(share) * 100)}`;
/** How a share changes over the weeks, no more than its interval holds. */
export function TrendWords({ points }: { points: readonly { day: number; value: number }[] }) {
  const trend = weeklyTrend(points);
  if (!trend) return <p className="soft small">A course is told from four days over two weeks on.</p>;
  const verdict = trendVerdict(trend);
  const span = `${signed(trend.least)} to ${signed(trend.most)} points a week`;
  return (
    <p className="small">
      {verdict === 'not-known' ? (
        <span className="soft">No change that can be told: {span}.</span>
      ) : (
        <>
          <strong>
            {verdict === 'rises' ? '▲ Rises' : '▼ Falls'} {Math.round(Math.abs(trend.value) * 100)} points a week
          </strong>{' '}
          <span className="soft">({span}).</span>
        </>
      )}
    </p>
  );
}
