import { type Catalogue, newStep, type Step, type Technique } from '../routine/index.ts';
import { closes, closesAllThere, closesPlace, type PlaceFacts } from './clause.ts';
import { effectOf } from './effect.ts';
import { breachesOf } from './breaches.ts';
import { screen, type Caution, type Screening } from './screen.ts';
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

const CARE: Reach = { effect: 'care', what: '' };
const OFF: Reach = { effect: 'off', what: '' };

/** A step of each technique as it is usually done, made once: what is known of it hangs on the object. */
const USUAL = new WeakMap<Technique, Step>();
function usualStep(technique: Technique): Step {
  let step = USUAL.get(technique);
  if (!step) USUAL.set(technique, (step = newStep(technique, 'usual')));
  return step;
}
/** Cautions as if everyone had said yes to them. */
const EVERYONE = new WeakMap<readonly Caution[], { keys: ReadonlySet<string>; screening: Screening }>();
function everyoneHas(cautions: readonly Caution[]) {
  let made = EVERYONE.get(cautions);
  if (!made) {
    const everyone = cautions.map((c) => ({ ...c, question: null }));
    made = { keys: new Set(cautions.map((c) => c.key)), screening: screen(everyone, {}) };
    EVERYONE.set(cautions, made);
  }
  return made;
}

/** How each of some cautions touches a technique as it is usually done, by key; what is not touched is left out. */
export function reachOfTechnique(
  cautions: readonly Caution[],
  technique: Technique,
  catalogue: Catalogue,
): ReadonlyMap<string, Reach> {
  const out = new Map<string, Reach>();
  const { keys, screening } = everyoneHas(cautions);
  for (const key of technique.heed) if (keys.has(key)) out.set(key, CARE);
  for (const { limit, effect, lowerTo } of breachesOf(usualStep(technique), screening, catalogue)) {
    if (!limit) continue;
    const { key } = limit.caution;
    const reach: Reach =
      effect !== 'ban' ? CARE : lowerTo ? { effect: 'capped', what: `more than ${lowerTo} pressure` } : OFF;
    out.set(key, harder(out.get(key) ?? null, reach));
  }
  return out;
}
