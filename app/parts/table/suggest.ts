import {
  type Catalogue,
  newStep,
  readTypedLine,
  type Step,
  stepFromLine,
  type Technique,
  techniquesForLine,
} from '../../../core/routine';
import { admit, type Screening } from '../../../core/limits';
import { type ComplaintKind, InputError } from '../../../core/words';
import { POINTS } from '../../../reference/facts/points';
import type { Place } from '../chart/places';

export interface Suggestion {
  technique: Technique;
  step: Step;
  /** Why it cannot be added; null when it can. */
  banned: string | null;
  /** What the screening changed about it. */
  lowered: string | null;
  /** What was typed and has no place in it. */
  ignored: readonly string[];
  /** "after 4" as it was typed. */
  after: number | null;
}

/** What can be added: all but what the practice retired, in the order of the library. */
const offered = (catalogue: Catalogue): Technique[] => [...catalogue.techniques.values()].filter((t) => !t.retired);

/** Techniques that work at a place: named there, on its muscle, or anywhere in its region. */
export function techniquesAt(place: Place, catalogue: Catalogue): Technique[] {
  const region = catalogue.regionOf(place);
  const score = (t: Technique) => {
    const named = t.points.includes(place.id) || t.muscles[0] === place.id;
    const onPath = t.defaults.path.some((p) => p.kind === place.kind && p.id === place.id);
    // What works here and nowhere else comes before what passes by.
    if (named || onPath) return 3 + (onPath && t.defaults.path.length === 1 ? 1 : 0) + (named ? 1 : 0);
    return t.muscles.includes(place.id) ? 2 : region && t.regions.includes(region) ? 1 : 0;
  };
  return offered(catalogue)
    .filter((t) => score(t) > 0)
    .sort((a, b) => score(b) - score(a));
}

/**
 * What can be added for a typed line, at a place, or for a group of complaints. Anything the screening bans outright
 * comes with its reason and cannot be taken; what is only too hard comes lowered.
 * @throws InputError when the line holds a number outside its range.
 */
export function suggest(
  ask: {
    line: string;
    place: Place | null;
    serves: ComplaintKind | 'opening' | 'closing' | null;
    /** At a place of one side: that side alone, where a technique works side by side. */
    oneSide?: boolean;
  },
  screening: Screening,
  id: string,
  catalogue: Catalogue,
): Suggestion[] {
  const here = ask.place
    ? techniquesAt(ask.place, catalogue)
    : ask.serves
      ? servedBy(ask.serves, catalogue)
      : offered(catalogue);
  let found: { technique: Technique; step: Step; ignored?: readonly string[] }[];
  let after: number | null = null;
  let sideTyped = false;
  if (ask.line.trim()) {
    try {
      const typed = readTypedLine(ask.line);
      after = typed.after;
      sideTyped = !!(typed.mode || typed.first || typed.extra);
      notWorked(typed.words, catalogue);
      found = techniquesForLine(typed, here).map((technique) => ({
        technique,
        ...stepFromLine(typed, technique, id),
      }));
    } catch (error) {
      // With a place chosen, dose and side alone are a whole line.
      if (!(error instanceof InputError) || !ask.place || error.field !== 'step') throw error;
      const typed = readTypedLine(`x ${ask.line}`);
      after = typed.after;
      sideTyped = !!(typed.mode || typed.first || typed.extra);
      found = here.map((technique) => ({ technique, ...stepFromLine(typed, technique, id) }));
    }
  } else found = here.map((technique) => ({ technique, step: newStep(technique, id) }));
  return found.map(({ technique, step, ignored = [] }) => ({
    ...allowed(technique, sideTyped ? step : aimed(step, ask.place, ask.oneSide ?? false), screening, catalogue),
    ignored,
    after,
  }));
}

/** A point that no technique works is refused with its own reason, not with silence. @throws InputError */
function notWorked(words: readonly string[], catalogue: Catalogue): void {
  const point = POINTS.find((p) => words.includes(p.id.toLowerCase()) || words.includes(p.name.toLowerCase()));
  if (point && !offered(catalogue).some((t) => t.points.includes(point.id)))
    throw new InputError('point', `${point.id} ${point.name} is not worked. ${point.press}`);
}

/** Work on one side after the other is done where the finger pointed: there alone, or there first. */
const aimed = (step: Step, place: Place | null, oneSide: boolean): Step =>
  place && place.side !== 'midline' && step.sides.mode === 'each'
    ? {
        ...step,
        sides: oneSide ? { ...step.sides, mode: place.side, extra: null } : { ...step.sides, first: place.side },
      }
    : step;

function allowed(
  technique: Technique,
  step: Step,
  screening: Screening,
  catalogue: Catalogue,
): Omit<Suggestion, 'ignored' | 'after'> {
  const result = admit(step, screening, catalogue);
  return result.step
    ? { technique, step: result.step, banned: null, lowered: result.lowered }
    : { technique, step, banned: result.ban, lowered: null };
}

const servedBy = (serves: ComplaintKind | 'opening' | 'closing', catalogue: Catalogue): Technique[] =>
  offered(catalogue).filter((t) =>
    serves === 'opening'
      ? ['prepare', 'breathe', 'open-drainage'].includes(t.phase)
      : serves === 'closing'
        ? ['close-drainage', 'settle', 'compare'].includes(t.phase)
        : t.serves.includes(serves) && !['open-drainage', 'close-drainage', 'settle'].includes(t.phase),
  );
