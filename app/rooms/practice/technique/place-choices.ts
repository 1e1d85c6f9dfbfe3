import { type PlaceRef, REGION_NAMES, REGIONS } from '../../../../core/words';
import { CATALOGUE } from '../../../../reference/catalogue';
import { LANDMARKS } from '../../../../reference/facts/landmarks';
import { MUSCLES } from '../../../../reference/facts/muscles';
import { LYMPH_NODES } from '../../../../reference/facts/lymph';
import { POINTS } from '../../../../reference/facts/points';
import { placesOn } from '../../../parts/chart/places';
import type { Pickable } from '../../../parts/chart/pick-layer';

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
].filter((p) => CATALOGUE.regionOf(p));

/** Every place a path can go to, by the name it is chosen by. */
export const PLACE_CHOICES: readonly { place: PlaceRef; label: string }[] = [
  ...PLACES.map((place) => ({ place, label: CATALOGUE.placeName(place) ?? place.id })),
  ...REGIONS.map((id) => ({ place: { kind: 'region' as const, id }, label: `region: ${REGION_NAMES[id]}` })),
];

/** Those that lie on the chart, on both sides: a click on either means the place. */
export const pickablePlaces = (): Pickable[] =>
  PLACES.flatMap((ref) => placesOn(ref, 'both').map((place) => ({ place, name: CATALOGUE.placeName(ref) ?? ref.id })));
