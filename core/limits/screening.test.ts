import type { Step } from '../routine/index.ts';
import { pressureRank, PRESSURES } from '../words/index.ts';
import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { at, stepOf } from '../../tests/support/routines.ts';
import { CATALOGUE, TECHNIQUES } from '../../reference/catalogue.ts';
import { CAUTIONS } from '../../reference/facts/cautions/index.ts';
import { factsOf } from './facts.ts';
import { closes, closesPlace, closesStep, placesOf, type Clause, type StepFacts } from './clause.ts';
import { keepOffPlaces } from './keep-off.ts';
import { takesAway } from './words.ts';
import { breachesOf, isBannedOutright } from './breaches.ts';
import { askedWith, carriedOver, screen, screenVisit, type Answers, type Caution } from './screen.ts';

const NAMES = { region: (id: string) => id };
const yes = (...keys: string[]): Answers => Object.fromEntries(keys.map((k) => [k, 'yes' as const]));
const caution = (over: Partial<Caution>): Caution => ({
  key: 'x',
  title: 'X',
  group: 'today',
  who: 'Anyone.',
  question: 'X?',
  severity: 'avoid',
  appliesTo: [{ work: ['any'] }],
  advice: 'Do not.',
  seeWho: '',
  source: 'test',
  ...over,
});

describe('what a clause closes', () => {
  const facts = (over: Partial<Record<keyof StepFacts, string[]>>): StepFacts =>
    Object.fromEntries(
      ['work', 'pressure', 'tool', 'position', 'region', 'point', 'muscle'].map((k) => [
        k,
        new Set(over[k as keyof StepFacts]),
      ]),
    ) as unknown as StepFacts;
  test('all that is named must hold, of each list any one', () => {
    const step = facts({ work: ['oil'], pressure: ['firm'], region: ['jaw'] });
    const holds = (clause: Clause) => closesStep(closes(clause), step);
    expect([
      holds({ region: ['jaw', 'chin'] }),
      holds({ region: ['jaw'], pressure: ['firm'] }),
      holds({ region: ['jaw'], pressure: ['light'] }),
      holds({ work: ['any'] }),
      holds({ work: ['any'], region: ['chin'] }),
      holds({ tool: ['probe'] }),
    ]).toEqual([true, true, false, true, false, false]);
  });
  test('the whole visit, a place, all work or only some of it', () => {
    expect(closes({ work: ['any'] })).toMatchObject({ wholeVisit: true, hasPlace: false });
    expect(closes({ work: ['any'], region: ['jaw'] })).toMatchObject({ wholeVisit: false, hasPlace: true });
    expect(closes({ region: ['jaw'] }).allWork).toBe(true);
    expect(closes({ region: ['jaw'], pressure: ['deep'] }).allWork).toBe(false);
  });
  test('a region beside a muscle means that muscle where it lies there: chart, atlas and step say the same', () => {
    const clause: Clause = { muscle: ['platysma', 'scm-sternal'], region: ['neck-front'] };
    const closed = closes(clause);
    expect(closesPlace(closed, { region: 'neck-front', muscle: 'platysma' })).toBe(true);
    expect(closesPlace(closed, { region: 'neck-side', muscle: 'scm-sternal' })).toBe(false);
    expect(closesPlace(closed, { region: 'neck-front' })).toBe(false);
    expect(placesOf(clause, (p) => (p.id === 'platysma' ? 'neck-front' : 'neck-side'))).toEqual([
      { kind: 'muscle', id: 'platysma' },
    ]);
    expect(closesStep(closed, facts({ muscle: ['platysma'], region: ['neck-front'] }))).toBe(true);
    expect(closesStep(closed, facts({ muscle: ['scm-sternal'], region: ['neck-side'] }))).toBe(false);
  });
  test('what closes only some work closes no place', () =>
    expect(placesOf({ region: ['jaw'], pressure: ['deep'] }, () => null)).toEqual([]));
});

describe('what a step is in the words of cautions', () => {
  test('firm work is strong stimulation, lighter work is not', () => {
    expect(factsOf(stepOf('masseter-pin-open', 'x', at('firm')), CATALOGUE).work.has('strong-stimulation')).toBe(true);
    expect(factsOf(stepOf('masseter-pin-open', 'x', at('medium')), CATALOGUE).work.has('strong-stimulation')).toBe(
      false,
    );
  });
  test('places count beside the technique’s own regions', () => {
    const facts = factsOf(
      stepOf('temple-circles', 'x', (s) => ({
        ...s,
        path: [
          { kind: 'region', id: 'neck-front' },
          { kind: 'point', id: 'LI4' },
        ],
      })),
      CATALOGUE,
    );
    expect([facts.region.has('neck-front'), facts.point.has('LI4')]).toEqual([true, true]);
  });
  test('tools and oil', () => {
    expect(factsOf(stepOf('glove-masseter-split'), CATALOGUE).tool.has('microcurrent-device')).toBe(true);
    expect(factsOf(stepOf('glide-apply'), CATALOGUE).work.has('oil')).toBe(true);
  });
});

describe('an answer sheet', () => {
  test('a red flag stops the visit and says who to see', () => {
    const s = screen(CAUTIONS, yes('thunderclap'));
    expect(s.mustStop).toBe(true);
    expect(s.hits['refer-out'][0]!.seeWho).toContain('Emergency');
  });
  test('every red flag stops', () => {
    for (const c of CAUTIONS.filter((x) => x.group === 'red-flag'))
      expect(screen(CAUTIONS, { ...yes(c.after ?? ''), ...yes(c.key) }).mustStop, c.key).toBe(true);
  });
  test('fever postpones without stopping', () =>
    expect(screen(CAUTIONS, yes('fever-infection'))).toMatchObject({ mustStop: false, postpone: true }));
  test('no answer is not a no', () => {
    expect(screen(CAUTIONS, {}).unanswered.length).toBe(CAUTIONS.filter((c) => c.question && !c.after).length);
    expect(screen(CAUTIONS, yes('pregnancy')).unanswered).toContain('pregnancy-warning');
    expect(screen(CAUTIONS, Object.fromEntries(CAUTIONS.map((c) => [c.key, 'no' as const]))).unanswered).toEqual([]);
  });
  test('rules for everyone hold without a question', () =>
    expect(screen(CAUTIONS, {}).hits.avoid.map((c) => c.key)).toContain('carotid'));
});

describe('what this client may not have', () => {
  const banned = (technique: string, answers: Answers, change: (s: Step) => Step = (s) => s) =>
    isBannedOutright(stepOf(technique, 'x', change), screen(CAUTIONS, answers), CATALOGUE);
  test('pregnant: the traditional points are off, whatever the pressure', () => {
    expect(banned('hegu-web-massage', yes('pregnancy'), at('feather'))).toBe(true);
    expect(banned('hegu-web-massage', {})).toBe(false);
    expect(banned('temple-circles', yes('pregnancy'))).toBe(false);
  });
  test('pacemaker: no current', () => expect(banned('glove-masseter-split', yes('implanted-electronics'))).toBe(true));
  test('thyroid: the front of the neck', () => {
    const s = screen(CAUTIONS, yes('thyroid'));
    expect(keepOffPlaces(s, CATALOGUE).map((k) => k.place.id)).toContain('neck-front');
  });
  test('blood thinners: firm is lowered to medium, not banned', () => {
    const s = screen(CAUTIONS, yes('anticoagulant'));
    const [breach] = breachesOf(stepOf('masseter-pin-open', 'x', at('firm')), s, CATALOGUE);
    expect(breach).toMatchObject({ effect: 'ban', lowerTo: 'medium' });
    expect(isBannedOutright(stepOf('probe-smile-line'), s, CATALOGUE)).toBe(false);
  });
  test('a cap for this client comes first of all', () => {
    const s = screen(CAUTIONS, {}, 'light');
    const breaches = breachesOf(stepOf('temple-circles', 'x', at('medium')), s, CATALOGUE);
    expect(breaches.some((b) => b.limit === null && b.lowerTo === 'light')).toBe(true);
    expect(breachesOf(stepOf('temple-circles', 'x', at('light')), s, CATALOGUE).some((b) => b.limit === null)).toBe(
      false,
    );
  });
  test('a heavy way back is lowered to no more than the way there', () => {
    const s = screen([caution({ group: 'everyone', question: null, appliesTo: [{ pressure: ['firm', 'deep'] }] })], {});
    const [breach] = breachesOf(stepOf('temple-circles', 'x', at('light', 'firm')), s, CATALOGUE);
    expect(breach!.lowerTo).toBe('light');
  });
});

describe('effects by severity', () => {
  const effectOf = (severity: Caution['severity'], clause: Clause) =>
    screen([caution({ severity, appliesTo: [clause] })], yes('x')).limits[0]!.effect;
  test.each<[Caution['severity'], Clause, string]>([
    ['refer-out', { work: ['any'] }, 'ban'],
    ['avoid', { region: ['jaw'] }, 'ban'],
    ['adapt', { pressure: ['firm'] }, 'ban'],
    ['adapt', { region: ['jaw'] }, 'warn'],
    ['adapt', { work: ['any'] }, 'note'],
    ['note', { region: ['jaw'], pressure: ['deep'] }, 'warn'],
    ['note', { region: ['jaw'] }, 'note'],
  ])('%s on %j is a %s', (severity, clause, effect) => expect(effectOf(severity, clause)).toBe(effect));
});

describe('in words', () => {
  const words = (key: string) =>
    takesAway(
      CAUTIONS.find((c) => c.key === key)!,
      NAMES,
    );
  test('red flags take the whole visit', () => expect(words('thunderclap')).toBe('the whole visit'));
  test('places, work and pressure', () => {
    expect(words('thyroid')).toBe('neck-front; ST9, LI18, CV22, CV23; neck-front, neck-side: current');
    expect(words('hypertension')).toBe('neck-front; ST9; the head low or hanging; more than light pressure');
    expect(words('dizziness')).toContain('turning the head, tipping the head, a hanging head or pulling the neck');
  });
  test('the whole face is said in one word, many points are counted', () => {
    expect(words('acne-rosacea')).toContain('the face: scraping or rubbing and circling');
    expect(words('filler')).toContain('6 points');
  });
  test('advice alone takes nothing away', () => expect(words('emotional-release')).toBe('nothing; work with care'));
  test('every row can be said', () => {
    for (const c of CAUTIONS) expect(takesAway(c, NAMES).length, c.key).toBeGreaterThan(2);
  });
});

describe('whatever is answered', () => {
  const keys = CAUTIONS.filter((c) => c.question).map((c) => c.key);
  const answers = fc.dictionary(fc.constantFrom(...keys), fc.constantFrom('yes' as const, 'no' as const));
  const step = fc
    .record({ technique: fc.constantFrom(...TECHNIQUES.map((t) => t.id)), pressure: fc.constantFrom(...PRESSURES) })
    .map(({ technique, pressure }) => stepOf(technique, 'x', (s) => (s.pressure ? at(pressure)(s) : s)));

  test('one more yes never frees anything', () => {
    fc.assert(
      fc.property(answers, fc.constantFrom(...keys), step, (a, more, s) => {
        const bans = (sheet: Answers) =>
          breachesOf(s, screen(CAUTIONS, sheet), CATALOGUE).filter((b) => b.effect === 'ban').length;
        expect(bans({ ...a, [more]: 'yes' })).toBeGreaterThanOrEqual(bans(a));
        const before = screen(CAUTIONS, a);
        const after = screen(CAUTIONS, { ...a, [more]: 'yes' });
        if (before.mustStop) expect(after.mustStop).toBe(true);
      }),
      { numRuns: 300 },
    );
  });

  test('looking limits up by their first word misses none and keeps their order', () => {
    fc.assert(
      fc.property(answers, step, (a, s) => {
        const screening = screen(CAUTIONS, a);
        const facts = factsOf(s, CATALOGUE);
        const byLimit = breachesOf(s, screening, CATALOGUE).flatMap((b) => b.limit ?? []);
        expect(byLimit).toEqual(screening.limits.filter((l) => closesStep(closes(l.clause), facts)));
      }),
      { numRuns: 200 },
    );
  });

  test('the pressure it proposes really frees the step of that ban', () => {
    fc.assert(
      fc.property(answers, step, (a, s) => {
        const screening = screen(CAUTIONS, a);
        for (const breach of breachesOf(s, screening, CATALOGUE)) {
          if (breach.effect !== 'ban' || !breach.lowerTo || !s.pressure) continue;
          expect(pressureRank(breach.lowerTo)).toBeLessThan(pressureRank(s.pressure.there));
          const lowered = at(breach.lowerTo)(s);
          expect(breachesOf(lowered, screening, CATALOGUE).some((b) => b.limit === breach.limit)).toBe(false);
        }
      }),
      { numRuns: 300 },
    );
  });

  test('a lower cap never allows more', () => {
    fc.assert(
      fc.property(step, fc.constantFrom(...PRESSURES), fc.constantFrom(...PRESSURES), (s, a, b) => {
        const [low, high] = pressureRank(a) <= pressureRank(b) ? [a, b] : [b, a];
        const isCapped = (cap: typeof a) =>
          breachesOf(s, screen(CAUTIONS, {}, cap), CATALOGUE).some((x) => x.limit === null);
        if (isCapped(high)) expect(isCapped(low)).toBe(true);
      }),
    );
  });
});

describe('from one visit to the next', () => {
  const c = (key: string, over: Partial<Caution> = {}) => caution({ key, group: 'standing', ...over });
  const all = [
    c('pregnancy', { anew: true }),
    c('thyroid'),
    c('flag', { group: 'red-flag' }),
    c('fever', { group: 'today' }),
    c('warning', { group: 'red-flag', after: 'pregnancy' }),
  ];
  test('a yes stands, a no stands only for what does not come overnight, the rest is not sure', () => {
    expect(carriedOver(all, { pregnancy: 'yes', thyroid: 'no', flag: 'no', fever: 'no' })).toEqual({
      pregnancy: 'yes',
      thyroid: 'no',
      flag: 'unsure',
      fever: 'unsure',
      warning: 'unsure',
    });
    expect(carriedOver(all, { pregnancy: 'no', thyroid: 'unsure' })).toMatchObject({
      pregnancy: 'unsure',
      thyroid: 'unsure',
    });
    expect(carriedOver(all, null)).toMatchObject({ thyroid: 'unsure' });
  });
  test('a standing yes limits from the first second, and stays to be answered', () => {
    const first = screenVisit(all, {}, { thyroid: 'yes', fever: 'yes', flag: 'yes' });
    expect(first.hits.avoid.map((x) => x.key)).toEqual(['thyroid']);
    expect(first.unanswered).toEqual(['pregnancy', 'thyroid', 'flag', 'fever']);
    expect(screenVisit(all, { thyroid: 'no' }, { thyroid: 'yes' }).hits.avoid).toEqual([]);
  });
  test('what hangs on a yes is asked once it is given, by last time too', () => {
    expect(screenVisit(all, { pregnancy: 'unsure' }, null).unanswered).toContain('warning');
    expect(screenVisit(all, {}, { pregnancy: 'yes' }).unanswered).toContain('warning');
    expect(screenVisit(all, { pregnancy: 'no' }, null).unanswered).not.toContain('warning');
    expect(screen(all, { warning: 'yes' }).mustStop).toBe(false);
  });
  test('what arises between visits is asked with the state of today after a no', () => {
    expect(askedWith(all[0]!, { pregnancy: 'no' })).toBe('today');
    expect(askedWith(all[0]!, { pregnancy: 'yes' })).toBe('standing');
    expect(askedWith(all[1]!, { thyroid: 'no' })).toBe('standing');
  });
});

describe('one more yes', () => {
  const keys = CAUTIONS.filter((x) => x.question).map((x) => x.key);
  const RANK = { free: 0, note: 1, warn: 2, ban: 3 };
  /** How far a step is closed: the hardest effect, and the pressure it is lowered to. */
  const closedBy = (answers: Answers, step: Step): number => {
    const met = breachesOf(step, screen(CAUTIONS, answers), CATALOGUE);
    const worst = Math.max(0, ...met.map((b) => RANK[b.effect]));
    const caps = met.filter((b) => b.effect === 'ban').map((b) => (b.lowerTo ? pressureRank(b.lowerTo) : 0));
    return worst * 10 - (caps.length ? Math.min(...caps) : 5);
  };
  test('never makes anything softer, and not sure is as hard as yes', () => {
    fc.assert(
      fc.property(
        fc.dictionary(fc.constantFrom(...keys), fc.constantFrom<Answers[string]>('yes', 'no', 'unsure'), {
          maxKeys: 6,
        }),
        fc.constantFrom(...keys),
        fc.constantFrom(...TECHNIQUES.map((t) => t.id)),
        fc.constantFrom(...PRESSURES),
        (answers, key, technique, pressure) => {
          const step = stepOf(technique, 'x', (s) => (s.pressure ? at(pressure)(s) : s));
          expect(closedBy({ ...answers, [key]: 'yes' }, step)).toBeGreaterThanOrEqual(closedBy(answers, step));
          expect(closedBy({ ...answers, [key]: 'unsure' }, step)).toBe(closedBy({ ...answers, [key]: 'yes' }, step));
        },
      ),
      { numRuns: 400 },
    );
  });
});

test('the chart locks what nothing may stay on, and not what is only capped', () => {
  const locked = (answers: Answers) => keepOffPlaces(screen(CAUTIONS, answers), CATALOGUE).map((k) => k.place.id);
  expect(locked({})).toContain('ST9');
  expect(locked({})).not.toContain('BL2');
  expect(locked({ pregnancy: 'yes' })).toEqual(expect.arrayContaining(['LI4', 'GB21', 'LR3', 'ST12']));
});
