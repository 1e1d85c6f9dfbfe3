import { pressureThreshold, tenderness, type Tenderness, type ThresholdTrial } from '../measures/index.ts';
import { FLAT_VIEWS, leftEdge, PX_PER_MM, type View } from '../drawing/index.ts';
import { InputError, type OneSide, type Region, REGION_NAMES, REGIONS } from '../words/index.ts';

/** A press on one muscle that was felt somewhere else: from where to where. */
export interface FeltElsewhere {
  /** Id of the muscle that was pressed. */
  muscle: string;
  /** Side of the press, the client’s. */
  side: OneSide;
  /** Region it was felt in. */
  to: Region;
  /** Side it was felt on, the client’s. */
  toSide: OneSide | 'midline';
}

/** A tight spot pinned anywhere: so far from a place that is drawn, so that it moves with a drawing fitted to the client. */
export interface TightSpot {
  /** Made on the device. */
  id: string;
  /** View it was pinned in. */
  view: View;
  /** Key of the place it is measured from. */
  anchor: string;
  /** Right and down as the view shows it unmirrored, in mm. */
  rightMm: number;
  /** The same, downward. */
  downMm: number;
  /** 0–3; null when not said. */
  tenderness: Tenderness | null;
  /** Free words. */
  words: string;
}

const ANCHOR = /^(landmark|point):[A-Za-z0-9-]{1,60}\.(left|right|midline)$/;

/** The presses behind a pressure threshold. */
interface ThresholdTrials {
  muscle: string;
  side: OneSide;
  tipCm2: number;
  trials: ThresholdTrial[];
  /** What measured: a device's own name, or "typed". */
  device: string;
}

/** What Assess finds that is no single number. */
export interface Findings {
  /** Presses felt elsewhere. */
  feltElsewhere: FeltElsewhere[];
  /** Pinned spots. */
  spots: TightSpot[];
  /** Presses behind thresholds. */
  thresholds: ThresholdTrials[];
}
export const EMPTY_FINDINGS: Findings = { feltElsewhere: [], spots: [], thresholds: [] };
/** Stored findings may be older than a kind of them. */
export const withFindings = (stored: Partial<Findings> | null | undefined): Findings => ({
  ...EMPTY_FINDINGS,
  ...stored,
});

export const MOST_SPOTS = 40;
/** Presses behind one threshold. */
const MOST_TRIALS = 12;
/** A pin is never further than this from what it is measured from. */
const FURTHEST_MM = 400;

/** A spot in px of the sheet of its view, from the px of its anchor. */
export const spotPx = (spot: TightSpot, anchor: { x: number; y: number }): { x: number; y: number } => ({
  x: anchor.x + spot.rightMm * PX_PER_MM,
  y: anchor.y + spot.downMm * PX_PER_MM,
});

/** The drawn place nearest to a point of a sheet, and the way from it. */
export function pinAt(
  x: number,
  y: number,
  drawn: readonly { key: string; x: number; y: number }[],
): Pick<TightSpot, 'anchor' | 'rightMm' | 'downMm'> | null {
  let best: { key: string; x: number; y: number } | null = null;
  for (const d of drawn) if (!best || Math.hypot(d.x - x, d.y - y) < Math.hypot(best.x - x, best.y - y)) best = d;
  const mm = (px: number) => Math.round((px / PX_PER_MM) * 10) / 10;
  return best && { anchor: best.key, rightMm: mm(x - best.x), downMm: mm(y - best.y) };
}

/** "12 mm above, 4 mm to the client's left of": the way from the anchor in words, sides the client's. */
export function offsetWords({ view, rightMm, downMm }: Pick<TightSpot, 'view' | 'rightMm' | 'downMm'>): string {
  const parts: string[] = [];
  const [up, across] = [Math.round(downMm), Math.round(rightMm)];
  if (up)
    parts.push(
      `${Math.abs(up)} mm ${view === 'top' ? (up < 0 ? 'behind' : 'in front of') : up < 0 ? 'above' : 'below'}`,
    );
  if (across) parts.push(`${Math.abs(across)} mm ${acrossWords(view, across)}`);
  return parts.length ? parts.join(', ') : 'at';
}

function acrossWords(view: View, across: number): string {
  if (view === 'left' || view === 'right') return across < 0 === (view === 'left') ? 'forward of' : 'back of';
  if (view === 'palms' || view === 'backs') return across > 0 ? 'right of, as drawn,' : 'left of, as drawn,';
  const towardLeft = across > 0 === (leftEdge(view) === 'right');
  return `to the client’s ${towardLeft ? 'left' : 'right'} of`;
}

/** The three lists of findings. @throws InputError naming what is wrong. */
export function checkedFindings(value: unknown, known: { muscle: (id: string) => boolean }): Findings {
  const v = value as Partial<Findings> | null;
  if (!v || typeof v !== 'object') throw new InputError('findings', 'an object is accepted');
  const list = <T>(name: keyof Findings, most: number): T[] => {
    const of = v[name];
    if (!Array.isArray(of) || of.length > most) throw new InputError(name, `a list of at most ${most} is accepted`);
    return of as T[];
  };
  const side = (s: unknown, field: string): OneSide => {
    if (s !== 'left' && s !== 'right') throw new InputError(field, 'the client’s left or right is accepted');
    return s;
  };
  const muscle = (id: unknown, field: string): string => {
    if (typeof id !== 'string' || !known.muscle(id)) throw new InputError(field, 'a known muscle is accepted');
    return id;
  };
  return {
    feltElsewhere: list<FeltElsewhere>('feltElsewhere', 120).map((f, i) => {
      const at = `feltElsewhere[${i}]`;
      if (!REGIONS.includes(f?.to)) throw new InputError(`${at}.to`, 'a known region is accepted');
      return {
        muscle: muscle(f.muscle, `${at}.muscle`),
        side: side(f.side, `${at}.side`),
        to: f.to,
        toSide: f.toSide === 'midline' ? 'midline' : side(f.toSide, `${at}.toSide`),
      };
    }),
    spots: list<TightSpot>('spots', MOST_SPOTS).map((s, i) => {
      const at = `spots[${i}]`;
      if (typeof s?.id !== 'string' || !/^[A-Za-z0-9-]{1,64}$/.test(s.id))
        throw new InputError(`${at}.id`, '1 to 64 letters, digits or dashes are accepted');
      // Told in mm of a picture, which are true on a flat one only.
      if (!FLAT_VIEWS.some((v) => v === s.view)) throw new InputError(`${at}.view`, 'a known flat view is accepted');
      // Of this chart or of an earlier one: a pin whose anchor is drawn no longer is kept all the same.
      if (typeof s.anchor !== 'string' || !ANCHOR.test(s.anchor))
        throw new InputError(`${at}.anchor`, 'the key of a landmark or point is accepted');
      for (const key of ['rightMm', 'downMm'] as const)
        if (typeof s[key] !== 'number' || !(Math.abs(s[key]) <= FURTHEST_MM))
          throw new InputError(`${at}.${key}`, `−${FURTHEST_MM} to ${FURTHEST_MM} mm is accepted`);
      if (typeof s.words !== 'string' || s.words.length > 200)
        throw new InputError(`${at}.words`, 'at most 200 letters are accepted');
      return {
        id: s.id,
        view: s.view,
        anchor: s.anchor,
        rightMm: s.rightMm,
        downMm: s.downMm,
        tenderness: s.tenderness === null ? null : tenderness(s.tenderness, `${at}.tenderness`),
        words: s.words,
      };
    }),
    thresholds: list<ThresholdTrials>('thresholds', 60).map((t, i) => {
      const at = `thresholds[${i}]`;
      const trials = Array.isArray(t?.trials)
        ? t.trials.slice(0, MOST_TRIALS + 1).map((one) => ({
            kpa: one?.kpa,
            rampKpaPerSecond: one?.rampKpaPerSecond ?? null,
            ...(one?.slipped === true ? { slipped: true } : {}),
          }))
        : [];
      if (trials.length > MOST_TRIALS)
        throw new InputError(`${at}.trials`, `at most ${MOST_TRIALS} presses are accepted`);
      pressureThreshold(trials, t?.tipCm2);
      if (typeof t.device !== 'string' || t.device.length > 80)
        throw new InputError(`${at}.device`, 'at most 80 letters are accepted');
      return {
        muscle: muscle(t.muscle, `${at}.muscle`),
        side: side(t.side, `${at}.side`),
        tipCm2: t.tipCm2,
        trials,
        device: t.device,
      };
    }),
  };
}

/** Where a press was felt: "temple, left". */
export const feltWords = (f: Pick<FeltElsewhere, 'to' | 'toSide'>): string =>
  `${REGION_NAMES[f.to]}${f.toSide === 'midline' ? '' : `, ${f.toSide}`}`;
