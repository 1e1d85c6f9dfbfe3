import { screen, type Answers } from '../core/limits/index.ts';
import { newStep, type Step } from '../core/routine/index.ts';
import {
  NOTHING_KNOWN,
  usualAsk,
  type Ask,
  type Known,
  type Library,
  type ProposalCase,
} from '../core/proposal/index.ts';
import type { OneSide, Pressure } from '../core/words/index.ts';
import { CATALOGUE } from '../reference/catalogue.ts';
import { CAUTIONS } from '../reference/facts/cautions/index.ts';
import { MUSCLES } from '../reference/facts/muscles/index.ts';

export const LIBRARY: Library = { catalogue: CATALOGUE, muscles: MUSCLES };

/** Screened by the application's own function: the named questions answered yes, all others no. */
export function screenedWith(yes: readonly string[] = [], cap: Pressure | null = null) {
  const answers: Answers = Object.fromEntries(
    CAUTIONS.filter((x) => x.question !== null).map((x) => [x.key, yes.includes(x.key) ? 'yes' : 'no']),
  );
  for (const key of yes) if (!(key in answers)) throw new Error(`no caution ${key}`);
  return screen(CAUTIONS, answers, cap);
}

export const caseOf = (
  name: string,
  known: Partial<Known>,
  ask: Partial<Ask> = {},
  screening = screenedWith(),
): ProposalCase => ({
  ...NOTHING_KNOWN,
  ...known,
  name,
  screening,
  ask: { ...usualAsk('neck-first', 20), ...ask },
});

export function keptStep(technique: string, change: (s: Step) => Step = (s) => s): Step {
  return change(newStep(CATALOGUE.techniques.get(technique)!, `kept-${technique}`));
}

type Press = Known['tenderness'][number];
const press = (muscle: string, left: Press['grade'], right: Press['grade'], more: Partial<Press> = {}): Press[] => {
  const one = (side: OneSide, grade: Press['grade']): Press => ({ muscle, side, grade, theirPain: false, feltIn: [] });
  return [{ ...one('left', left), ...more }, one('right', right)];
};

export const LEFT_JAW: Partial<Known> = {
  complaints: [
    { kind: 'jaw', side: 'left', score: 7 },
    { kind: 'headache', side: null, score: 3 },
  ],
  tenderness: [
    ...press('masseter-superficial', 3, 1, { theirPain: true, feltIn: ['temple'] }),
    ...press('temporalis-anterior', 2, 1),
    ...press('scm-sternal', 2, 0),
    ...press('masseter-deep', 2, 0),
    ...press('suboccipitals', 1, 1),
  ],
  openingMm: 37,
  clickSide: 'left',
};
export const HEAD_AND_NECK: Partial<Known> = {
  complaints: [
    { kind: 'headache', side: null, score: 6 },
    { kind: 'neck-tension', side: null, score: 4 },
  ],
  tenderness: [
    ...press('suboccipitals', 2, 2, { theirPain: true, feltIn: ['forehead'] }),
    ...press('temporalis-anterior', 2, 2),
    ...press('trapezius-upper', 2, 1),
    ...press('frontalis', 1, 1),
    ...press('splenius-capitis', 2, 1),
  ],
};
const SCREEN_EYES: Partial<Known> = {
  complaints: [{ kind: 'eye-strain', side: null, score: 6 }],
  tenderness: [
    ...press('corrugator-supercilii', 2, 2),
    ...press('orbicularis-oculi-orbital', 1, 1),
    ...press('suboccipitals', 1, 1),
  ],
  tenseRegions: ['glabella'],
};
export const ONLY_STRESS: Partial<Known> = {
  complaints: [{ kind: 'stress', side: null, score: 7 }],
  tenseRegions: ['jaw', 'forehead'],
};

/** The trade's typical cases, all of made-up people. */
export const TRADE_CASES: readonly ProposalCase[] = [
  caseOf('Jaw, left sore', LEFT_JAW),
  caseOf('Headache and neck', HEAD_AND_NECK),
  caseOf(
    'Strong headache',
    { ...HEAD_AND_NECK, complaints: [{ kind: 'headache', side: null, score: 9 }] },
    { minutes: 15 },
  ),
  caseOf('Eye strain', SCREEN_EYES, { minutes: 10 }),
  caseOf('Stress only', ONLY_STRESS),
  caseOf(
    'Puffy morning',
    {
      complaints: [
        { kind: 'puffiness', side: null, score: 6 },
        { kind: 'eye-strain', side: null, score: 4 },
      ],
      tenderness: press('orbicularis-oculi-orbital', 1, 1),
    },
    { minutes: 15, school: 'framed-by-drainage' },
  ),
  caseOf('Five minutes', LEFT_JAW, { minutes: 5 }),
  caseOf('Headache, pregnant', HEAD_AND_NECK, {}, screenedWith(['pregnancy'])),
  caseOf('Jaw, thyroid', LEFT_JAW, {}, screenedWith(['thyroid'])),
  caseOf('Headache, blood thinners', HEAD_AND_NECK, {}, screenedWith(['anticoagulant'])),
  caseOf('Jaw, recent botulinum', LEFT_JAW, {}, screenedWith(['botulinum'])),
  caseOf('Jaw with balls, on oneself', LEFT_JAW, { minutes: 10, hands: 'own', tools: ['ball'] }),
];
