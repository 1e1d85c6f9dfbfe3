import type { AtlasEntry } from '../../../core/atlas';
import { CATALOGUE } from '../../../reference/catalogue';
import { pathMark, type PathMark } from '../../parts/chart/path-layer';
import { placesOn, type Place } from '../../parts/chart/places';

/** Where an entry of the atlas is on the chart; the client's left side stands for both. */
export function placesOfEntry(entry: Pick<AtlasEntry, 'kind' | 'id'>): Place[] {
  if (entry.kind !== 'technique') return placesOn({ kind: entry.kind, id: entry.id }, 'left');
  return (CATALOGUE.techniques.get(entry.id)?.defaults.path ?? []).flatMap((place) => placesOn(place, 'left'));
}

/** Ring and arrow of a technique; nothing for any other entry. */
export function pathsOfEntry(entry: Pick<AtlasEntry, 'kind' | 'id'>): PathMark[] | undefined {
  const technique = entry.kind === 'technique' ? CATALOGUE.techniques.get(entry.id) : undefined;
  return technique && [pathMark(technique.defaults)];
}
