import { REGION_NAMES } from '../../../core/words';
import { useRef, useState } from 'react';
import { jumpTo, stepFrom, type Spotted } from './picking';
import type { Place } from './places';

/** Letters typed one after another within this belong together. */
const TYPING_MS = 900;

/** Name, side and region of a place, and what is known of it. */
const placeWords = ({ name, place, region, state, off }: Spotted): string =>
  [
    name,
    place.side === 'midline' ? '' : `client’s ${place.side}`,
    region ? REGION_NAMES[region] : '',
    state,
    off ? 'off limits today' : '',
  ]
    .filter(Boolean)
    .join(', ');

/**
 * Places that can be picked from the keyboard, and where they are drawn: one stop for Tab; arrows go to the nearest
 * place in their direction, Page Up and Down region by region, letters to the next name that begins with them; Enter
 * picks, other keys are handed on. What a pointer means is worked out by the chart.
 */
export function PickLayer({
  spots,
  sheetWidth,
  unit,
  named,
  outline,
  onName,
  onPick,
  onKey,
}: {
  /** In the order of the keyboard. */
  spots: readonly Spotted[];
  sheetWidth: number;
  /** Sheet px per px on the screen. */
  unit: number;
  /** The place under the pointer or the focus. */
  named: Spotted | null;
  /** Its drawing, where it is a muscle. */
  outline: { path: string; flip: string | undefined } | null;
  onName: (key: string | null) => void;
  onPick: (spot: Spotted) => void;
  onKey?: (place: Place, key: string) => boolean;
}) {
  const group = useRef<SVGGElement>(null);
  const [stop, setStop] = useState<string | null>(null);
  const typed = useRef({ text: '', atMs: 0 });
  const entry = spots.some((s) => s.key === stop) ? stop : (spots[0]?.key ?? null);

  const focus = (next: Spotted) => {
    setStop(next.key);
    group.current?.querySelector<SVGGElement>(`[data-place="${CSS.escape(next.key)}"]`)?.focus();
  };
  const jump = (from: Spotted, letter: string, atMs: number): boolean => {
    const text = atMs - typed.current.atMs < TYPING_MS ? typed.current.text + letter : letter;
    typed.current = { text, atMs };
    const next = jumpTo(spots, from.key, text) ?? jumpTo(spots, from.key, letter);
    if (next) focus(next);
    return next !== null;
  };

  return (
    <g ref={group}>
      {outline && (
        <g transform={outline.flip}>
          <path className="pick-outline" d={outline.path} strokeWidth={1.5 * unit} />
        </g>
      )}
      {spots.map((s) => (
        <g
          key={s.key}
          data-place={s.key}
          className={`chart-place${s.off ? ' is-off' : ''}${s.key === named?.key ? ' is-named' : ''}`}
          role="button"
          tabIndex={s.key === entry ? 0 : -1}
          aria-label={placeWords(s)}
          onFocus={() => (onName(s.key), setStop(s.key))}
          onBlur={() => onName(null)}
          onKeyDown={(event) => {
            if (event.ctrlKey || event.metaKey || event.altKey) return;
            const next = stepFrom(spots, s, event.key);
            if (next) focus(next);
            else if (event.key === 'Enter' || event.key === ' ') onPick(s);
            else if (
              !onKey?.(s.place, event.key) &&
              !(/^\p{L}$/u.test(event.key) && jump(s, event.key, event.timeStamp))
            )
              return;
            event.preventDefault();
            event.stopPropagation();
          }}
        >
          <circle className="spot" cx={s.x} cy={s.y} r={8 * unit} />
          <circle className="tick" cx={s.x} cy={s.y} r={1.8 * unit} />
        </g>
      ))}
      {named && <PlaceName spot={named} sheetWidth={sheetWidth} unit={unit} />}
    </g>
  );
}

function PlaceName({ spot, sheetWidth, unit }: { spot: Spotted; sheetWidth: number; unit: number }) {
  const x = Math.min(Math.max(spot.x, 70 * unit), sheetWidth - 70 * unit);
  const isBelow = spot.y < 40 * unit;
  return (
    <text
      className="chart-name"
      x={x}
      y={isBelow ? spot.y + 30 * unit : spot.y - 17 * unit}
      style={{ fontSize: 13 * unit }}
      textAnchor="middle"
    >
      {spot.name}
      {spot.more && (
        <tspan className="more" x={x} dy={(isBelow ? 15 : -15) * unit}>
          {spot.more}
        </tspan>
      )}
    </text>
  );
}
