import { InputError, type Side } from '../words/index.ts';
import { nrsScore } from './nrs.ts';
import type { MeasureRow } from './row.ts';
import { tenderness } from './tenderness.ts';

/** What a reading belongs to: the whole client, one of the two sides, a complaint, a muscle and side, or a region. */
type Belongs = 'client' | 'side' | 'complaint' | 'muscle' | 'region';

/** A measure of a single number, read at one place. */
export interface ReadingMeasure extends MeasureRow {
  /** What the number counts. */
  unit: 'of 10' | 'of 3' | 'mm' | 'kPa' | 'fingers' | 'yes or no' | 'felt';
  /** What a reading of it is of. */
  belongs: Belongs;
  /** Most that can be taken. */
  most: number;
}
type Row = Omit<ReadingMeasure, 'id'>;
const measure = (
  code: string,
  name: string,
  unit: Row['unit'],
  better: Row['better'],
  belongs: Belongs,
  least: number,
  most: number,
  more: Partial<Pick<Row, 'error' | 'matters' | 'minutes'>> = {},
): Row => ({
  code,
  name,
  unit,
  better,
  belongs,
  least,
  most,
  error: null,
  matters: null,
  minutes: 0.5,
  licence: 'free',
  ...more,
});

const RATING = { matters: { amount: 2, percent: 30, source: 'Farrar et al. 2001' } };
const OPENING = { error: { amount: 9, possibleFrom: 5, source: 'Kropmans et al. 1999, 2000' }, minutes: 1 };
const THRESHOLD = {
  error: { amount: 47, place: 'trapezius-upper', source: 'Walton et al. 2011, from memory' },
  minutes: 2,
};

const ROWS = {
  'nrs-now': measure('NRS_NOW', 'Now', 'of 10', 'down', 'complaint', 0, 10, RATING),
  'nrs-worst-week': measure('NRS_WORST_7D', 'Worst, past week', 'of 10', 'down', 'complaint', 0, 10, RATING),
  'nrs-average-week': measure('NRS_AVERAGE_7D', 'Average, past week', 'of 10', 'down', 'complaint', 0, 10, RATING),
  /** All three openings include the overlap of the front teeth. */
  'opening-mm': measure('OPENING_COMFORTABLE', 'Opening, comfortable', 'mm', 'up', 'client', 0, 90, OPENING),
  'opening-furthest-mm': measure('OPENING_FURTHEST', 'Opening, furthest alone', 'mm', 'up', 'client', 0, 90, OPENING),
  'opening-assisted-mm': measure('OPENING_HELPED', 'Opening, gently helped', 'mm', 'up', 'client', 0, 90, OPENING),
  'overlap-mm': measure('OVERLAP', 'Overlap of the front teeth', 'mm', null, 'client', -15, 15),
  'opening-fingers': measure('OPENING_FINGERS', 'Finger widths', 'fingers', 'up', 'client', 0, 4),
  'sideways-mm': measure('SIDEWAYS', 'Sideways', 'mm', 'up', 'side', 0, 25),
  'midline-mm': measure('MIDLINE', 'Lower midline off at rest', 'mm', null, 'side', 0, 10),
  'forward-mm': measure('FORWARD', 'Forward', 'mm', 'up', 'client', 0, 20),
  'overjet-mm': measure('OVERJET', 'Upper teeth in front at rest', 'mm', null, 'client', -15, 15),
  'path-off-mm': measure('PATH_OFF', 'Furthest off while opening', 'mm', null, 'side', 0, 20),
  'path-returns': measure('PATH_RETURNS', 'Back on the midline at full opening', 'yes or no', null, 'client', 0, 1),
  'click-opening-mm': measure('CLICK_OPENING', 'Click while opening, at', 'mm', null, 'side', 0, 90),
  'click-closing-mm': measure('CLICK_CLOSING', 'Click while closing, at', 'mm', null, 'side', 0, 90),
  /** One grade is as much as two examiners differ by. */
  tenderness: measure('TENDERNESS', 'Tenderness', 'of 3', 'down', 'muscle', 0, 3, {
    error: { amount: 2, source: 'our choice' },
  }),
  /** The press brought up the pain the client knows; after the examiner protocol of Schiffman et al. 2014. */
  'familiar-pain': measure('FAMILIAR_PAIN', 'Your pain', 'yes or no', null, 'muscle', 0, 1),
  /** Mean of the second and third trial; the trials themselves are kept with the visit's findings. */
  'pressure-threshold': measure('PRESSURE_THRESHOLD', 'Pressure threshold', 'kPa', 'up', 'muscle', 1, 2000, THRESHOLD),
  /** The scan from inside: 0 nothing noticed, 1 at ease, 2 tense. Common practice, no source. */
  'region-felt': measure('REGION_FELT', 'Felt from inside', 'felt', null, 'region', 0, 2),
} satisfies Record<string, Row>;
/** What can be read at a visit, by id. */
export const MEASURES = Object.fromEntries(Object.entries(ROWS).map(([id, row]) => [id, { id, ...row }])) as {
  [K in keyof typeof ROWS]: ReadingMeasure;
};
export type MeasureKey = keyof typeof MEASURES;
export const FELT_WORDS = ['nothing noticed', 'at ease', 'tense'] as const;
export const MEASURE_KEYS = Object.keys(MEASURES) as MeasureKey[];

/** What the work of one visit can change: asked again right after it wherever it was measured before. */
const ASKED_AGAIN: ReadonlySet<MeasureKey> = new Set<MeasureKey>([
  'nrs-now',
  'opening-mm',
  'opening-furthest-mm',
  'opening-assisted-mm',
  'opening-fingers',
  'sideways-mm',
  'forward-mm',
  'midline-mm',
  'path-off-mm',
  'click-opening-mm',
  'click-closing-mm',
  'tenderness',
  'pressure-threshold',
  'region-felt',
]);
/** What was measured before the work of a visit and not again after it, in the order of the catalogue. */
export const notAskedAgain = (readings: readonly Reading[]): Reading[] =>
  readings
    .filter(
      (r) =>
        r.phase === 'before' &&
        ASKED_AGAIN.has(r.measure) &&
        !readings.some((a) => a.phase === 'after' && readingKey(a) === readingKey(r)),
    )
    .sort((a, b) => MEASURE_KEYS.indexOf(a.measure) - MEASURE_KEYS.indexOf(b.measure));

/** before and after the work of a visit, or between visits. */
export const READING_PHASES = ['before', 'after', 'between'] as const;
export type ReadingPhase = (typeof READING_PHASES)[number];
/** Who took it: the practitioner; the client at home, or by telephone; another record it came from. */
export const READING_SOURCES = ['studio', 'home', 'telephone', 'imported'] as const;
export type ReadingSource = (typeof READING_SOURCES)[number];

export interface Reading {
  /** Id in the registry. */
  measure: MeasureKey;
  /** Null unless the measure belongs to a complaint. */
  complaintId: string | null;
  /** Id of a muscle or region; empty where the measure has no place. */
  place: string;
  /** The client's. */
  side: Side;
  /** Before or after the work, or between visits. */
  phase: ReadingPhase;
  /** In the unit of its measure. */
  value: number;
  /** Who took it. */
  source: ReadingSource;
  /** ISO 8601. */
  takenAt: string;
  /** Null between visits. */
  visitId: string | null;
}

/** What a reading is of, whenever it was taken: one key for one thing. */
export const readingKey = (r: Pick<Reading, 'measure' | 'complaintId' | 'place' | 'side'>): string =>
  `${r.measure}|${r.complaintId ?? ''}|${r.place}|${r.side}`;

/** One thing as it was read before and after the work of one visit; null where it was not. */
export interface BeforeAfter extends Pick<Reading, 'measure' | 'complaintId' | 'place' | 'side'> {
  before: number | null;
  after: number | null;
}
/** The readings of one visit, each thing once, in the order in which they were first taken. */
export function beforeAndAfter(readings: readonly Reading[]): BeforeAfter[] {
  const things = new Map<string, BeforeAfter>();
  for (const r of readings) {
    if (r.phase === 'between') continue;
    const { measure, complaintId, place, side } = r;
    const thing = things.get(readingKey(r)) ?? { measure, complaintId, place, side, before: null, after: null };
    things.set(readingKey(r), { ...thing, [r.phase]: r.value });
  }
  return [...things.values()];
}

/** One thing as it was read before, oldest first. */
export interface EarlierReadings extends Pick<Reading, 'measure' | 'complaintId' | 'place' | 'side'> {
  /** The latest few, oldest first, in the unit of the measure. */
  values: number[];
  /** The very first, which the latest need not reach back to. */
  first: number;
}

/** @throws InputError naming `field` and what is accepted. */
export function checkedReading(key: MeasureKey, value: unknown, field = 'value'): number {
  const { unit, least, most } = MEASURES[key];
  if (unit === 'of 10') return nrsScore(value, field);
  if (unit === 'of 3') return tenderness(value, field);
  const measured = unit === 'mm' || unit === 'kPa';
  const fits =
    typeof value === 'number' &&
    Number.isFinite(value) &&
    value >= least &&
    value <= most &&
    (measured || Number.isInteger(value));
  if (!fits)
    throw new InputError(
      field,
      measured ? `${least} to ${most} ${unit} is accepted` : `a whole number from ${least} to ${most} is accepted`,
    );
  return value;
}
