import { admit, type Screening } from '../limits/index.ts';
import { type Catalogue, hardestOf, pressed, type Step, type Technique } from '../routine/index.ts';
import { type Pressure, pressureRank, TOOL_NAMES, type TechniqueTool } from '../words/index.ts';
import { plannedDays } from './rhythm.ts';
import { addDays, type Day } from './days.ts';

/** What a client does at home between visits: a few steps in a rhythm until a day. */
export interface HomePlan {
  /** As they are done on oneself, in their order. */
  steps: HomePlanStep[];
  timesADay: number;
  /** 1 = Monday … 7 = Sunday, ascending. */
  weekdays: number[];
  from: Day;
  /** Last day. */
  until: Day;
  /** When practitioner and client look at it together. */
  reviewOn: Day;
}
export interface HomePlanStep {
  step: Step;
  /** What the client reads and hears. */
  words: string;
}

/** Steps of a plan. Common practice: one or two are enough, done daily; four is our choice. */
export const HOME_STEPS_MOST = 4;
/** Times a day where no technique of the plan says less. Common practice for drainage. */
export const TIMES_A_DAY_MOST = 4;
/** On oneself nobody presses harder than this, unless the step itself is lighter. Our choice. */
const HOME_CAP: Pressure = 'light';
/** A plan is looked at again within so many days. Review after two to four weeks is common practice; eight is our choice. */
export const HOME_DAYS_MOST = 56;
export const HOME_WORDS_LETTERS = 400;

/** A step as it is done at home, or why it is not for home; `tool`: the one that would have to be shown first. */
export type AtHome = { step: Step; lowered: string | null } | { step: null; why: string; tool: TechniqueTool | null };

/**
 * A step as it may be done on oneself: lighter where the screening or being at home asks for it, or why it is not for home.
 * @param shown Tools that the client has and was shown.
 */
export function atHome(
  step: Step,
  screening: Screening,
  catalogue: Catalogue,
  shown: ReadonlySet<TechniqueTool>,
): AtHome {
  const not = (why: string, tool: TechniqueTool | null = null): AtHome => ({ step: null, why, tool });
  const technique = catalogue.techniques.get(step.technique);
  if (!technique) return not('it is no longer kept');
  if (technique.by === 'practitioner') return not('it needs your hands');
  if (technique.isTest) return not('it finds something out and treats nothing');
  if (technique.pressure && pressureRank(technique.pressure.least) > pressureRank(HOME_CAP))
    return not(`it takes ${technique.pressure.least} pressure at least`);
  const admitted = admit(step, screening, catalogue);
  if (!admitted.step) return not(admitted.ban);
  if (technique.tool && !shown.has(technique.tool))
    return not(`the ${TOOL_NAMES[technique.tool]} was not shown`, technique.tool);
  const hardest = hardestOf(admitted.step);
  if (!hardest || pressureRank(hardest) <= pressureRank(HOME_CAP))
    return { step: admitted.step, lowered: admitted.lowered };
  return { step: { ...admitted.step, pressure: pressed(HOME_CAP) }, lowered: `${HOME_CAP} at home` };
}

/** How often a day all of these may be done, and the name of the one that says so; null where none does. */
export function dailyMost(
  steps: readonly Pick<Step, 'technique'>[],
  techniques: { get: (id: string) => Pick<Technique, 'name' | 'perDayMost'> | undefined },
): { times: number; because: string | null } {
  let most = { times: TIMES_A_DAY_MOST, because: null as string | null };
  for (const { technique } of steps) {
    const t = techniques.get(technique);
    if (t?.perDayMost && t.perDayMost < most.times) most = { times: t.perDayMost, because: t.name };
  }
  return most;
}

/** Words that promise what nobody can promise. */
const PROMISES =
  /\b(cures?|cured|heals?|healed|detox\w*|toxins?|guarantee\w*|will be gone|never again|lifts your face|instead of a doctor)\b/i;

/** What is wrong with a client's words for a step; null where nothing is. */
export function wordsProblem({ step, words }: HomePlanStep): string | null {
  const said = words.trim();
  if (!said) return 'Say in a sentence or two how it is done.';
  if (said.length > HOME_WORDS_LETTERS) return `At most ${HOME_WORDS_LETTERS} characters are accepted.`;
  const promise = PROMISES.exec(said);
  if (promise) return `“${promise[0]}” promises what nobody can promise.`;
  const { mode } = step.sides;
  if ((mode === 'left' || mode === 'right') && !new RegExp(`\\b${mode}\\b`, 'i').test(said))
    return `Say that it is your ${mode}: the step is for one side.`;
  return null;
}

/**
 * Steps of a plan that may no longer be given as they stand, with why: what was answered since it was made may have taken
 * them away or ask for less pressure.
 */
export function noLongerForHome(
  { steps, shown }: Pick<HomePlan, 'steps'> & { shown: readonly TechniqueTool[] },
  screening: Screening,
  catalogue: Catalogue,
): { name: string; why: string }[] {
  return steps.flatMap(({ step }) => {
    const home = atHome(step, screening, catalogue, new Set(shown));
    const why = home.step ? home.lowered : home.why;
    return why ? [{ name: catalogue.techniques.get(step.technique)?.name ?? step.technique, why }] : [];
  });
}

/**
 * What may not be about a plan that is made today, by field; nothing where it may be given.
 * @param shown Tools that the client has and was shown.
 */
export function planProblems(
  plan: HomePlan,
  screening: Screening,
  catalogue: Catalogue,
  shown: ReadonlySet<TechniqueTool>,
  today: Day,
): { field: string; message: string }[] {
  const found: { field: string; message: string }[] = [];
  const say = (field: string, message: string) => found.push({ field, message });
  if (!plan.steps.length) say('steps', 'Choose one to four steps.');
  if (plan.steps.length > HOME_STEPS_MOST) say('steps', `At most ${HOME_STEPS_MOST} steps are kept up at home.`);
  plan.steps.forEach((one, i) => {
    const name = catalogue.techniques.get(one.step.technique)?.name ?? one.step.technique;
    const home = atHome(one.step, screening, catalogue, shown);
    if (!home.step) say(`steps[${i}]`, `${name}: ${home.why}.`);
    else if (home.lowered) say(`steps[${i}]`, `${name}: ${home.lowered}.`);
    const words = wordsProblem(one);
    if (words) say(`steps[${i}].words`, words);
  });
  const most = dailyMost(
    plan.steps.map((s) => s.step),
    catalogue.techniques,
  );
  if (plan.timesADay > most.times)
    say('timesADay', most.because ? `At most ${most.times} a day: ${most.because}.` : `At most ${most.times} a day.`);
  if (!plan.weekdays.length) say('weekdays', 'Choose at least one day of the week.');
  if (plan.from < today) say('from', 'A plan begins today or later.');
  if (plan.until < plan.from) say('until', 'The last day is before the first.');
  else if (plan.until >= addDays(plan.from, HOME_DAYS_MOST))
    say('until', `At most ${HOME_DAYS_MOST} days: look at it together by then.`);
  else if (plan.weekdays.length && !plannedDays(plan).length)
    say('weekdays', 'Between the first and the last day there is no such day of the week.');
  if (plan.reviewOn < plan.from) say('reviewOn', 'The review is before the first day.');
  return found;
}
