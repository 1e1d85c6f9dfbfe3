import { useMemo, useState } from 'react';
import { useKeys } from '../keys/use-keys';
import { flipX, sheetOf, type View } from './places';

/** Keys move the cross by this much, w a s d by more; in sheet px (1.5 px = 1 mm). */
const STEP_PX = 3;
const BIG_STEP_PX = 18;

interface At {
  view: View;
  x: number;
  y: number;
}

/** A cross that keys move over the sheet of a view, and `m` that marks where it stands: what a pointer does with a tap. */
export function useCross(
  view: View,
  on: boolean,
  mark: (x: number, y: number) => void,
): { at: At | null; clear: () => void } {
  const [at, setAt] = useState<At | null>(null);
  const here = at?.view === view ? at : null;
  const move = (dx: number, dy: number) => {
    if (!on) return;
    const { width, height } = sheetOf(view);
    setAt({
      view,
      x: Math.min(width, Math.max(0, (here?.x ?? width / 2) + dx)),
      y: Math.min(height, Math.max(0, (here?.y ?? height / 2) + dy)),
    });
  };
  useKeys(
    on
      ? {
          ArrowLeft: () => move(-STEP_PX, 0),
          ArrowRight: () => move(STEP_PX, 0),
          ArrowUp: () => move(0, -STEP_PX),
          ArrowDown: () => move(0, STEP_PX),
          a: () => move(-BIG_STEP_PX, 0),
          d: () => move(BIG_STEP_PX, 0),
          w: () => move(0, -BIG_STEP_PX),
          s: () => move(0, BIG_STEP_PX),
          m: () => here && mark(here.x, here.y),
        }
      : {},
  );
  return useMemo(() => ({ at: here, clear: () => setAt(null) }), [here]);
}

export function Cross({ at, view, mirrored, unit }: { at: At | null; view: View; mirrored: boolean; unit: number }) {
  if (!at) return null;
  const x = flipX(at.x, mirrored, view);
  return (
    <path
      className="chart-cross"
      d={`M${x - 9 * unit} ${at.y}h${18 * unit}M${x} ${at.y - 9 * unit}v${18 * unit}`}
      strokeWidth={1.5 * unit}
    />
  );
}
