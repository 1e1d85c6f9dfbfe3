import type { OneSide } from '../../../core/words';
import type { Fibres } from './fibres';
import { PosedMuscle } from './jaw/posed-muscle';
import { moves, type PosedView } from './jaw/posed';
import type { View } from './places';

export interface MuscleSide {
  id: string;
  side: OneSide;
  chosen?: boolean;
}

/** Muscles with their fibres; those that a moving jaw stretches, at every frame. */
export function MusclesLayer({
  muscles,
  view,
  fibres,
  posed,
}: {
  muscles: readonly MuscleSide[];
  view: View;
  fibres: Fibres;
  posed: PosedView | null;
}) {
  return muscles.map((m) => {
    const key = `${m.id}.${m.side}`;
    const drawing = fibres[key]?.[view];
    if (!drawing) return null;
    if (posed?.moving && moves(m.id, posed.drawings))
      return <PosedMuscle key={key} id={m.id} side={m.side} chosen={!!m.chosen} posed={posed} />;
    return (
      <g key={key} className={`chart-muscle${m.chosen ? ' is-chosen' : ''}`}>
        <path className="body" d={drawing.outline} />
        <path d={drawing.fibres} />
      </g>
    );
  });
}
