import { screenVisit, type Screening } from '../../core/limits/index';
import type { KeptHomePlan } from '../../core/record/index';
import { yourSeconds } from '../../core/guide/index';
import { emptyRoutine, newStep, stepSeconds, stepsOf, type Catalogue, type Step } from '../../core/routine/index';
import { atHome, homeWords, noLongerForHome } from '../../core/schedule/index';
import type { TechniqueTool } from '../../core/words/index';
import { storedCourses } from '../db/queries/courses.server';
import { findClient } from '../db/queries/clients.server';
import { latestAnswers } from '../db/queries/facts.server';
import { learnedAtHome } from '../db/queries/home-looks.server';
import { homePlansOf } from '../db/queries/home-plans.server';
import { cautionsOf } from '../db/queries/practice.server';
import { catalogueOf } from '../db/queries/techniques.server';
import { latestRoutine } from '../db/queries/visits.server';

/** How a client is screened for what they do alone: by their latest answers. */
async function homeScreening(
  practiceId: string,
  clientId: string,
): Promise<{ screening: Screening; isScreened: boolean } | null> {
  const [client, cautions, answers, courses] = await Promise.all([
    findClient(practiceId, clientId),
    cautionsOf(practiceId),
    latestAnswers(practiceId, clientId),
    storedCourses(practiceId, [clientId]),
  ]);
  if (!client) return null;
  const worse = courses.filter((c) => c.judgement.verdict === 'worse').map((c) => c.kind);
  return {
    screening: screenVisit(cautions, answers, null, client.pressureCap, new Set(), worse),
    isScreened: Object.keys(answers).length > 0,
  };
}

/** A step that may be done at home, as it would be done there. */
interface HomeCandidate {
  step: Step;
  name: string;
  /** What the technique itself says of how it is done. */
  words: string;
  /** Why it is lighter or on one side; null where it is as in the routine. */
  lowered: string | null;
  seconds: number;
  /** As this client's own runs at home say; null where they say nothing else. */
  ownSeconds: number | null;
  perDayMost: number | null;
}

export interface HomeOffer {
  /** Name of the routine that is chosen from; null without one. */
  routine: string | null;
  candidates: HomeCandidate[];
  /** What is not for home, and why. */
  notHome: { name: string; why: string; tool: TechniqueTool | null }[];
  plans: KeptHomePlan[];
  /** Steps of the plan in force that may no longer be given as they stand. */
  noLonger: { name: string; why: string }[];
  /** Whether anything was asked of this client yet. */
  isScreened: boolean;
}

/** Each technique once, as it stands first. */
const byTechnique = (steps: readonly Step[]): Step[] =>
  steps.filter((step, i) => steps.findIndex((s) => s.technique === step.technique) === i);

/**
 * What a home plan can be made of: the steps of the latest routine, those of the plan in force, and techniques that are
 * asked for beside them. Null for nobody's client.
 */
export async function homeOffer(
  practiceId: string,
  clientId: string,
  shown: ReadonlySet<TechniqueTool>,
  asked: readonly string[] = [],
): Promise<(HomeOffer & { screening: Screening; catalogue: Catalogue }) | null> {
  const [screened, routine, plans, catalogue, learned] = await Promise.all([
    homeScreening(practiceId, clientId),
    latestRoutine(practiceId, clientId),
    homePlansOf(practiceId, clientId),
    catalogueOf(practiceId),
    learnedAtHome(practiceId, clientId),
  ]);
  if (!screened) return null;
  const { screening, isScreened } = screened;
  const current = plans.find((p) => p.endedAt === null);
  const steps = byTechnique([
    ...(routine ? stepsOf(routine) : []),
    ...(current?.steps.map((s) => s.step) ?? []),
    ...asked.flatMap((id) => {
      const technique = catalogue.techniques.get(id);
      return technique ? [newStep(technique, `asked-${id}`)] : [];
    }),
  ]);
  const candidates: HomeCandidate[] = [];
  const notHome: HomeOffer['notHome'] = [];
  for (const step of steps) {
    const technique = catalogue.techniques.get(step.technique);
    const name = step.label ?? technique?.name ?? step.technique;
    const home = atHome(step, screening, catalogue, shown);
    if (!home.step) notHome.push({ name, why: home.why, tool: home.tool });
    else
      candidates.push({
        step: home.step,
        name,
        words: homeWords(technique!),
        lowered: home.lowered,
        seconds: stepSeconds(home.step),
        ownSeconds: yourSeconds({ ...emptyRoutine('Home plan'), items: [home.step] }, learned),
        perDayMost: technique!.perDayMost,
      });
  }
  return {
    routine: routine?.name ?? null,
    candidates,
    notHome,
    plans,
    noLonger: current ? noLongerForHome(current, screening, catalogue) : [],
    isScreened,
    screening,
    catalogue,
  };
}
