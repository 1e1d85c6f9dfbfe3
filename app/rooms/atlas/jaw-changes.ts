import { apart, DRAWN_HEAD, type Vec3 } from '../../../core/drawing';
import JAW_FIBRES from '../../../reference/derived/jaw-fibres.json';
import { MUSCLES } from '../../../reference/facts/muscles';
import { STRETCHED_BY_OPENING } from '../../../reference/facts/muscles/jaw';
import { POINTS } from '../../../reference/facts/points';
import { places } from '../../parts/chart/places';

export interface Changes {
  /** Points that go along, those that go farthest first, whole mm. */
  points: { id: string; mm: number }[];
  /** Muscles between skull and jaw, with the length of their middle fibre, whole mm. */
  muscles: { id: string; name: string; shutMm: number; openMm: number }[];
}

/** A point that moves less than this stays, mm. */
const STAYS_MM = 2;
const lengthOf = (line: readonly Vec3[]): number => line.slice(1).reduce((sum, p, i) => sum + apart(p, line[i]!), 0);

/** What an opening changes on the drawn adult. */
export function jawChanges(openingMm: number): Changes {
  const pose = { openingMm };
  const moved = POINTS.flatMap(({ id }) => {
    const located = places[`point:${id}.left`] ?? places[`point:${id}.midline`];
    if (!located || located.body === 'hand') return [];
    const mm = Math.round(apart(DRAWN_HEAD.posedPlace(located.mm, pose), located.mm));
    return mm < STAYS_MM ? [] : [{ id, mm }];
  });
  const muscles = STRETCHED_BY_OPENING.flatMap((id) => {
    const lines = (JAW_FIBRES as Record<string, { left?: number[][][] }>)[id]?.left;
    if (!lines) return [];
    const middle = lines[lines.length >> 1] as unknown as Vec3[];
    const name = MUSCLES.find((m) => m.id === id)!.name;
    return [
      {
        ...{ id, name, shutMm: Math.round(lengthOf(middle)) },
        openMm: Math.round(lengthOf(DRAWN_HEAD.stretchedFibre(middle, pose))),
      },
    ];
  });
  return { points: moved.sort((a, b) => b.mm - a.mm), muscles };
}
