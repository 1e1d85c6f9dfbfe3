import { useEffect, useRef } from 'react';
import type { Asking, Choices } from './use-picking';
import type { Spotted } from './picking';
import type { Place } from './places';

/** Discs that a finger cannot miss, in px, and how far from the middle they lie. */
const DISC_PX = 52;
const FROM_MIDDLE_PX = 74;
const STEP_DEGREES = 45;
/** Breadth of the two below it. */
const TWO_BELOW_PX = 250;

interface Props {
  asking: Asking;
  /** The drawing, in px. */
  frame: { width: number; height: number };
  choices: Choices | undefined;
  onPick: (spot: Spotted) => void;
  onKey?: (place: Place, key: string) => boolean;
  onClose: () => void;
}

/** What the chart asks beside the finger: which of a few places was meant, or which value it gets. */
export function ChoiceRing({ asking, frame, choices, onPick, onKey, onClose }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const at = inside(asking, frame, !!choices?.more);
  const now = asking.kind === 'value' ? choices?.valueAt(asking.spot.place) : undefined;
  useEffect(() => {
    const buttons = box.current?.querySelectorAll('button');
    const pressed = box.current?.querySelector<HTMLElement>('[aria-pressed=true]');
    (pressed ?? buttons?.[0])?.focus({ preventScroll: true });
  }, [asking]);

  const onKeyDown = (event: React.KeyboardEvent) => {
    const buttons = [...box.current!.querySelectorAll('button')];
    const here = buttons.indexOf(event.target as HTMLButtonElement);
    const to = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
    if (event.key === 'Escape') onClose();
    else if (to) buttons[(here + to + buttons.length) % buttons.length]?.focus();
    else if (asking.kind === 'value' && onKey?.(asking.spot.place, event.key)) onClose();
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const style = { left: at.x, top: at.y };
  if (asking.kind === 'which')
    return (
      <div
        ref={box}
        className="chart-asks is-list"
        style={style}
        role="group"
        aria-label="Which place"
        onKeyDown={onKeyDown}
      >
        {asking.spots.map((s) => (
          <button key={s.key} type="button" onClick={() => onPick(s)}>
            {s.name}
            {s.place.side !== 'midline' && <span className="soft">, {s.place.side}</span>}
          </button>
        ))}
      </div>
    );
  const { spot } = asking;
  const options = choices?.options ?? [];
  const told = `${spot.name}${spot.place.side === 'midline' ? '' : `, client’s ${spot.place.side}`}`;
  const choose = (value: number | null) => {
    choices?.onChoose(spot.place, value);
    onClose();
  };
  return (
    <div
      ref={box}
      className="chart-asks is-ring"
      style={style}
      role="group"
      aria-label={`${told}: ${choices?.of}`}
      onKeyDown={onKeyDown}
    >
      <span className="asked">{told}</span>
      {options.map(({ value, sign, word }, i) => {
        const turn = ((i - (options.length - 1) / 2) * STEP_DEGREES * Math.PI) / 180;
        return (
          <button
            key={value}
            type="button"
            aria-pressed={now === value}
            aria-label={`${sign}, ${word}`}
            style={{ left: FROM_MIDDLE_PX * Math.sin(turn), top: -FROM_MIDDLE_PX * Math.cos(turn) }}
            onClick={() => choose(value)}
          >
            <strong>{sign}</strong>
            <span>{word}</span>
          </button>
        );
      })}
      {now !== undefined && (
        <div className="away">
          {choices?.more?.isOffered(now) && (
            <button
              type="button"
              onClick={() => {
                choices.more!.onMore(spot.place);
                onClose();
              }}
            >
              {choices.more.word}
            </button>
          )}
          <button type="button" onClick={() => choose(null)}>
            Take away
          </button>
        </div>
      )}
    </div>
  );
}

/** Moved so far that all of it is inside the drawing. */
function inside(
  { at, ...asking }: Asking,
  frame: { width: number; height: number },
  hasMore: boolean,
): { x: number; y: number } {
  const ring = FROM_MIDDLE_PX + DISC_PX / 2;
  const room =
    asking.kind === 'which'
      ? { aside: 90, above: 24, below: 48 * asking.spots.length }
      : { aside: hasMore ? TWO_BELOW_PX / 2 : ring, above: ring + 24, below: 70 };
  const within = (v: number, low: number, high: number) => Math.min(Math.max(v, low), Math.max(low, high));
  return {
    x: within(at.x, room.aside, frame.width - room.aside),
    y: within(at.y, room.above, frame.height - room.below),
  };
}
