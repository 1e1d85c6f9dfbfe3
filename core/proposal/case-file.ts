import {
  constant,
  id,
  type Json,
  list,
  number,
  object,
  oneOf,
  orNull,
  readField,
  schemaOf,
  text,
  type Value,
  whole,
  yesNo,
} from '../documents/index.ts';
import { screen, type Answers, type Caution } from '../limits/index.ts';
import { LENGTHS, STEP_FIELD, stepsOf, readRoutine, emptyRoutine } from '../routine/index.ts';
import { COMPLAINT_KINDS, InputError, PRESSURES, REGIONS, TECHNIQUE_TOOLS } from '../words/index.ts';
import type { Ask, Library, ProposalCase } from './case.ts';

const FORMAT = 'velvet-compass/proposal-case';
const SIDE = oneOf(['left', 'right'] as const, 'The client’s.');
const GRADE = whole([0, 3], 'How tender.');
const REGION = oneOf(REGIONS);
/** Of every list of a case. Our choice. */
const MOST = {
  complaints: 12,
  presses: 120,
  spots: 40,
  regions: 24,
  kept: 60,
  techniques: 2000,
  tools: 20,
  responses: 600,
} as const;

/** What is asked of a proposal. */
const ASK_FIELD = object({
  minutes: orNull(number([1, 60], 'min', 'Minutes there are; null = one or two techniques.')),
  school: id('School of order; one the reader does not know is refused.'),
  gentler: yesNo('A word of pressure lighter throughout.'),
  more: list(REGION, [0, MOST.regions], 'Regions of which more is wished.'),
  fewerChanges: yesNo('Changes of place, contact and tool cost more.'),
  exercises: yesNo('Up to four exercises in place of one.'),
  sides: oneOf(['equal', 'extra-on-sorer', 'sore-side-only'] as const, 'How the sides are treated.'),
  tools: list(oneOf(TECHNIQUE_TOOLS), [0, MOST.tools], 'Tools at hand.'),
  hands: oneOf(['practitioner', 'own'] as const, 'Whose hands work.'),
  kept: list(STEP_FIELD, [0, MOST.kept], 'Steps that stay as they are.'),
  excluded: list(id('A technique.'), [0, MOST.techniques], 'Techniques taken out.'),
});

const CASE = object({
  format: constant(FORMAT),
  schemaVersion: constant(1),
  name: text(LENGTHS.name, 'Of the routine that comes of it.', 1),
  complaints: list(
    object({ kind: oneOf(COMPLAINT_KINDS), side: orNull(SIDE), score: number([0, 10], '', 'Rating now.') }),
    [0, MOST.complaints],
    'What the client comes with.',
  ),
  tenderness: list(
    object({
      muscle: id('A muscle of the atlas.'),
      side: SIDE,
      grade: GRADE,
      theirPain: yesNo('It is the pain the client knows.'),
      feltIn: list(REGION, [0, MOST.regions], 'Where else it was felt.'),
    }),
    [0, MOST.presses],
    'Presses; a muscle and side once.',
  ),
  tightSpots: list(
    object({ region: REGION, side: oneOf(['left', 'right', 'midline'] as const), grade: GRADE }),
    [0, MOST.spots],
    'Pinned spots.',
  ),
  tenseRegions: list(REGION, [0, MOST.regions], 'From the scan from inside.'),
  thresholds: list(
    object({ muscle: id('A muscle of the atlas.'), side: SIDE, kpa: number([1, 3000], 'kPa', 'Pressure threshold.') }),
    [0, MOST.presses],
    'Pressure thresholds.',
  ),
  openingMm: orNull(number([0, 90], 'mm', 'Jaw opening with overlap; null = not taken.')),
  clickSide: orNull(SIDE),
  response: list(
    object({
      technique: id('A technique.'),
      effect: number([-10, 10], 'points of 0–10', 'Mean fall of the rating after it.'),
      standardError: number([0, 10], 'points of 0–10', 'Its standard error.'),
    }),
    [0, MOST.responses],
    'What helped this client.',
  ),
  practiceEffect: number([-10, 10], 'points of 0–10', 'Mean fall over all clients of the practice.'),
  answers: list(
    object({
      caution: id('A question of the screening.'),
      answer: oneOf(['yes', 'no', 'unsure', 'left', 'right'] as const),
    }),
    [0, 400],
    'Screening; a question left out is not answered.',
  ),
  pressureCap: orNull(oneOf(PRESSURES)),
  ask: ASK_FIELD,
});
export type CaseFile = Value<typeof CASE>;

/** JSON Schema of a case. What it cannot say (known muscles, techniques, schools and questions, each once) is checked on reading. */
export const CASE_JSON_SCHEMA: Json = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: 'Velvet Compass case of a proposal, version 1',
  ...schemaOf(CASE),
};

const refuse = (path: string, message: string): never => {
  throw new InputError(path, message);
};
const once = <T>(of: readonly T[], path: string, key: (x: T) => string): void => {
  const seen = new Set<string>();
  of.forEach((x, i) => {
    if (seen.has(key(x))) refuse(`${path}[${i}]`, `stands twice: ${key(x)}`);
    seen.add(key(x));
  });
};

/** A request as it was kept somewhere. @throws InputError with the path of the first thing that is wrong. */
export const readAsk = (value: unknown): Ask => readField(ASK_FIELD, value, 'ask') as Ask;

/** @throws InputError with the path of what a request names that is not known here, or that contradicts itself. */
export function checkAsk(ask: Ask, { catalogue }: Library, path = 'ask'): void {
  if (!catalogue.schools.has(ask.school)) refuse(`${path}.school`, `"${ask.school}" is not a known school`);
  ask.excluded.forEach((t, i) => {
    if (!catalogue.techniques.has(t)) refuse(`${path}.excluded[${i}]`, `"${t}" is not a known technique`);
  });
  // The reader of routines says whether the kept steps are steps, each with an id of its own.
  const read = stepsOf(readRoutine({ ...emptyRoutine('Kept'), items: ask.kept }));
  read.forEach((s, i) => {
    if (!catalogue.techniques.has(s.technique))
      refuse(`${path}.kept[${i}].technique`, `"${s.technique}" is not a known technique`);
    if (ask.excluded.includes(s.technique))
      refuse(`${path}.kept[${i}].technique`, `"${s.technique}" is kept and taken out at once`);
  });
}

/**
 * Read an unknown value as a case.
 * @param cautions The questions of the screening.
 * @throws InputError with the path of the first thing that is wrong and what is accepted there.
 */
export function readCase(value: unknown, library: Library, cautions: readonly Caution[]): ProposalCase {
  const file = readField(CASE, value, '') as CaseFile;
  const muscles = new Set(library.muscles.map((m) => m.id));
  for (const name of ['tenderness', 'thresholds'] as const) {
    file[name].forEach(({ muscle }, i) => {
      if (!muscles.has(muscle)) refuse(`${name}[${i}].muscle`, `"${muscle}" is not a muscle of the atlas`);
    });
    once<{ muscle: string; side: string }>(file[name], name, (t) => `${t.muscle} ${t.side}`);
  }
  once(file.complaints, 'complaints', (x) => `${x.kind} ${x.side ?? ''}`);
  file.response.forEach(({ technique }, i) => {
    if (!library.catalogue.techniques.has(technique))
      refuse(`response[${i}].technique`, `"${technique}" is not a known technique`);
  });
  once(file.response, 'response', (r) => r.technique);
  once(file.answers, 'answers', (a) => a.caution);
  file.answers.forEach(({ caution }, i) => {
    if (!cautions.some((c) => c.key === caution && c.question !== null))
      refuse(`answers[${i}].caution`, `"${caution}" is not a question of the screening`);
  });
  checkAsk(file.ask as Ask, library);
  const { format: _f, schemaVersion: _v, answers, pressureCap, ...rest } = file;
  const sheet: Answers = Object.fromEntries(answers.map((a) => [a.caution, a.answer]));
  return { ...(rest as Omit<ProposalCase, 'screening'>), screening: screen(cautions, sheet, pressureCap) };
}
