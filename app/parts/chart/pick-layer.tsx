import { useMemo, useRef, useState } from 'react';
import { placeKey, type Place, type Shown } from './places';

export interface Pickable {
  place: Place;
  name: string;
  /** Said after the name, for example the value it has now. */
  state?: string;
  /** Off limits today. */
  off?: boolean;
  /** A second line under the name. */
  more?: string;
}

const STEPS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/**
 * Places that can be picked with the pointer or from the keyboard: one stop for Tab, arrows go to the nearest place
 * in their direction, Enter picks, other keys are handed on. Names show on hover and focus.
 */
export function PickLayer({
  shown: spotOf,
  sheetWidth,
  unit,
  pickables,
  onPick,
  onKey,
}: {
  shown: Shown;
  sheetWidth: number;
  /** Sheet px per px on the screen. */ unit: number;
  pickables: readonly Pickable[];
  onPick: (place: Place) => void;
  onKey?: (place: Place, key: string) => boolean;
}) {
  const group = useRef<SVGGElement>(null);
  const [named, setNamed] = useState<string | null>(null);
  const [stop, setStop] = useState<string | null>(null);
  const spots = useMemo(
    () =>
      pickables.flatMap((p) => {
        const spot = spotOf(p.place);
        return spot ? [{ ...p, key: placeKey(p.place), ...spot }] : [];
      }),
    [pickables, spotOf],
  );
  const reaches = useMemo(() => reachOf(spots, 12 * unit), [spots, unit]);
  const entry = spots.some((s) => s.key === stop) ? stop : (spots[0]?.key ?? null);
  const shown = spots.find((s) => s.key === named);

  const go = (from: (typeof spots)[number], [dx, dy]: [number, number]) => {
    const ahead = spots
      .filter((s) => s.key !== from.key)
      .map((s) => ({
        s,
        along: (s.x - from.x) * dx + (s.y - from.y) * dy,
        aside: Math.abs((s.x - from.x) * dy) + Math.abs((s.y - from.y) * dx),
      }))
      .filter((c) => c.along > 0.5)
      .sort((a, b) => a.along + 2 * a.aside - (b.along + 2 * b.aside));
    const next = ahead[0]?.s;
    if (!next) return;
    setStop(next.key);
    group.current?.querySelector<SVGGElement>(`[data-place="${CSS.escape(next.key)}"]`)?.focus();
  };

  return (
    <g ref={group}>
      {spots.map((s, i) => (
        <g
          key={s.key}
          data-place={s.key}
          className={`chart-place${s.off ? ' is-off' : ''}`}
          role="button"
          tabIndex={s.key === entry ? 0 : -1}
          aria-label={[
            s.name,
            s.place.side === 'midline' ? '' : `client’s ${s.place.side}`,
            s.state,
            s.off ? 'off limits today' : '',
          ]
            .filter(Boolean)
            .join(', ')}
          onClick={() => onPick(s.place)}
          onPointerEnter={() => setNamed(s.key)}
          onPointerLeave={() => setNamed(null)}
          onFocus={() => (setNamed(s.key), setStop(s.key))}
          onBlur={() => setNamed(null)}
          onKeyDown={(event) => {
            const step = STEPS[event.key];
            if (step) go(s, step);
            else if (event.key === 'Enter' || event.key === ' ') onPick(s.place);
            else if (!onKey?.(s.place, event.key)) return;
            event.preventDefault();
            event.stopPropagation();
          }}
        >
          <circle className="spot" cx={s.x} cy={s.y} r={reaches[i]} />
          <circle className="tick" cx={s.x} cy={s.y} r={1.8 * unit} />
        </g>
      ))}
      {shown && (
        <text
          className="chart-name"
          x={Math.min(Math.max(shown.x, 70 * unit), sheetWidth - 70 * unit)}
          y={shown.y < 40 * unit ? shown.y + 30 * unit : shown.y - 17 * unit}
          style={{ fontSize: 13 * unit }}
          textAnchor="middle"
        >
          {shown.name}
          {shown.more && (
            <tspan
              className="more"
              x={Math.min(Math.max(shown.x, 70 * unit), sheetWidth - 70 * unit)}
              dy={(shown.y < 40 * unit ? 15 : -15) * unit}
            >
              {shown.more}
            </tspan>
          )}
        </text>
      )}
    </g>
  );
}

/** A place can be picked as far as half the way to its neighbour, so that none lies under another. */
function reachOf(spots: readonly { x: number; y: number }[], most: number): number[] {
  return spots.map((s) => {
    const nearest = spots.reduce(
      (least, other) => (other === s ? least : Math.min(least, Math.hypot(other.x - s.x, other.y - s.y))),
      Infinity,
    );
    return Math.max(most / 4, Math.min(most, nearest / 2));
  });
}
