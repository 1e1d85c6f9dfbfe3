import {
  carriedOver,
  screen,
  breachesOf,
  type Answer,
  type Caution,
  type Screening,
} from '../../../core/limits/index.ts';
import {
  catalogueWith,
  emptyRoutine,
  newStep,
  type Catalogue,
  type Step,
  type Technique,
} from '../../../core/routine/index.ts';
import { checkRoutine } from '../../../core/rules/index.ts';
import { lighterOf, type Contact, type PlaceRef, type Pressure, type ToolWord } from '../../../core/words/index.ts';
import { CATALOGUE } from '../../../reference/catalogue.ts';
import { CAUTIONS } from '../../../reference/facts/cautions/index.ts';
import type { LimitRow } from './table.ts';

/** Details that are asked for by a question of their own, by caution and word. */
const ASKED_BY: Readonly<Record<string, string>> = {
  'children told-age=0': 'infant',
  'implanted-electronics told-kind=cochlear': 'hearing-implant',
  'implanted-electronics told-days=20': 'implant-recent',
  'botulinum told-days=0': 'botulinum-today',
  'filler told-kind=threads': 'threads',
  'cancer-treatment told-kind=port': 'chest-port',
};
const questionOf = (caution: string, work: LimitRow['work']): string | undefined =>
  Object.entries(work)
    .map(([word, value]) => ASKED_BY[`${caution} ${word}=${value}`])
    .find(Boolean);
const isSided = (key: string): boolean => !!CAUTIONS.find((c) => c.key === key)?.sided;

/** Words of a row that name a detail which screening does not ask for. */
export const DETAILS = ({ caution, work }: LimitRow): string[] =>
  questionOf(caution, work)
    ? []
    : Object.keys(work).filter(
        (w) => w.startsWith('told-') && w !== 'told-last' && !(w === 'told-side' && isSided(caution)),
      );

const placesOf = (way: string): PlaceRef[] =>
  way.split('>').map((word) => {
    const [kind, id] = word.split(':');
    return { kind: kind as PlaceRef['kind'], id: id! };
  });
const HAND_TOOLS: Readonly<Record<string, Contact>> = {
  'conductive-gloves': 'conductive-gloves',
  probe: 'probe',
  'single-ball': 'single-ball',
  'ball-pair': 'ball-pair',
};
const WORDS: Readonly<Record<string, string>> = {
  'into-mouth': 'intraoral',
  'into-canal': 'into-ear',
  'into-orbit': 'into-orbit',
  open: 'forced-opening',
  sideways: 'sideways',
};
/** A piece of work that belongs to no technique of the library. */
const BARE: Technique = {
  ...CATALOGUE.techniques.get('cheek-to-ear-glide')!,
  id: 'case',
  name: 'This work',
  phase: 'release',
  craft: 'hand-massage',
  regions: [],
  muscles: [],
  points: [],
  pressure: { least: 'feather', most: 'deep' },
  words: [],
  tool: null,
  glide: 'either',
  needs: [],
  position: 'any',
  heed: [],
  perDayMost: null,
};
const bareStep = (): Step => ({
  ...newStep(CATALOGUE.techniques.get('cheek-to-ear-glide')!, 'a'),
  path: [],
  stroke: 'one-way',
  glide: 'either',
  sides: { mode: 'left', first: 'left', sets: 1, extra: null, sequence: 'side-complete' },
  dose: { ...newStep(CATALOGUE.techniques.get('temple-circles')!, 'a').dose, parts: [{ kind: 'hold', seconds: 10 }] },
});

/** The step that a row speaks of, with a technique of its own so that every word of the row has a place. */
function caseOf({ technique: id, work }: LimitRow): { step: Step; catalogue: Catalogue } {
  const known = CATALOGUE.techniques.get(id);
  const technique: Technique = { ...(known ?? BARE), id: 'case' };
  const step: Step = { ...(known ? newStep(known, 'a') : bareStep()), technique: 'case' };
  const words: string[] = [...technique.words];
  for (const [word, value] of Object.entries(work))
    switch (word) {
      case 'at':
        step.path = placesOf(value);
        break;
      case 'whole-face':
        step.path = [{ kind: 'region', id: 'whole-face' }];
        break;
      case 'contact':
        step.contact = value as Contact;
        break;
      case 'motion':
        step.motion = value as Step['motion'];
        if (!['glide', 'sweep', 'shear', 'rub', 'roll', 'stretch'].includes(value)) step.stroke = 'in-place';
        break;
      case 'glide':
        step.glide = value === 'dry' ? 'dry' : 'product';
        technique.glide = value as Technique['glide'];
        break;
      case 'tool':
        if (HAND_TOOLS[value]) step.contact = HAND_TOOLS[value];
        else technique.tool = value as ToolWord as Technique['tool'];
        break;
      case 'pressure':
        step.pressure = value === 'none' ? null : { there: value as Pressure, back: null };
        break;
      case 'side':
        step.sides = { ...step.sides, mode: value === 'both' ? 'together' : (value as Step['sides']['mode']) };
        break;
      case 'still': {
        const [contact, place] = value.split('@');
        step.still = { contact: contact as Contact, place: placesOf(place!)[0]! };
        break;
      }
      case 'head':
      case 'jaw':
      case 'eyes':
      case 'tongue':
        step.body = { ...step.body, [word]: value };
        break;
      case 'position':
        technique.position = value as Technique['position'];
        break;
      case 'direction':
        if (WORDS[value]) words.push(WORDS[value]);
        break;
      case 'hold':
        step.dose = { ...step.dose, parts: [{ kind: 'hold', seconds: Number(value) }] };
        break;
      case 'heat':
        words.push('heat', 'heat-pack');
        break;
      case 'product':
        step.glide = 'product';
        if (value === 'essential-oil') words.push('essential-oil');
        if (value === 'nut-oil' || value === 'latex-gloves') words.push(value);
        break;
      default:
    }
  technique.words = words as unknown as Technique['words'];
  return { step, catalogue: catalogueWith(CATALOGUE, [technique]) };
}

/** The sheet that a row speaks of: under one key only that key, under "always" what holds for everyone. */
function screeningOf(
  { caution: key, answer, work }: LimitRow,
  cautions: readonly Caution[],
  lifted: ReadonlySet<string> = new Set(),
): Screening {
  if (key === 'always')
    return screen(
      cautions.filter((c) => c.question === null),
      {},
      null,
      lifted,
    );
  const caution = cautions.find((c) => c.key === key);
  if (!caution) return screen([], {});
  // A question that hangs on another is only put after a yes to that one.
  const detail = questionOf(key, work);
  const more = cautions.filter((c) => c.key === detail);
  const asked: Record<string, Answer> = Object.fromEntries(
    [caution, ...more].flatMap((c) => (c.after ? [[c.after, 'yes' as const]] : [])),
  );
  const side = work['told-side'];
  const given = answer === 'yes' && caution.sided && side ? side : answer;
  if (answer !== 'same-as-last')
    return screen(
      [caution, ...more],
      { ...asked, ...(given ? { [key]: given as Answer } : {}), ...(detail ? { [detail]: 'yes' as const } : {}) },
      null,
      lifted,
    );
  const last = work['told-last'] === 'none' ? null : { [key]: work['told-last'] as Answer };
  return screen([caution], { ...asked, ...carriedOver([caution], last) }, null, lifted);
}

interface Prepared {
  step: Step;
  catalogue: Catalogue;
  /** The same technique without the cautions its own row raises. */
  bare: Catalogue;
  /** What the rules that hold for everyone do, whatever the cautions: null, or the pressure they lower to. */
  rules: 'stop' | Pressure | null;
}
const PREPARED = new Map<LimitRow, Prepared>();

function prepared(row: LimitRow): Prepared {
  const known = PREPARED.get(row);
  if (known) return known;
  const { step, catalogue } = caseOf(row);
  const bare = catalogueWith(CATALOGUE, [{ ...catalogue.techniques.get('case')!, heed: [] }]);
  let rules: Prepared['rules'] = null;
  if (row.caution === 'always') {
    const routine = { ...emptyRoutine('case'), budgetMinutes: null, items: [step] };
    for (const f of checkRoutine(routine, catalogue, null))
      if (f.severity === 'stop' && rules !== 'stop')
        rules =
          f.fix?.action.do !== 'set-pressure'
            ? 'stop'
            : rules
              ? lighterOf(rules, f.fix.action.pressure)
              : f.fix.action.pressure;
  }
  const made = { step, catalogue, bare, rules };
  PREPARED.set(row, made);
  return made;
}

/**
 * What the program does to the work of a row: "stop", "cap:light", "warn", "note" or "free".
 * @param own Whether the cautions that the technique's own row raises count too.
 */
export function verdictOf(
  row: LimitRow,
  cautions: readonly Caution[] = CAUTIONS,
  lifted: ReadonlySet<string> = new Set(),
  own = true,
): string {
  const { step, catalogue, bare, rules } = prepared(row);
  const breaches = breachesOf(step, screeningOf(row, cautions, lifted), own ? catalogue : bare);
  const bans = breaches.filter((b) => b.effect === 'ban').map((b) => b.lowerTo);
  if (bans.includes(null) || rules === 'stop') return 'stop';
  let cap: Pressure | null = rules;
  for (const to of bans) cap = cap ? lighterOf(cap, to!) : to;
  if (cap) return `cap:${cap}`;
  if (breaches.some((b) => b.effect === 'warn')) return 'warn';
  return breaches.some((b) => b.effect === 'note') ? 'note' : 'free';
}
