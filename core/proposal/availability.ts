import { onOneSide } from '../limits/index.ts';
import type { Step, Technique } from '../routine/index.ts';
import { otherSide } from '../words/index.ts';
import type { LeftOutWhy, ProposalCase } from './case.ts';
import { LIMITED_OPENING } from './constants.ts';
import { isDrainage } from './credits.ts';
import type { Way } from './ways.ts';

/** Postures that nobody changes into in the middle of a treatment. */
const APART: ReadonlySet<Technique['position']> = new Set<Technique['position']>(['standing', 'face-down', 'head-low']);
/** The opening is the one number there is: it is taken again where it was limited. */
export const wantsRetest = ({ openingMm, ask }: ProposalCase): boolean =>
  openingMm !== null &&
  openingMm < LIMITED_OPENING.mm &&
  ask.minutes !== null &&
  ask.minutes >= LIMITED_OPENING.fromMinutes;

/** Assessing, preparing and what several steps share: done in its own stage or as a unit, never chosen by itself. */
export function isNoWork(t: Technique, c: ProposalCase, way: Way): boolean {
  if (t.roles.includes('retests-opening')) return !wantsRetest(c);
  if (t.isTest || t.roles.some((r) => r !== 'soothes')) return true;
  if (t.phase === 'compare') return true;
  return t.phase === 'prepare' && !(way.prefers.includes('breathwork') && t.by === 'both');
}

/** Why a technique is out before anything of this client is looked at. */
export function unavailable(t: Technique, c: ProposalCase, way: Way): [LeftOutWhy, string] | null {
  if (c.ask.excluded.includes(t.id)) return ['excluded', 'taken out by the practitioner'];
  if (t.tool && !c.ask.tools.includes(t.tool)) return ['tool', `needs the ${t.tool.replaceAll('-', ' ')}, not at hand`];
  const ownMuscles = t.phase === 'exercise' || t.motion === 'breathe';
  if (c.ask.hands === 'practitioner' && t.by === 'client' && !ownMuscles) return ['hands-of', 'done on oneself'];
  if (c.ask.hands === 'own' && t.by === 'practitioner') return ['hands-of', 'cannot be done on oneself'];
  if (c.ask.hands === 'practitioner' && APART.has(t.position))
    return ['position', `asks the client to change to ${t.position.replaceAll('-', ' ')}`];
  if (isDrainage(t) && way.order.drainage === 'none') return ['school', `${way.name} has no drainage`];
  if (t.phase === 'open-drainage' && way.stationsMost === 0) return ['school', `${way.name} does not open a drainage`];
  return null;
}

/** A step beside muscles that are left alone: as it is, on the free side, or not at all. */
export function besideResting(
  step: Step,
  t: Technique,
  resting: ReadonlyMap<string, string>,
): { step: Step | null; title: string } {
  if (!step.pressure || step.pressure.there === 'feather') return { step, title: '' };
  const titleOn = (side: 'left' | 'right') =>
    t.muscles.map((m) => resting.get(`${m}.${side}`)).find((x) => x !== undefined);
  const { mode } = step.sides;
  const touched = mode === 'left' || mode === 'right' ? [mode] : (['left', 'right'] as const);
  const closed = touched.filter((s) => titleOn(s) !== undefined);
  if (!closed.length) return { step, title: '' };
  const title = titleOn(closed[0]!)!;
  if (closed.length === touched.length || mode === 'midline') return { step: null, title };
  return { step: onOneSide(step, otherSide(closed[0]!)), title };
}
