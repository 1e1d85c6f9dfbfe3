import { clientInches, distanceWords, pointDistance } from '../../../core/atlas';
import { keepOffPlaces, type Screening } from '../../../core/limits';
import type { Catalogue } from '../../../core/routine';
import type { Region, Side } from '../../../core/words';
import { useContext, useMemo } from 'react';
import { BODY_INCHES } from '../../../reference/facts/body-inches';
import { landmarkName } from '../../../reference/facts/landmarks';
import { PRESSED_MUSCLES } from '../../../reference/facts/muscles';
import { POINTS } from '../../../reference/facts/points';
import { ClientChart } from '../chart/client-chart';
import type { Pickable } from '../chart/picking';
import { placesOn } from '../chart/places';

/** What can be touched on the chart to work there, with what is off limits, and how far points lie on this client. */
export function usePickable(screening: Screening, catalogue: Catalogue): Pickable[] {
  const { measures } = useContext(ClientChart);
  return useMemo(() => {
    const inches = measures && clientInches(BODY_INCHES, measures);
    const closed = keepOffPlaces(screening, catalogue);
    const isClosed = (key: string, side: Side) =>
      closed.some(
        (k) => `${k.place.kind}:${k.place.id}` === key && (k.side === null || side === 'midline' || side === k.side),
      );
    const of = (kind: 'point' | 'muscle', id: string, name: string, region: Region, more?: string) =>
      placesOn({ kind, id }, 'both').map((p) => ({
        place: p,
        name,
        region,
        more,
        off: isClosed(`${kind}:${id}`, p.side) || isClosed(`region:${region}`, p.side),
      }));
    return [
      ...PRESSED_MUSCLES.flatMap((m) => of('muscle', m.id, m.name, m.region)),
      ...POINTS.flatMap((p) =>
        of(
          'point',
          p.id,
          `${p.id} ${p.name}`,
          p.region,
          inches && p.place.cun ? distanceWords(pointDistance(p, inches), landmarkName) : undefined,
        ),
      ),
    ];
  }, [screening, measures, catalogue]);
}
