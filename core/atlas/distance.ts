import type { ClientInch } from './client-inch.ts';
import type { BodyInchId, PointRow } from './rows.ts';

/** One leg of the way from a landmark to a point. */
interface Leg {
  /** Which way on the body: above, below, outside, nose-side, behind, in front, toward the elbow. */
  way: string;
  inches: number;
  inch: BodyInchId;
  mm: number;
  /** Two standard deviations, rounded up to the mm: about 95 % of the time. */
  plusMinusMm: number;
  source: ClientInch['source'];
}

export interface PointDistance {
  /** The landmark the point is measured from. */
  landmark: string;
  /** Empty when the point lies on its landmark. */
  legs: Leg[];
}

/** Which body-inch a point's sideways and upward measure counts in. */
export function inchesOf({ place, region, paired }: PointRow): { lateral: BodyInchId; up: BodyInchId } {
  const inHair = region === 'scalp';
  if (!paired && (place.landmark === 'trichion' || place.landmark === 'posterior-hairline'))
    return { lateral: 'scalp', up: 'scalp' };
  switch (place.from) {
    case 'front':
      return inHair ? { lateral: 'forehead', up: 'middle-finger' } : { lateral: 'face', up: 'face' };
    case 'profile':
      return inHair ? { lateral: 'middle-finger', up: 'middle-finger' } : { lateral: 'face', up: 'face' };
    case 'back':
      return { lateral: 'mastoids', up: 'scalp' };
    case 'top':
      return { lateral: 'middle-finger', up: place.landmark === 'trichion' ? 'scalp' : 'middle-finger' };
    case 'chest':
      return { lateral: 'chest', up: 'chest' };
    case 'hand':
    case 'forearm':
      return { lateral: 'forearm', up: 'forearm' };
    case 'leg':
      return { lateral: 'shin', up: 'shin' };
  }
}

/** How far a point lies from its landmark on this client. */
export function pointDistance(row: PointRow, inches: Readonly<Record<BodyInchId, ClientInch>>): PointDistance {
  if (!row.place.cun) return { landmark: row.place.landmark, legs: [] };
  const [lateral, up] = row.place.cun;
  const unit = inchesOf(row);
  const leg = (count: number, id: BodyInchId, way: string): Leg[] =>
    count === 0
      ? []
      : [
          {
            way,
            inches: Math.abs(count),
            inch: id,
            mm: Math.abs(count) * inches[id].mm,
            plusMinusMm: Math.max(1, Math.ceil(2 * Math.abs(count) * inches[id].errorMm)),
            source: inches[id].source,
          },
        ];
  return {
    landmark: row.place.landmark,
    legs: [...leg(up, unit.up, upWord(row, up)), ...leg(lateral, unit.lateral, lateralWord(row, lateral))],
  };
}

function upWord({ place, paired }: PointRow, up: number): string {
  if (place.from === 'forearm' || place.from === 'hand')
    return up > 0 ? 'toward the elbow from' : 'toward the fingers from';
  if (place.from === 'top' || (!paired && place.landmark === 'trichion')) return up > 0 ? 'behind' : 'in front of';
  return up > 0 ? 'above' : 'below';
}

function lateralWord({ place }: PointRow, lateral: number): string {
  if (place.from === 'profile') return lateral > 0 ? 'behind' : 'in front of';
  return lateral > 0 ? 'outside' : 'on the nose side of';
}

const millimetres = (v: number) => String(Math.round(v));

/** "22 mm ± 2 above the middle of the brow", or where it lies. `nameOf` gives a landmark's name. */
export function distanceWords({ landmark, legs }: PointDistance, nameOf: (landmark: string) => string): string {
  const name = nameOf(landmark);
  if (!legs.length) return `on the landmark: ${name}`;
  return legs
    .map((l, i) => `${millimetres(l.mm)} mm ± ${l.plusMinusMm} ${l.way}${i === legs.length - 1 ? ` the ${name}` : ''}`)
    .join(', ')
    .replace(/ (of|from) the /, ' $1 the ');
}
