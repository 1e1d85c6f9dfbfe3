import type { MapLayer } from './map-layer-names';
import type { Place } from './places';
import type { Pick } from './use-picking';

/** On a chart that is a map, places of a kind can be picked while their layer is on. */
const LAYER_OF: Partial<Record<Place['kind'], MapLayer>> = {
  point: 'Points',
  muscle: 'Muscles',
  node: 'Lymph',
  landmark: 'Landmarks',
};

/** What can be picked now: on a map the kinds whose layer is on, elsewhere all while the places are shown. */
export const pickOn = (pick: Pick | undefined, map: ReadonlySet<MapLayer> | null, hidden: boolean): Pick | undefined =>
  !pick || hidden
    ? undefined
    : map
      ? { ...pick, places: pick.places.filter((p) => map.has(LAYER_OF[p.place.kind] ?? 'Points')) }
      : pick;
