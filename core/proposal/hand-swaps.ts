import { admit, type Screening } from '../limits/index.ts';
import { mapSteps, stepsOf, type Catalogue, type Routine, type Step } from '../routine/index.ts';
import { CONTACT_NAMES, pressureRank, PRESSURES, TOOL_OF_CONTACT } from '../words/index.ts';
import { handPartsOf, handWorkOf, usedBy, type HandPart, type HandStrength } from './hand-work.ts';

/** One change of a step that spares a part of the hand. */
export interface HandSwap {
  stepId: string;
  /** Of its technique. */
  name: string;
  /** "knuckles instead of thumb", "light instead of medium". */
  words: string;
}
export interface HandSwaps {
  swaps: HandSwap[];
  /** The routine with all of them. */
  routine: Routine;
  /** What each part uses up before and after, as shares. */
  before: Record<HandPart, number>;
  after: Record<HandPart, number>;
}

/** Changes of one step that would spare a part, the best first: another contact of its technique, else lighter. */
function waysOf(
  step: Step,
  part: HandPart,
  { catalogue, screening, tools }: { catalogue: Catalogue; screening: Screening; tools: ReadonlySet<string> },
): { step: Step; words: string }[] {
  const technique = catalogue.techniques.get(step.technique);
  if (!technique || !step.pressure) return [];
  const contacts = technique.contacts
    .filter((c) => c !== step.contact && !handPartsOf(c).includes(part) && handPartsOf(c).length > 0)
    .filter((c) => !TOOL_OF_CONTACT[c] || tools.has(TOOL_OF_CONTACT[c]))
    .map((contact) => ({
      step: { ...step, contact },
      words: `${CONTACT_NAMES[contact]} instead of ${CONTACT_NAMES[step.contact]}`,
    }));
  const { there, back } = step.pressure;
  const softer = PRESSURES[pressureRank(there) - 2];
  const least = technique.pressure?.least;
  const lighter =
    softer && least && pressureRank(softer) >= pressureRank(least)
      ? [
          {
            step: {
              ...step,
              pressure: { there: softer, back: back && pressureRank(back) > pressureRank(softer) ? softer : back },
            },
            words: `${softer} instead of ${there}`,
          },
        ]
      : [];
  // What a caution forbids is not offered: the step has to stay just as it is meant.
  return [...contacts, ...lighter].filter((way) => {
    const admitted = admit(way.step, screening, catalogue).step;
    return admitted !== null && JSON.stringify(admitted) === JSON.stringify(way.step);
  });
}

/**
 * Changes that bring what a routine uses up of one part of the hand down to a share, as few as will do: the step that
 * asks most first, each changed in the way that leaves the fullest part of the hand least full. Null where nothing can
 * be changed; what is found may still be more than asked for, and says so.
 * @param most of the part that may be used up by this routine
 * @param beside what each part has used up without it
 */
export function handSwaps(
  routine: Routine,
  part: HandPart,
  {
    most,
    beside,
    strength,
    asWorked = (same) => same,
    ...around
  }: {
    most: number;
    beside: Readonly<Record<HandPart, number>>;
    strength: HandStrength;
    /** The routine with the seconds that somebody really takes; as it is planned where nobody is known. */
    asWorked?: (routine: Routine) => Routine;
    catalogue: Catalogue;
    screening: Screening;
    tools: ReadonlySet<string>;
  },
): HandSwaps | null {
  const workOf = (of: Routine) => handWorkOf(asWorked(of), strength);
  const before = usedBy(workOf(routine));
  const swaps: HandSwap[] = [];
  const tried = new Set<string>();
  let now = routine;
  for (;;) {
    const work = workOf(now);
    const used = usedBy(work);
    if (used[part] <= most) break;
    const heaviest = work
      .filter((w) => w.part === part && w.used > 0 && !tried.has(w.stepId))
      .sort((a, b) => b.used - a.used)[0];
    if (!heaviest) break;
    tried.add(heaviest.stepId);
    const step = stepsOf(now).find((s) => s.id === heaviest.stepId)!;
    const choices = waysOf(step, part, around)
      .map((way) => {
        const changed = mapSteps(now, (s) => (s.id === step.id ? way.step : s));
        const after = usedBy(workOf(changed));
        const fullest = Math.max(...(Object.keys(after) as HandPart[]).map((p) => after[p] + beside[p]));
        return { ...way, changed, after, fullest };
      })
      .filter((way) => way.after[part] < used[part])
      .sort((a, b) => a.fullest - b.fullest);
    const best = choices[0];
    if (!best) continue;
    now = best.changed;
    swaps.push({
      stepId: step.id,
      name: step.label ?? around.catalogue.techniques.get(step.technique)!.name,
      words: best.words,
    });
  }
  return swaps.length ? { swaps, routine: now, before, after: usedBy(workOf(now)) } : null;
}
