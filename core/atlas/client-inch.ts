import type { BodyInchId, BodyInchRow } from './rows.ts';
import type { InchesMm } from './body-inch.ts';
import { CLIENT_MEASURES, type ClientMeasureId, type ClientMeasures } from './client-measure.ts';

/** A body-inch of one client in one region. */
export interface ClientInch {
  /** Which distance gives it. */
  id: BodyInchId;
  /** Length of one body-inch on this client, in mm. */
  mm: number;
  /** One standard deviation of `mm`. */
  errorMm: number;
  /** measured, or from proportions of the head. */
  source: 'measured' | 'finger' | 'average';
  /** What it rests on, in words. */
  basis: string;
}

/** How far a finger-inch strays from the inch of a region on the same body: one SD as a share. Our choice. */
const FINGER_STRAYS = 0.12;

/**
 * The body-inch of a region on this client: from its own distance where it was measured, else from the client's
 * finger, else the adult average; it always says which.
 */
function clientInch(row: BodyInchRow, rows: readonly BodyInchRow[], measures: ClientMeasures): ClientInch {
  const own = measured(row, measures);
  if (own) return own;
  for (const id of ['middle-finger', 'thumb', 'four-fingers'] as const) {
    const finger = rows.find((r) => r.id === id);
    const unit = finger && finger.id !== row.id ? measured(finger, measures) : null;
    if (!unit) continue;
    // A finger-inch is laid against the region by the ratio of the adult averages: the scalp's inch is longer.
    const ratio = row.adult.mm / finger!.adult.mm;
    const mm = unit.mm * ratio;
    return {
      id: row.id,
      mm,
      errorMm: Math.hypot(unit.errorMm * ratio, FINGER_STRAYS * mm),
      source: 'finger',
      basis: `from the client’s ${finger!.name}`,
    };
  }
  return {
    id: row.id,
    mm: row.adult.mm,
    errorMm: row.adult.sdMm,
    source: 'average',
    basis: 'adult average, not measured',
  };
}

function measured(row: BodyInchRow, measures: ClientMeasures): ClientInch | null {
  const value = row.measure ? measures[row.measure] : undefined;
  if (!row.measure || value === undefined) return null;
  return {
    id: row.id,
    mm: value / row.inches,
    errorMm: CLIENT_MEASURES[row.measure].errorMm / row.inches,
    source: 'measured',
    basis: `measured: ${value} mm ÷ ${row.inches}`,
  };
}

export const clientInches = (rows: readonly BodyInchRow[], measures: ClientMeasures): Record<BodyInchId, ClientInch> =>
  Object.fromEntries(rows.map((row) => [row.id, clientInch(row, rows, measures)])) as Record<BodyInchId, ClientInch>;

/** The same, lengths alone: what the chart is laid off with, so that a place is drawn where it is told. */
export const inchesMm = (rows: readonly BodyInchRow[], measures: ClientMeasures): InchesMm =>
  Object.fromEntries(rows.map((row) => [row.id, clientInch(row, rows, measures).mm])) as Record<BodyInchId, number>;

/** Measures of a client, with those distances that nobody took but the client's finger tells: the head is drawn to both. */
export function withFingers(rows: readonly BodyInchRow[], measures: ClientMeasures): ClientMeasures {
  const out: Partial<Record<ClientMeasureId, number>> = { ...measures };
  for (const row of rows) {
    const inch = clientInch(row, rows, measures);
    if (row.measure && inch.source === 'finger') out[row.measure] = inch.mm * row.inches;
  }
  return out;
}
