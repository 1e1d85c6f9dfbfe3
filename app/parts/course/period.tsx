import { brushX, type D3BrushEvent, select } from 'd3';
import { useEffect, useId, useRef } from 'react';
import { Button } from 'react-bootstrap';
import { dayOf } from '../../../core/schedule';
import { PLOT, timeAxis } from './time-axis';

/** Days that are looked at, ms since 1970. */
export interface Period {
  fromMs: number;
  toMs: number;
}
/** The same as calendar days of the practice, YYYY-MM-DD, both counted in. */
export interface Days {
  from: string;
  to: string;
}
const HEIGHT = 44;

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
  onChange: (days: Days | null) => void;
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
        onChange(drawn && { from: dayAt(back(drawn[0]), timeZone), to: dayAt(back(drawn[1]), timeZone) });
      });
    const back = (px: number) => fromMs + ((px - at(fromMs)) / (at(toMs) - at(fromMs))) * (toMs - fromMs);
    const layer = select<SVGGElement, unknown>(ground.current!);
    layer.call(brush);
    layer.call(brush.move, period ? [at(period.fromMs), at(period.toMs)] : null);
    return () => void layer.selectAll('*').remove();
  }, [fromMs, toMs, period, timeZone, onChange]);
  const shown = period ?? { fromMs, toMs };
  const days: Days = { from: dayAt(shown.fromMs, timeZone), to: dayAt(shown.toMs, timeZone) };
  const typed = (next: Days) => {
    if (next.from && next.to && (next.from !== days.from || next.to !== days.to)) onChange(next);
  };
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
          key={`from ${days.from}`}
          defaultValue={days.from}
          onBlur={(e) => typed({ ...days, from: e.target.value })}
        />
        <label htmlFor={`${id}-to`}>to</label>
        <input
          id={`${id}-to`}
          type="date"
          className="form-control form-control-sm"
          key={`to ${days.to}`}
          defaultValue={days.to}
          onBlur={(e) => typed({ ...days, to: e.target.value })}
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

const dayAt = (ms: number, timeZone: string): string => dayOf(new Date(ms).toISOString(), timeZone);
