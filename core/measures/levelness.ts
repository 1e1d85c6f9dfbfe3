import { InputError } from '../words/index.ts';

/**
 * Levelness of a face from landmarks on a front photo: x right, y down, in px, as the photo shows it; the client's
 * right is at the left of the picture. Horizontal is the line through the pupils, scale the visible iris
 * (11.7 ± 0.42 mm; Rüfer, Schröder, Erb. Cornea 2005;24:259–261; sure). Descriptive only: no score of looks, no
 * diagnosis; a new droop of one side goes to emergency care, not on a chart.
 */
const IRIS_MM = 11.7;
const IRIS_SD_MM = 0.42;
/** How surely one mark is placed, one SD in px of the photo. Our choice. */
const MARK_SD_PX = 1.5;
/** Depth of the tip of the nose before the plane of the eyes in mm; from memory, for the hint about a turned head. */
const NOSE_DEPTH_MM = 25;
/** A photo turned further than this is to be taken again. Our choice out of 3–5°. */
export const MOST_TURN_DEG = 4;

/** In the order in which they are asked for. Sides are the client's. */
export const PHOTO_LANDMARKS = [
  'pupil-right',
  'pupil-left',
  'iris-outer',
  'iris-inner',
  'brow-right',
  'brow-left',
  'upper-lid-right',
  'lower-lid-right',
  'upper-lid-left',
  'lower-lid-left',
  'glabella',
  'nose-tip',
  'subnasale',
  'mouth-right',
  'mouth-left',
  'chin',
] as const;
export type PhotoLandmark = (typeof PHOTO_LANDMARKS)[number];
export interface Px {
  /** Right, in px of the photo. */
  x: number;
  /** Down, in px of the photo. */
  y: number;
}
export type PhotoMarks = Partial<Record<PhotoLandmark, Px>>;

/** Sub-pixel clicks are kept; more than this many px wide is no photo of ours. */
const LARGEST_PX = 10_000;

/** @throws InputError naming the landmark that is unknown or lies outside of the picture. */
export function checkedMarks(value: unknown, size: { width: number; height: number }): PhotoMarks {
  if (!value || typeof value !== 'object' || Array.isArray(value))
    throw new InputError('landmarks', 'an object is accepted');
  const out: PhotoMarks = {};
  for (const [key, p] of Object.entries(value as Record<string, Partial<Px> | null>)) {
    if (!PHOTO_LANDMARKS.includes(key as PhotoLandmark))
      throw new InputError(`landmarks.${key}`, 'this landmark is not known');
    const inside = (v: unknown, most: number): v is number =>
      typeof v === 'number' && v >= 0 && v <= Math.min(most, LARGEST_PX);
    if (!p || !inside(p.x, size.width) || !inside(p.y, size.height))
      throw new InputError(`landmarks.${key}`, `a point inside ${size.width} × ${size.height} px is accepted`);
    out[key as PhotoLandmark] = { x: p.x, y: p.y };
  }
  return out;
}

export type LevelKey = 'brow' | 'eye' | 'eye-opening' | 'mouth' | 'nose' | 'chin';
export const LEVEL_NAMES: Record<LevelKey, string> = {
  brow: 'Brows',
  eye: 'Upper lids',
  'eye-opening': 'Eye opening',
  mouth: 'Mouth corners',
  nose: 'Tip of the nose',
  chin: 'Chin',
};

export interface LevelDifference {
  /** Which pair. */
  key: LevelKey;
  /**
   * Heights: positive = the client's left is higher. Eye opening: positive = the client's left is wider. Nose and
   * chin: positive = off the midline to the client's left. In mm.
   */
  mm: number;
  /** 95 % half-width from placing the marks and from the scale, in mm. */
  errorMm: number;
  /** The same from placing alone: what counts between two photos of one person. */
  placingErrorMm: number;
}

export interface Levelness {
  /** Tilt of the head taken out, in degrees. */
  rollDeg: number;
  /** Scale from the iris. */
  mmPerPx: number;
  /** In mm. */
  interpupillaryMm: number;
  /** Relative error of the scale, one SD. */
  scaleError: number;
  /** Each pair with its error. */
  differences: LevelDifference[];
  /** How far the head seems turned, in degrees; null when it cannot be told. */
  turnDeg: number | null;
}

const deg = (rad: number): number => (rad * 180) / Math.PI;
const tilt = (right: Px, left: Px): number => Math.atan2(left.y - right.y, left.x - right.x);
const length = (a: Px, b: Px): number => Math.hypot(a.x - b.x, a.y - b.y);

/** Distance of a point from the line a → b in px; positive = towards the client's left. */
export const offLine = (a: Px, b: Px, p: Px): number =>
  ((p.x - a.x) * (b.y - a.y) - (p.y - a.y) * (b.x - a.x)) / length(a, b);
/** Relative error of the scale, one SD: the spread of irises among people, and the marks at its edges. */
export const scaleErrorOf = (irisPx: number, irisSdPx: number, irisSdMm = IRIS_SD_MM): number =>
  Math.hypot(irisSdMm / IRIS_MM, irisSdPx / irisPx);

/** What still has to be marked before anything can be told. */
export const NEEDED: readonly PhotoLandmark[] = ['pupil-right', 'pupil-left', 'iris-outer', 'iris-inner'];

/** @throws InputError when eyes or iris are not marked, or marked the wrong way round. */
export function levelness(marks: PhotoMarks, markSdPx = MARK_SD_PX): Levelness {
  const missing = NEEDED.find((key) => !marks[key]);
  if (missing) throw new InputError(`landmarks.${missing}`, 'has to be marked first');
  const right = marks['pupil-right']!;
  const left = marks['pupil-left']!;
  if (left.x <= right.x)
    throw new InputError('landmarks.pupil-left', 'the client’s left eye is at the right of the picture');
  const irisPx = length(marks['iris-outer']!, marks['iris-inner']!);
  if (!(irisPx >= 5)) throw new InputError('landmarks.iris-inner', 'the iris has to be at least 5 px wide');
  const pupilsPx = length(right, left);
  const mmPerPx = IRIS_MM / irisPx;
  const roll = tilt(right, left);
  const scaleError = scaleErrorOf(irisPx, markSdPx * Math.SQRT2);
  /** Height above the line of the pupils, in px; up is positive. */
  const above = (p: Px): number => (p.x - right.x) * Math.sin(roll) - (p.y - right.y) * Math.cos(roll);

  const differences: LevelDifference[] = [];
  const tell = (key: LevelKey, px: number, sdPx: number) => {
    const mm = px * mmPerPx;
    const placing = sdPx * mmPerPx;
    differences.push({ key, mm, errorMm: 1.96 * Math.hypot(placing, mm * scaleError), placingErrorMm: 1.96 * placing });
  };
  // Two marks, and the line they are measured from is known by two marks as well.
  const pair = (key: LevelKey, a: PhotoLandmark, b: PhotoLandmark) => {
    const [r, l] = [marks[a], marks[b]];
    if (r && l) tell(key, above(l) - above(r), markSdPx * Math.SQRT2 * Math.sqrt(1 + (length(r, l) / pupilsPx) ** 2));
  };
  pair('brow', 'brow-right', 'brow-left');
  pair('eye', 'upper-lid-right', 'upper-lid-left');
  const [ru, rl, lu, ll] = (['upper-lid-right', 'lower-lid-right', 'upper-lid-left', 'lower-lid-left'] as const).map(
    (k) => marks[k],
  );
  if (ru && rl && lu && ll) tell('eye-opening', above(lu) - above(ll) - (above(ru) - above(rl)), 2 * markSdPx);
  pair('mouth', 'mouth-right', 'mouth-left');
  const [top, under] = [marks.glabella, marks.subnasale];
  let turnDeg: number | null = null;
  if (top && under) {
    const off = (key: LevelKey, p: Px | undefined) => {
      if (!p) return;
      // A point beyond the two that make the line swings with them.
      const along = length(top, p) / length(top, under);
      tell(key, offLine(top, under, p), markSdPx * Math.sqrt(1 + along ** 2 + (1 - along) ** 2));
    };
    off('nose', marks['nose-tip']);
    off('chin', marks.chin);
    const nose = differences.find((d) => d.key === 'nose');
    if (nose) turnDeg = deg(Math.asin(Math.max(-1, Math.min(1, nose.mm / NOSE_DEPTH_MM))));
  }
  return { rollDeg: deg(roll), mmPerPx, interpupillaryMm: pupilsPx * mmPerPx, scaleError, differences, turnDeg };
}

const rounded = (mm: number): string => (Math.round(Math.abs(mm) * 10) / 10).toFixed(1);

/** In words; smaller than its own error is none. */
export function differenceWords({ key, mm, errorMm }: Pick<LevelDifference, 'key' | 'mm' | 'errorMm'>): string {
  if (Math.abs(mm) <= errorMm) return `none that can be told, ± ${rounded(errorMm)} mm`;
  const side = mm > 0 ? 'left' : 'right';
  const how =
    key === 'eye-opening'
      ? `client’s ${side} wider`
      : key === 'nose' || key === 'chin'
        ? `to the client’s ${side}`
        : `client’s ${side} higher`;
  return `${how} by ${rounded(mm)} mm, ± ${rounded(errorMm)}`;
}

export interface LevelChange {
  /** Which pair. */
  key: LevelKey;
  /** Change of the difference, in mm. */
  mm: number;
  /** Its error, in mm. */
  errorMm: number;
  /** null: smaller than its error. */
  toward: 'more even' | 'less even' | null;
}

/** Before and after on one person: what the iris really measures cancels, so placing alone counts. */
export function levelChange(before: Levelness, after: Levelness): LevelChange[] {
  return after.differences.flatMap((now) => {
    const was = before.differences.find((d) => d.key === now.key);
    if (!was) return [];
    const mm = now.mm - was.mm;
    const errorMm = Math.hypot(was.placingErrorMm, now.placingErrorMm);
    const even = Math.abs(now.mm) - Math.abs(was.mm);
    return [
      {
        key: now.key,
        mm,
        errorMm,
        toward: Math.abs(mm) <= errorMm ? null : even < 0 ? ('more even' as const) : ('less even' as const),
      },
    ];
  });
}
