import { type PlaceRef, REGION_NAMES, REGIONS } from '../../../../core/words';
import { PLACE_INDEX } from '../../../../reference/place-index';
import { LANDMARKS } from '../../../../reference/facts/landmarks';
import { MUSCLES } from '../../../../reference/facts/muscles';
import { LYMPH_NODES } from '../../../../reference/facts/lymph';
import { POINTS } from '../../../../reference/facts/points';
import { placesOn } from '../../../parts/chart/places';
import type { Pickable } from '../../../parts/chart/picking';

const of = (kind: PlaceRef['kind'], ids: readonly string[]): PlaceRef[] => ids.map((id) => ({ kind, id }));
const PLACES: readonly PlaceRef[] = [
  ...of(
    'point',
    POINTS.map((p) => p.id),
  ),
  ...of(
    'muscle',
    MUSCLES.map((m) => m.id),
  ),
  ...of(
    'landmark',
    LANDMARKS.map((l) => l.id),
  ),
  ...of(
    'node',
    LYMPH_NODES.map((n) => n.id),
  ),
].filter((p) => PLACE_INDEX.regionOf(p));

/** Every place a path can go to, by the name it is chosen by. */
export const PLACE_CHOICES: readonly { place: PlaceRef; label: string }[] = [
  ...PLACES.map((place) => ({ place, label: PLACE_INDEX.placeName(place) ?? place.id })),
  ...REGIONS.map((id) => ({ place: { kind: 'region' as const, id }, label: `region: ${REGION_NAMES[id]}` })),
];

/** Those that lie on the chart, on both sides: a click on either means the place. */
export const pickablePlaces = (): Pickable[] =>
  PLACES.flatMap((ref) =>
    placesOn(ref, 'both').map((place) => ({
      place,
      name: PLACE_INDEX.placeName(ref) ?? ref.id,
      region: PLACE_INDEX.regionOf(ref),
    })),
  );
