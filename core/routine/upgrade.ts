import { InputError } from '../words/index.ts';
import { BOUNDS, USUAL_SCHOOL } from './model.ts';

/** What version 1 held. Only what the step to version 2 reads is named; the reader of version 2 checks the rest. */
interface Step1 {
  id: unknown;
  technique: unknown;
  label: unknown;
  places: unknown[];
  contact: unknown;
  stillContact: unknown;
  motion: string;
  pressure: unknown;
  returnPressure: unknown;
  sides: unknown;
  dose: {
    parts: Part1[];
    spots: number;
    pauses: Record<string, unknown>;
  };
  swapHands: unknown;
  breath: Pattern1 | null;
  head: string;
  jaw: string;
  eyes: unknown;
  glide: unknown;
  note: unknown;
}
interface Pattern1 {
  inSeconds: number;
  holdInSeconds: number;
  outSeconds: number;
  holdOutSeconds: number;
}
type Part1 = Record<string, unknown> & { kind: string };

const HEAD: Record<string, string> = { still: 'still', turns: 'turns-away', tilts: 'tips-aside', sinks: 'drops' };
const JAW: Record<string, string> = {
  loose: 'loose',
  closed: 'closed',
  open: 'slightly-open',
  moving: 'opens-and-closes',
};
/** What version 1 asked of drainage, beginning and exercise when nobody had said anything. */
const ORDER = { begin: 'neck', exercise: 'after-release', drainage: 'open-and-close' };

const phasesOf = (p: Pattern1) =>
  (
    [
      ['in', p.inSeconds],
      ['hold', p.holdInSeconds],
      ['out', p.outSeconds],
      ['rest', p.holdOutSeconds],
    ] as const
  ).flatMap(([what, seconds]) => (seconds > 0 ? [{ what, seconds: Math.max(0.5, seconds) }] : []));

/** Motions that slide from one place to another, and those that circle. */
const CIRCLING = new Set(['circle']);
const SLIDING = new Set(['glide', 'sweep', 'shear', 'rub', 'roll']);

function strokeOf(step: Step1, bothWays: boolean): string {
  if (CIRCLING.has(step.motion)) return bothWays ? 'circles-both-ways' : 'circles-one-way';
  if (bothWays) return 'one-way-then-other';
  if (SLIDING.has(step.motion)) return 'one-way';
  return step.motion === 'hold' ? 'still' : 'in-place';
}

/**
 * Parts in the present form. Version 1 counted "both ways" for each part; now it is the stroke of the whole step. A
 * step that mixed the two keeps its time: its two-way parts are written out twice.
 */
function partsOf(parts: readonly Part1[], bothWays: boolean): unknown[] {
  return parts.flatMap((part): unknown[] => {
    switch (part.kind) {
      case 'beats': {
        const { count, countMost, perMinute, unit, directions } = part;
        const one = { kind: 'beats', count, most: countMost ?? null, perMinute, unit };
        return directions === 2 && !bothWays ? [one, { ...one }] : [one];
      }
      case 'open': {
        const { until, estimateSeconds, leastSeconds, mostSeconds } = part;
        return [{ kind: 'open', until, usualSeconds: estimateSeconds, leastSeconds, mostSeconds }];
      }
      case 'breath':
        return [{ kind: 'breath', cycles: part.cycles, phases: phasesOf(part.pattern as Pattern1) }];
      default:
        return [part];
    }
  });
}

function stepFrom(step: Step1): unknown {
  const beats = step.dose.parts.filter((p) => p.kind === 'beats');
  const bothWays = beats.length > 0 && beats.every((p) => p.directions === 2);
  const { spots } = step.dose;
  if (!Number.isInteger(spots) || spots < 1 || spots > 12 || step.places.length > 20) throw new RangeError('spots');
  const onePass = beats.length > 0 && step.dose.parts.every((p) => p.kind === 'beats' && p.per === 'pass');
  // Spots without a place each walked through the places that there were, round and round.
  const perPlace = spots > 1 && !onePass;
  const path =
    perPlace && step.places.length
      ? Array.from({ length: Math.max(spots, step.places.length) }, (_, i) => step.places[i % step.places.length])
      : step.places;
  const { leadInSeconds, restSeconds, sideChangeSeconds, directionChangeSeconds, nextSpotSeconds } = step.dose.pauses;
  return {
    kind: 'step',
    id: step.id,
    technique: step.technique,
    label: step.label,
    path,
    contact: step.contact,
    still: step.stillContact === null ? null : { contact: step.stillContact, place: null },
    motion: step.motion,
    stroke: strokeOf(step, bothWays),
    pressure: step.pressure === null ? null : { there: step.pressure, back: step.returnPressure },
    sides: step.sides,
    dose: {
      parts: partsOf(step.dose.parts, bothWays),
      perPlace,
      pauses: {
        findPlaceSeconds: leadInSeconds,
        nextPlaceSeconds: nextSpotSeconds,
        directionChangeSeconds,
        restSeconds,
        sideChangeSeconds,
        swapSeconds: restSeconds,
      },
    },
    swap: step.swapHands === true ? 'each-set' : 'none',
    body: { head: HEAD[step.head] ?? step.head, jaw: JAW[step.jaw] ?? step.jaw, eyes: step.eyes, tongue: 'rest' },
    breath: step.breath && { phases: phasesOf(step.breath), words: '' },
    glide: step.glide,
    note: step.note,
  };
}

/**
 * Version 1 → 2. Steps become items; spots become a path; "both ways" becomes the stroke; the two pressures, head, jaw
 * and eyes, and the pattern of a breath take their new forms; what the order said becomes a departure from the usual
 * school. The time of a routine stays, but for passes over several spots, whose pauses between spots fall away.
 * @throws InputError when the value is no version 1.
 */
export function fromVersion1(value: Record<string, unknown>): unknown {
  const { format, name, budgetMinutes, order, steps } = value;
  if (!Array.isArray(steps)) throw new InputError('steps', 'must be a list');
  // Counted before they are read: there may be very many.
  if (steps.length > BOUNDS.steps[1])
    throw new InputError('steps', `holds too many steps; at most ${BOUNDS.steps[1]} are accepted`);
  const departs = Object.entries(ORDER).some(([key, usual]) => (order as Record<string, unknown>)?.[key] !== usual);
  const items = steps.map((step, i) => {
    try {
      return stepFrom(step as Step1);
    } catch {
      throw new InputError(`steps[${i}]`, 'cannot be read as a step of version 1');
    }
  });
  return {
    format,
    schemaVersion: 2,
    name,
    budgetMinutes,
    school: USUAL_SCHOOL,
    order: departs && order ? { ...(order as object), reason: '' } : null,
    items,
    notes: '',
  };
}
