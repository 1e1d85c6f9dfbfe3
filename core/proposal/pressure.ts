import { admit, breachesOf } from '../limits/index.ts';
import { pressed, type Step, type Technique } from '../routine/index.ts';
import { checkAlone } from '../rules/index.ts';
import { FACE_REGIONS, PRESSURE_KPA, PRESSURES, pressureRank, type Pressure } from '../words/index.ts';
import type { Library, ProposalCase } from './case.ts';
import { NOT_SORE_CAP, SORE_CAP, STRONG_HEADACHE, THRESHOLD_SHARE } from './constants.ts';
import { areaOfMuscle } from './trade.ts';

/** A step as it may be done, what care it asks for, and what made it lighter; or why it may not. */
export type Admission = { step: Step; care: string | null; lowered: string | null } | { ban: string };

/**
 * The pressure at which a step may be done: from where it stands downward, the first without a stop and without a call
 * for care; else the first without a stop, marked with its care. On one side alone where the other is off limits.
 * @param least Of the technique; null where nothing presses.
 */
export function admitted(step: Step, least: Pressure | null, c: ProposalCase, { catalogue }: Library): Admission {
  let withCare: { step: Step; care: string; lowered: string | null } | null = null;
  let ban = '';
  /** What the harder pressures ran into. */
  let lowered: string | null = null;
  const from = step.pressure ? pressureRank(step.pressure.there) : 1;
  const to = step.pressure && least ? pressureRank(least) : from;
  for (let rank = from; rank >= to; rank--) {
    const asked = step.pressure ? { ...step, pressure: pressed(PRESSURES[rank - 1]!) } : step;
    // What is too hard is tried lighter here; a side that is off limits is left out.
    const outright = breachesOf(asked, c.screening, catalogue).find((b) => b.effect === 'ban' && b.lowerTo === null);
    const oneSide = outright ? admit(asked, c.screening, catalogue) : null;
    if (oneSide && !oneSide.step) {
      ban = oneSide.ban;
      continue;
    }
    const tried = oneSide?.step ?? asked;
    const said = checkAlone(tried, catalogue, c.screening);
    if (said.stop) {
      ban = outright?.reason ?? said.stop;
      lowered ??= ban;
      continue;
    }
    const at: Step =
      said.eachSide && tried.sides.mode === 'together' ? { ...tried, sides: { ...tried.sides, mode: 'each' } } : tried;
    if (!said.care) return { step: at, care: null, lowered };
    withCare ??= { step: at, care: said.care, lowered };
    lowered ??= said.care;
  }
  return withCare ?? { ban };
}

type ThresholdKnown = ProposalCase['thresholds'][number];
/** The lowest of a client's thresholds where a technique works, and what may be pressed there at most; null where none was taken. */
export function thresholdCap<T extends ThresholdKnown>(
  { muscles }: Pick<Technique, 'muscles'>,
  thresholds: readonly T[],
): (T & { capKpa: number }) | null {
  const areas = new Set(muscles.map(areaOfMuscle));
  const there = thresholds.filter((x) => areas.has(areaOfMuscle(x.muscle)));
  const lowest = there.reduce<T | null>((low, x) => (low && low.kpa <= x.kpa ? low : x), null);
  return lowest && { ...lowest, capKpa: THRESHOLD_SHARE * lowest.kpa };
}

/** Most pressure for what hurts: sore places, a strong headache, the client's own threshold, a wish for gentler. */
export function startPressure(
  t: Technique,
  usual: Pressure,
  c: ProposalCase,
): { pressure: Pressure; why: string | null } {
  let rank = pressureRank(usual);
  let why: string | null = null;
  const cap = (p: Pressure, reason: string): void => {
    if (pressureRank(p) >= rank) return;
    rank = pressureRank(p);
    why = reason;
  };
  const areas = new Set(t.muscles.map(areaOfMuscle));
  const sore = Math.max(0, ...c.tenderness.filter((x) => areas.has(areaOfMuscle(x.muscle))).map((x) => x.grade));
  if (sore < 2) cap(NOT_SORE_CAP, sore ? 'only mildly sore there' : 'nothing is sore there');
  if (sore === 3) cap(SORE_CAP, 'sore 3 of 3');
  const head = t.regions.some((r) => FACE_REGIONS.includes(r) || r === 'scalp');
  if (head && c.complaints.some((x) => x.kind === 'headache' && x.score >= STRONG_HEADACHE.score))
    cap(STRONG_HEADACHE.cap, 'strong headache');
  const own = thresholdCap(t, c.thresholds);
  if (own) {
    const bearable = PRESSURES.filter((p) => PRESSURE_KPA[p].nominal <= own.capKpa);
    cap(bearable.at(-1) ?? 'feather', `their threshold is ${Math.round(own.kpa)} kPa`);
  }
  if (c.ask.gentler && rank > 1) cap(PRESSURES[rank - 2]!, 'gentler was wished');
  return { pressure: PRESSURES[rank - 1]!, why };
}
