import { InputError } from '../words/index.ts';
import { clientInches, type ClientInch } from './client-inch.ts';
import { CLIENT_MEASURE_IDS, refusedMeasures, type ClientMeasures } from './client-measure.ts';
import { distanceWords, pointDistance } from './distance.ts';
import type { BodyInchId, BodyInchRow, LandmarkRow, PointRow } from './rows.ts';

/**
 * Input of `locate`: measures of one client in mm, and, where a front picture was marked, landmarks in px with a
 * scale. Sides are the client's; in a picture taken from the front the client's left lies at larger x.
 */
export interface LandmarksFile {
  /** The client’s measures, in mm. */
  measuresMm: ClientMeasures;
  /** The drawing they make. */
  picture: { mmPerPx: number; landmarks: Record<string, { left?: Px; right?: Px; midline?: Px }> } | null;
  /** Codes of points to locate; null = all. */
  points: string[] | null;
}
type Px = readonly [number, number];

const HIGHER_FIRST = ['trichion', 'glabella', 'nasion', 'subnasale', 'stomion', 'gnathion'];
const PAIRS_ABOVE: readonly (readonly [string, string])[] = [
  ['brow-mid', 'pupil'],
  ['pupil', 'alare'],
  ['alare', 'cheilion'],
];

/** @throws InputError naming the field, the measure or the code and what is accepted. */
export function readLandmarksFile(
  value: Record<string, unknown>,
  landmarks: readonly LandmarkRow[],
  points: readonly PointRow[],
): LandmarksFile {
  for (const key of Object.keys(value))
    if (!['measuresMm', 'picture', 'points'].includes(key))
      throw new InputError(key, 'is unknown; measuresMm, picture and points are accepted');
  const measuresMm = readMeasures(value.measuresMm ?? {});
  let wanted: string[] | null = null;
  if (value.points !== undefined) {
    if (!Array.isArray(value.points)) throw new InputError('points', 'a list of codes is accepted');
    wanted = value.points.map((code: unknown, i) => {
      if (!points.some((p) => p.id === code))
        throw new InputError(`points[${i}]`, `unknown point code ${JSON.stringify(code)}`);
      return code as string;
    });
  }
  return {
    measuresMm,
    picture: value.picture === undefined ? null : readPicture(value.picture, landmarks),
    points: wanted,
  };
}

function readMeasures(value: unknown): ClientMeasures {
  if (!value || typeof value !== 'object' || Array.isArray(value))
    throw new InputError('measuresMm', 'an object of measures in mm is accepted');
  const out: Record<string, number> = {};
  for (const [id, mm] of Object.entries(value)) {
    if (!(CLIENT_MEASURE_IDS as string[]).includes(id))
      throw new InputError(`measuresMm.${id}`, `is unknown; known: ${CLIENT_MEASURE_IDS.join(', ')}`);
    if (typeof mm !== 'number') throw new InputError(`measuresMm.${id}`, 'a number of mm is accepted');
    out[id] = mm;
  }
  const [refused] = refusedMeasures(out);
  if (refused) throw new InputError(`measuresMm.${refused.field}`, refused.message);
  return out;
}

function readPicture(value: unknown, known: readonly LandmarkRow[]): LandmarksFile['picture'] {
  const picture = value as { mmPerPx?: unknown; landmarks?: unknown } | null;
  if (!picture || typeof picture !== 'object')
    throw new InputError('picture', 'an object with mmPerPx and landmarks is accepted');
  if (typeof picture.mmPerPx !== 'number' || !(picture.mmPerPx > 0 && picture.mmPerPx <= 5))
    throw new InputError('picture.mmPerPx', 'a number above 0 and up to 5 is accepted');
  if (!picture.landmarks || typeof picture.landmarks !== 'object' || Array.isArray(picture.landmarks))
    throw new InputError('picture.landmarks', 'an object of landmarks is accepted');
  const landmarks = picture.landmarks as Record<string, Record<string, unknown>>;
  for (const [id, sides] of Object.entries(landmarks)) {
    const row = known.find((l) => l.id === id);
    if (!row) throw new InputError(`picture.landmarks.${id}`, 'unknown landmark');
    for (const [side, at] of Object.entries(sides ?? {})) {
      if (row.paired ? side !== 'left' && side !== 'right' : side !== 'midline')
        throw new InputError(
          `picture.landmarks.${id}.${side}`,
          row.paired ? 'left and right are accepted' : 'midline is accepted',
        );
      if (!Array.isArray(at) || at.length !== 2 || !at.every((v) => typeof v === 'number' && Number.isFinite(v)))
        throw new InputError(`picture.landmarks.${id}.${side}`, 'two numbers of px are accepted');
    }
    const { left, right } = sides as { left?: Px; right?: Px };
    if (left && right && left[0] <= right[0])
      throw new InputError(
        `picture.landmarks.${id}`,
        `left and right are swapped: the client’s left (x ${left[0]}) must lie at larger x than the right (x ${right[0]}) in a picture from the front`,
      );
  }
  const heightOf = (id: string): number | null => {
    const s = landmarks[id] as { left?: Px; right?: Px; midline?: Px } | undefined;
    return s ? (s.midline ?? s.left ?? s.right)![1] : null;
  };
  const order: readonly (readonly [string, string])[] = [
    ...HIGHER_FIRST.flatMap((above, i) => HIGHER_FIRST.slice(i + 1).map((below) => [above, below] as const)),
    ['trichion', 'brow-mid'],
    ...PAIRS_ABOVE,
  ];
  for (const [above, below] of order) {
    const [a, b] = [heightOf(above), heightOf(below)];
    if (a !== null && b !== null && a >= b)
      throw new InputError(
        `picture.landmarks.${below}`,
        `${below} lies above ${above} (y ${b} against ${a} px, counted downward)`,
      );
  }
  return { mmPerPx: picture.mmPerPx, landmarks: landmarks as NonNullable<LandmarksFile['picture']>['landmarks'] };
}

export interface LocatedOnClient {
  /** Of the point. */
  code: string;
  /** Of the point. */
  name: string;
  /** Landmark it is laid off from. */
  landmark: string;
  /** How far, in words. */
  words: string;
  /** How far, leg by leg. */
  legs: { way: string; mm: number; plusMinusMm: number; inches: number; inch: BodyInchId; source: string }[];
  /** In the marked picture; only points laid off from the front, from a landmark that was marked. */
  px?: Partial<Record<'left' | 'right' | 'midline', [number, number]>>;
}

/** Every asked point on this client. A point whose landmark was marked in the picture gets its place there as well. */
export function locateOnClient(
  file: LandmarksFile,
  points: readonly PointRow[],
  inchRows: readonly BodyInchRow[],
  landmarks: readonly LandmarkRow[],
): { inches: Record<BodyInchId, ClientInch>; points: LocatedOnClient[] } {
  const measures = { ...pictureMeasures(file.picture), ...file.measuresMm };
  const inches = clientInches(inchRows, measures);
  const nameOf = (id: string) => landmarks.find((l) => l.id === id)?.name ?? id;
  const rows = file.points ? file.points.map((code) => points.find((p) => p.id === code)!) : points;
  return {
    inches,
    points: rows.map((row) => {
      const distance = pointDistance(row, inches);
      const px = file.picture && inPicture(row, file.picture, inches);
      return {
        code: row.id,
        name: row.name,
        landmark: row.place.landmark,
        words: distanceWords(distance, nameOf),
        legs: distance.legs.map((l) => ({
          way: l.way,
          mm: Math.round(l.mm * 10) / 10,
          plusMinusMm: l.plusMinusMm,
          inches: l.inches,
          inch: l.inch,
          source: l.source,
        })),
        ...(px ? { px } : {}),
      };
    }),
  };
}

/** Measures that a marked picture gives by itself. */
function pictureMeasures(picture: LandmarksFile['picture']): ClientMeasures {
  const at = (id: string) => picture?.landmarks[id];
  const [top, brow] = [at('trichion')?.midline, at('glabella')?.midline];
  const pupil = at('pupil');
  return {
    ...(picture && top && brow ? { hairlineBrow: (brow[1] - top[1]) * picture.mmPerPx } : {}),
    ...(picture && pupil?.left && pupil.right ? { pupils: (pupil.left[0] - pupil.right[0]) * picture.mmPerPx } : {}),
  };
}

function inPicture(
  row: PointRow,
  picture: NonNullable<LandmarksFile['picture']>,
  inches: Record<BodyInchId, ClientInch>,
): LocatedOnClient['px'] | null {
  const from = picture.landmarks[row.place.landmark];
  if (!from || row.place.from !== 'front') return null;
  const [lateral, up] = row.place.cun ?? [0, 0];
  const inHair = row.region === 'scalp';
  const px = (mm: number) => mm / picture.mmPerPx;
  const out: NonNullable<LocatedOnClient['px']> = {};
  for (const side of ['left', 'right', 'midline'] as const) {
    const at = from[side];
    if (!at) continue;
    const outward = side === 'left' ? 1 : side === 'right' ? -1 : 0;
    for (const own of side === 'midline' && lateral !== 0 ? (['left', 'right'] as const) : [side]) {
      const sign = side === 'midline' ? (own === 'left' ? 1 : own === 'right' ? -1 : 0) : outward;
      out[own] = [
        Math.round((at[0] + sign * px(lateral * inches[inHair ? 'forehead' : 'face'].mm)) * 10) / 10,
        Math.round((at[1] - px(up * inches[inHair ? 'middle-finger' : 'face'].mm)) * 10) / 10,
      ];
    }
  }
  return Object.keys(out).length ? out : null;
}
