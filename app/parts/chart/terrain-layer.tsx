import { memo, useMemo } from 'react';
import type { View } from './places';
import { useTerrain } from './terrain';

/** The drawing itself, on a layer of its own: marks that move above it do not make it be painted again. */
export const Terrain = memo(function Terrain({
  view,
  flip,
  fitted,
  ...svg
}: {
  view: View;
  flip: string | undefined;
  fitted: string | undefined;
  viewBox: string;
  preserveAspectRatio: string;
}) {
  const standard = useTerrain(view);
  const markup = useMemo(() => ({ __html: fitted ?? standard }), [fitted, standard]);
  return (
    <svg {...svg} className="chart-terrain" aria-hidden="true">
      <g transform={flip} dangerouslySetInnerHTML={markup} />
    </svg>
  );
});

/** Which side of the client is at which edge. */
export function Edges({ left, right }: { left: string; right: string }) {
  return left.length > 1 ? (
    <span className="chart-edge-word">{left}</span>
  ) : (
    <>
      <span className="chart-edge is-left">{left}</span>
      <span className="chart-edge is-right">{right}</span>
    </>
  );
}
