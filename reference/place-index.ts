import type { Catalogue } from '../core/routine/index.ts';
import { type PlaceRef, type Region, REGION_NAMES, REGIONS } from '../core/words/index.ts';
import { LANDMARK_REGION } from './facts/landmark-regions.ts';
import { LANDMARKS } from './facts/landmarks.ts';
import { LYMPH_NODES } from './facts/lymph.ts';
import { MUSCLES } from './facts/muscles/index.ts';
import { KEEP_OFF, REGION_PATCHES } from './facts/other-places.ts';
import { POINTS } from './facts/points/index.ts';

const known = new Map<string, { name: string; region: Region | null; paired: boolean }>();
for (const p of POINTS) known.set(`point:${p.id}`, { name: `${p.id} ${p.name}`, region: p.region, paired: p.paired });
for (const m of MUSCLES) known.set(`muscle:${m.id}`, { name: m.name, region: m.region, paired: m.paired });
for (const n of LYMPH_NODES) known.set(`node:${n.id}`, { name: n.name, region: n.region, paired: true });
for (const k of KEEP_OFF) known.set(`keep-off:${k.id}`, { name: k.name, region: k.region, paired: k.paired });
/** Landmarks whose own name needs no anatomy book. */
const PLAIN = new Set(['brow-peak', 'mastoid-tip', 'suprasternal-notch']);
for (const l of LANDMARKS) {
  // "endocanthion" says less beside a step than "inner corner of the eye".
  const scholarly = (l.code !== '' && !PLAIN.has(l.id)) || l.id === 'malar';
  const name = scholarly ? l.what[0]!.toLowerCase() + l.what.slice(1).replace(/\.$/, '') : l.name;
  known.set(`landmark:${l.id}`, { name, region: LANDMARK_REGION.get(l.id) ?? null, paired: l.paired });
}
const TWO_SIDED = new Set<string>(REGION_PATCHES.filter((r) => r.paired).map((r) => r.id));
for (const id of REGIONS) known.set(`region:${id}`, { name: REGION_NAMES[id], region: id, paired: TWO_SIDED.has(id) });

/** Points by the landmark or node they lie at without a distance. */
const at = new Map<string, string[]>([
  ['node:supraclavicular', ['ST12']],
  ['node:terminus', ['ST12']],
  ['landmark:endocanthion', ['BL1']],
  ['landmark:exocanthion', ['GB1']],
  ['landmark:temple-midpoint', ['EX-HN5']],
  ['landmark:supraorbital-notch', ['EX-HN4']],
  ['landmark:wrist-crease', ['PC6', 'HT7']],
  ['landmark:cheilion', ['ST4']],
]);
for (const { id, place } of POINTS)
  if (place.landmark && !place.cun) {
    const key = `landmark:${place.landmark}`;
    at.set(key, [...(at.get(key) ?? []), id]);
  }
const NONE: readonly string[] = [];

/** Region and name of every place, without the techniques: for pages that only mark places. */
export const PLACE_INDEX: Pick<Catalogue, 'regionOf' | 'placeName' | 'pointsAt' | 'isPaired'> = {
  regionOf: (place: PlaceRef) => known.get(`${place.kind}:${place.id}`)?.region ?? null,
  pointsAt: (place: PlaceRef) => (place.kind === 'point' ? [place.id] : (at.get(`${place.kind}:${place.id}`) ?? NONE)),
  placeName: (place: PlaceRef) => known.get(`${place.kind}:${place.id}`)?.name ?? null,
  isPaired: (place: PlaceRef) => known.get(`${place.kind}:${place.id}`)?.paired ?? false,
};
