import { brushX, type D3BrushEvent, select } from 'd3';
import { useEffect, useId, useRef } from 'react';
import { Button } from 'react-bootstrap';
import { dayOf } from '../marks/time';
import { PLOT, timeAxis } from './time-axis';

/** Days that are looked at, ms since 1970. */
export interface Period {
  fromMs: number;
  toMs: number;
}
const HEIGHT = 44;
const DAY_MS = 86_400_000;
/** Nothing shorter is looked at. */
const LEAST_MS = 7 * DAY_MS;

const widened = ({ fromMs, toMs }: Period): Period =>
  toMs - fromMs >= LEAST_MS ? { fromMs, toMs } : { fromMs, toMs: fromMs + LEAST_MS };

/** All ratings as ticks over all days: a period is drawn over them with finger or pointer, or typed as two days. */
export function PeriodStrip({
  moments,
  period,
  timeZone,
  onChange,
}: {
  moments: readonly number[];
  /** Null = all of it. */
  period: Period | null;
  timeZone: string;
  onChange: (period: Period | null) => void;
}) {
  const id = useId();
  const ground = useRef<SVGGElement>(null);
  const axis = timeAxis(moments);
  const { fromMs, toMs } = axis;
  // The brush is the library's own drawing: it is made once for an axis and told of what was typed.
  useEffect(() => {
    const at = timeAxis([fromMs, toMs]).x;
    const brush = brushX<unknown>()
      .extent([
        [PLOT.left, 0],
        [PLOT.right, HEIGHT],
      ])
      .on('end', (event: D3BrushEvent<unknown>) => {
        if (!event.sourceEvent) return;
        const drawn = event.selection as [number, number] | null;
        onChange(drawn && widened({ fromMs: back(drawn[0]), toMs: back(drawn[1]) }));
      });
    const back = (px: number) => fromMs + ((px - at(fromMs)) / (at(toMs) - at(fromMs))) * (toMs - fromMs);
    const layer = select<SVGGElement, unknown>(ground.current!);
    layer.call(brush);
    layer.call(brush.move, period ? [at(period.fromMs), at(period.toMs)] : null);
    return () => void layer.selectAll('*').remove();
  }, [fromMs, toMs, period, onChange]);
  const shown = period ?? { fromMs, toMs };
  const typed = (which: keyof Period, day: string) => {
    const ms = Date.parse(`${day}T00:00:00Z`);
    if (Number.isNaN(ms)) return;
    const next = { ...shown, [which]: which === 'toMs' ? ms + DAY_MS : ms };
    if (next.toMs > next.fromMs) onChange(widened(next));
  };
  const day = (ms: number) => dayOf(new Date(ms).toISOString(), timeZone);
  return (
    <div className="period no-print" role="group" aria-label="Days that are shown">
      <svg viewBox={`0 0 ${PLOT.width} ${HEIGHT}`} aria-hidden="true">
        <rect className="ground" x={PLOT.left} width={PLOT.right - PLOT.left} height={HEIGHT} />
        <path className="ticks" d={moments.map((ms) => `M${axis.x(ms).toFixed(1)} 14v16`).join('')} />
        <g ref={ground} />
      </svg>
      <div className="days">
        <label htmlFor={`${id}-from`}>From</label>
        <input
          id={`${id}-from`}
          type="date"
          className="form-control form-control-sm"
          key={`from ${shown.fromMs}`}
          defaultValue={day(shown.fromMs)}
          onBlur={(e) => e.target.value !== day(shown.fromMs) && typed('fromMs', e.target.value)}
        />
        <label htmlFor={`${id}-to`}>to</label>
        <input
          id={`${id}-to`}
          type="date"
          className="form-control form-control-sm"
          key={`to ${shown.toMs}`}
          defaultValue={day(shown.toMs)}
          onBlur={(e) => e.target.value !== day(shown.toMs) && typed('toMs', e.target.value)}
        />
        {period && (
          <Button size="sm" variant="outline-primary" onClick={() => onChange(null)}>
            All days
          </Button>
        )}
      </div>
    </div>
  );
}
