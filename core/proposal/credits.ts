import type { Step, Technique } from '../routine/index.ts';
import { FACE_REGIONS, type ComplaintKind, type Phase, type Region } from '../words/index.ts';
import type { Library, ProposalCase } from './case.ts';
import {
  HEAT_ON_SORE,
  LIMITED_OPENING,
  MUST_REACH,
  NEIGHBOUR,
  ON_SORE,
  OPEN_DOSE,
  PHASE_FOR_COMPLAINT,
  PHASE_FOR_MUSCLE,
  PLAIN_WORK,
  PREFERRED_CRAFT,
  REACH,
  REACH_NONE,
  RESPONSE,
  SAME_TECHNIQUE,
  SERVES,
  THROUGH_REGION,
  WISHED_EXERCISE,
} from './constants.ts';
import { totalsOfSteps } from './doses.ts';
import type { Target } from './targets.ts';
import { areaOfMuscle, COMPLAINT_MUSCLES, COMPLAINT_REGIONS } from './trade.ts';
import type { Way } from './ways.ts';

export const isDrainage = (t: Technique): boolean => t.phase === 'open-drainage' || t.phase === 'close-drainage';

/** What the client's own response makes of a technique: 1 where nothing is known, held within its most. */
export function responseFactor(technique: string, c: Pick<ProposalCase, 'response' | 'practiceEffect'>): number {
  const own = c.response.find((r) => r.technique === technique);
  if (!own) return 1;
  // Little known, little said: shrunk by the spread between techniques against the error of this one.
  const k = RESPONSE.tau ** 2 / (RESPONSE.tau ** 2 + own.standardError ** 2);
  const shift = RESPONSE.perPoint * k * (own.effect - c.practiceEffect);
  return 1 + Math.max(-RESPONSE.most, Math.min(RESPONSE.most, shift));
}

/** Craft, kind of dose, opening, heat and what helped before, in one factor. */
function factorOf(t: Technique, step: Step, c: ProposalCase, way: Way): number {
  let f = way.prefers.includes(t.craft) ? PREFERRED_CRAFT : 1;
  if (step.dose.parts.every((p) => p.kind === 'open')) f *= OPEN_DOSE;
  if (t.plain) f *= PLAIN_WORK;
  if (c.openingMm !== null && c.openingMm < LIMITED_OPENING.mm && movesJaw(step)) f *= LIMITED_OPENING.factor;
  const sore = c.tenderness.some((x) => x.grade >= MUST_REACH && t.muscles.includes(x.muscle));
  if (sore && t.words.includes('heat')) f *= HEAT_ON_SORE;
  return f * responseFactor(t.id, c);
}

/** The jaw opens meanwhile. */
export const movesJaw = ({ body }: Step): boolean => body.jaw === 'opens-and-closes' || body.jaw === 'wide';

/**
 * Effective minutes of a step on every target: hands-on minutes that reach its side, how well they do, how much of the
 * contact goes there.
 * @param listed Muscles for which the library has a technique of its own.
 */
export function creditsOf(
  t: Technique,
  step: Step,
  targets: readonly Target[],
  c: ProposalCase,
  way: Way,
  listed: ReadonlySet<string>,
  { muscles }: Library,
): Map<string, number> {
  const credits = new Map<string, number>();
  const { left, right, midline } = totalsOfSteps([step]).workSeconds;
  const factor = factorOf(t, step, c, way);
  const reach = step.pressure ? REACH[step.pressure.there] : REACH_NONE;
  const areas = [...new Set(t.muscles.map(areaOfMuscle))];
  const share = 1 / Math.sqrt(Math.max(1, areas.length));
  const regionOf = (muscle: string): Region | undefined => muscles.find((m) => m.id === muscle)?.region;
  const isWished = t.phase === 'exercise' && c.ask.exercises;
  const phaseShare = (of: Record<Phase, number>) => (isWished ? Math.max(WISHED_EXERCISE, of[t.phase]) : of[t.phase]);
  const onMuscle = (target: Target): number => {
    const covers = t.muscles.includes(target.of)
      ? share
      : areas.includes(areaOfMuscle(target.of))
        ? share * NEIGHBOUR
        : !listed.has(target.of) && t.regions.includes(regionOf(target.of) ?? 'body')
          ? THROUGH_REGION
          : 0;
    const stays = target.must && ['release', 'press', 'neck'].includes(t.phase) ? (ON_SORE[step.motion] ?? 1) : 1;
    return covers * phaseShare(PHASE_FOR_MUSCLE) * reach * stays;
  };
  const onRegion = (target: Target): number => {
    const at = t.regions.indexOf(target.of as Region);
    const whole = t.regions.includes('whole-face') && FACE_REGIONS.includes(target.of as Region);
    const covers = at === 0 ? 1 : at > 0 ? 0.6 : whole ? 0.4 : 0;
    return covers * Math.max(0.2, PHASE_FOR_MUSCLE[t.phase]) * Math.max(reach, REACH_NONE);
  };
  const onComplaint = (target: Target): number => {
    const kind = target.of as ComplaintKind;
    const rank = t.serves.indexOf(kind);
    const quiet = t.phase === 'breathe' || t.phase === 'settle';
    const there = quiet || t.regions.some((r) => COMPLAINT_REGIONS[kind].includes(r));
    const match =
      rank >= 0
        ? (rank === 0 ? SERVES.first : SERVES.later) * (there ? 1 : SERVES.elsewhere)
        : t.muscles.some((m) => COMPLAINT_MUSCLES[kind].includes(m))
          ? SERVES.muscleOnly
          : 0;
    const gentle = kind === 'stress' || kind === 'puffiness' || quiet || isDrainage(t);
    return match * phaseShare(PHASE_FOR_COMPLAINT[kind]) * (gentle ? 1 : Math.max(0.5, reach));
  };
  for (const target of targets) {
    const seconds = target.side ? (target.side === 'left' ? left : right) + midline : (left + right) / 2 + midline;
    const whole = seconds / 60;
    const minutes =
      Math.min(whole, SAME_TECHNIQUE.minutes) + SAME_TECHNIQUE.after * Math.max(0, whole - SAME_TECHNIQUE.minutes);
    const of = { muscle: onMuscle, region: onRegion, complaint: onComplaint }[target.kind](target);
    if (of * minutes > 0) credits.set(target.id, of * minutes * factor);
  }
  return credits;
}
