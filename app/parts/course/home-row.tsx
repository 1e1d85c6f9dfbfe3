import { PLOT, type TimeAxis } from './time-axis';

export interface HomeDay {
  atMs: number;
  planned: number;
  done: number;
}

const HEIGHT = 30;
const STROKE = 2.5;

/** What was done at home on each day: tall for a run, short for one that was planned and left out. */
export function HomeRow({ axis, days, words }: { axis: TimeAxis; days: readonly HomeDay[]; words: string }) {
  if (!days.length) return null;
  return (
    <svg viewBox={`0 0 ${PLOT.width} ${HEIGHT}`} className="home-row" role="img" aria-label={`At home: ${words}`}>
      {days.flatMap((d) =>
        Array.from({ length: Math.max(d.planned, d.done) }, (_, i) => {
          const isDone = i < d.done;
          const x = axis.x(d.atMs) + (i - (Math.max(d.planned, d.done) - 1) / 2) * STROKE;
          return (
            <line
              key={`${d.atMs}-${i}`}
              className={isDone ? 'done' : 'left-out'}
              x1={x}
              x2={x}
              y1={isDone ? 4 : 17}
              y2={24}
            />
          );
        }),
      )}
      <text x={PLOT.words} y={20}>
        at home, {words}
      </text>
    </svg>
  );
}
