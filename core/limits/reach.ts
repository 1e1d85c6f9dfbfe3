import { type Catalogue, newStep, type Technique } from '../routine/index.ts';
import { closes, closesAllThere, closesPlace, type PlaceFacts } from './clause.ts';
import { effectOf } from './effect.ts';
import { breachesOf, screen, type Caution, type Limit } from './screen.ts';
import { workWords } from './words.ts';

/** How a caution touches one place or technique. */
export interface Reach {
  /** Closed, closed for some work, or worked with care. */
  effect: 'off' | 'capped' | 'care';
  /** What is off: "firm and deep pressure", "rubbing"; empty when everything is. */
  what: string;
}

const RANK: Record<Reach['effect'], number> = { off: 3, capped: 2, care: 1 };
const harder = (a: Reach | null, b: Reach): Reach => (!a || RANK[b.effect] > RANK[a.effect] ? b : a);

/** How a caution touches a place of a region, a point or a muscle; null when it does not. */
export function reachOfPlace(caution: Caution, place: PlaceFacts): Reach | null {
  let reach: Reach | null = null;
  for (const clause of caution.appliesTo) {
    const closed = closes(clause);
    const effect = effectOf(caution.severity, clause);
    if (closed.wholeVisit) {
      const off = effect === 'ban';
      reach = harder(reach, { effect: off ? 'off' : 'care', what: off ? 'the whole visit' : '' });
      continue;
    }
    if (!closesPlace(closed, place)) continue;
    const off = effect === 'ban' && closesAllThere(clause);
    reach = harder(reach, {
      effect: effect !== 'ban' ? 'care' : off ? 'off' : 'capped',
      what: effect !== 'ban' || off ? '' : workWords(clause),
    });
  }
  return reach;
}

/** How a caution touches a technique as it is usually done. */
export function reachOfTechnique(caution: Caution, technique: Technique, catalogue: Catalogue): Reach | null {
  const everyone = { ...caution, question: null };
  const breaches = breachesOf(newStep(technique, 'x'), screen([everyone], {}), catalogue);
  let reach: Reach | null = technique.heed.includes(caution.key) ? { effect: 'care', what: '' } : null;
  const effect = (e: Limit['effect'], freed: boolean): Reach['effect'] =>
    e === 'ban' ? (freed ? 'capped' : 'off') : 'care';
  for (const b of breaches)
    reach = harder(reach, {
      effect: effect(b.effect, b.lowerTo !== null),
      what: b.lowerTo ? `more than ${b.lowerTo} pressure` : '',
    });
  return reach;
}
