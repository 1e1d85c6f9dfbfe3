import type { OneSide } from '../../../../core/words';
import { useRef } from 'react';
import { posedFibre, type PosedView, useJawFibres } from './posed';
import { useJawFrames } from './use-jaw-frames';

/** A muscle that is stretched, or carried along, while the jaw moves: at every frame. */
export function PosedMuscle({
  id,
  side,
  chosen,
  posed,
}: {
  id: string;
  side: OneSide;
  chosen: boolean;
  posed: PosedView;
}) {
  const fibres = useJawFibres(posed);
  const outline = useRef<SVGPathElement>(null);
  const lines = useRef<SVGPathElement>(null);
  useJawFrames(posed, (mm) => {
    const drawing = posedFibre(fibres, id, side, { ...posed, pose: { ...posed.pose, openingMm: mm } });
    outline.current?.setAttribute('d', drawing?.outline ?? '');
    lines.current?.setAttribute('d', drawing?.fibres ?? '');
  });
  return (
    <g className={`chart-muscle${chosen ? ' is-chosen' : ''}`}>
      <path ref={outline} className="body" />
      <path ref={lines} />
    </g>
  );
}
