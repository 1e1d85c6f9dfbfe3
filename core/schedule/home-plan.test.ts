import { describe, expect, test } from 'vitest';
import { CATALOGUE } from '../../reference/catalogue.ts';
import { CAUTIONS } from '../../reference/facts/cautions/index.ts';
import { screenVisit, type Answers } from '../limits/index.ts';
import { newStep, type Step } from '../routine/index.ts';
import type { Pressure, TechniqueTool } from '../words/index.ts';
import { atHome, dailyMost, type HomePlan, noLongerForHome, planProblems, wordsProblem } from './home-plan.ts';

const NO_TOOL: ReadonlySet<TechniqueTool> = new Set();
const all = [...CATALOGUE.techniques.values()];
const of = (id: string, over: Partial<Step> = {}): Step => ({ ...newStep(CATALOGUE.techniques.get(id)!, id), ...over });
const screening = (answers: Answers = {}, cap: Pressure | null = null) => screenVisit(CAUTIONS, answers, null, cap);
const OWN = all.find((t) => t.by === 'client' && !t.tool && !t.isTest && t.pressure)!;
const home = (step: Step, answers: Answers = {}, shown = NO_TOOL) => atHome(step, screening(answers), CATALOGUE, shown);

describe('what is for home', () => {
  test('nothing that needs the practitioner’s hands, no test, no tool that was not shown', () => {
    const practitioners = all.filter((t) => t.by === 'practitioner');
    expect(practitioners.length).toBeGreaterThan(0);
    for (const t of practitioners)
      expect(home(of(t.id)), t.id).toMatchObject({ step: null, why: 'it needs your hands' });
    for (const t of all.filter((x) => x.isTest && x.by !== 'practitioner'))
      expect(home(of(t.id)).step, t.id).toBeNull();
    const tool = all.find((t) => t.tool && t.by !== 'practitioner' && !t.isTest)!;
    expect(home(of(tool.id))).toMatchObject({ step: null });
    expect(home(of(tool.id), {}, new Set([tool.tool!])).step).not.toBeNull();
  });
  test('never harder than light, whatever the routine says', () => {
    for (const t of all) {
      const told = home(of(t.id), {}, new Set(t.tool ? [t.tool] : []));
      if (told.step?.pressure) expect(['feather', 'light'], t.id).toContain(told.step.pressure.there);
    }
    const firm = of(OWN.id, { pressure: { there: 'firm', back: null } });
    expect(home(firm)).toMatchObject({ step: { pressure: { there: 'light' } } });
    expect((home(firm) as { lowered: string }).lowered).toBe('light at home');
    // A client’s own cap below it goes first.
    expect(atHome(firm, screening({}, 'feather'), CATALOGUE, NO_TOOL)).toMatchObject({
      step: { pressure: { there: 'feather' } },
    });
  });
  test('what a caution takes away is not for home either: every technique under every caution', () => {
    for (const { key } of CAUTIONS) {
      const held = screening({ [key]: 'yes' });
      for (const t of all.slice(0, 120)) {
        const told = atHome(of(t.id), held, CATALOGUE, NO_TOOL);
        if (!told.step) continue;
        expect(atHome(told.step, held, CATALOGUE, NO_TOOL), `${key}, ${t.id}`).toMatchObject({ lowered: null });
      }
    }
  });
  test('nothing that asks for more than light pressure, and no way back that presses harder', () => {
    for (const t of all.filter(
      (x) => x.by !== 'practitioner' && !x.isTest && ['medium', 'firm', 'deep'].includes(x.pressure?.least ?? ''),
    ))
      expect(home(of(t.id), {}, new Set(t.tool ? [t.tool] : [])).step, t.id).toBeNull();
    const back = of(OWN.id, { pressure: { there: 'light', back: 'firm' } });
    expect(home(back)).toMatchObject({ step: { pressure: { there: 'light', back: null } } });
  });
  test('an unknown technique is none', () =>
    expect(home({ ...of(OWN.id), technique: 'no-such' })).toMatchObject({ step: null, why: 'it is no longer kept' }));
});

describe('how often a day', () => {
  const techniques = new Map([
    ['often', { name: 'Often', perDayMost: null }],
    ['twice', { name: 'Twice', perDayMost: 2 }],
    ['thrice', { name: 'Thrice', perDayMost: 3 }],
    ['ten', { name: 'Ten', perDayMost: 10 }],
  ]);
  const most = (...ids: string[]) =>
    dailyMost(
      ids.map((technique) => ({ technique })),
      techniques,
    );
  test('the least of all that say it, four where none does or says more', () => {
    expect(most('often', 'thrice', 'twice')).toEqual({ times: 2, because: 'Twice' });
    expect(most('often')).toEqual({ times: 4, because: null });
    expect(most('ten', 'no-such')).toEqual({ times: 4, because: null });
  });
});

describe('the client’s words', () => {
  const words = (said: string, mode: Step['sides']['mode'] = 'together') => {
    const step = of(OWN.id);
    return wordsProblem({ step: { ...step, sides: { ...step.sides, mode } }, words: said });
  };
  test('are there, short enough, and promise nothing', () => {
    expect(words('Rest your palms on the cheeks.')).toBeNull();
    expect(words('  ')).toMatch(/^Say in a sentence/);
    expect(words('a'.repeat(400))).toBeNull();
    expect(words('a'.repeat(401))).toMatch(/400/);
    for (const promise of [
      'This cures it.',
      'It heals the joint',
      'Detoxifies',
      'guaranteed to help',
      'never again a headache',
    ])
      expect(words(promise), promise).toMatch(/promises what nobody can promise/);
  });
  test('name the side of a step for one side', () => {
    expect(words('Press the bulge.', 'left')).toBe('Say that it is your left: the step is for one side.');
    expect(words('Press the bulge on your left.', 'left')).toBeNull();
    expect(words('Press the bulge on your left.', 'right')).toMatch(/your right/);
  });
});

describe('a plan', () => {
  const step = (home(of(OWN.id)) as { step: Step }).step;
  const plan = (over: Partial<HomePlan> = {}): HomePlan => ({
    steps: [{ step, words: 'Slowly.' }],
    timesADay: 1,
    weekdays: [1],
    from: '2027-03-01',
    until: '2027-03-14',
    reviewOn: '2027-03-15',
    ...over,
  });
  const fields = (over: Partial<HomePlan>, answers: Answers = {}) =>
    planProblems(plan(over), screening(answers), CATALOGUE, NO_TOOL, '2027-03-01').map((p) => p.field);
  test('that keeps to everything has no problem', () => expect(fields({})).toEqual([]));
  test('has one to four steps', () => {
    const some = (n: number) =>
      Array.from({ length: n }, (_, i) => ({ step: { ...step, id: `s${i}` }, words: 'Slowly.' }));
    expect(fields({ steps: [] })).toEqual(['steps']);
    expect(fields({ steps: some(4) })).toEqual([]);
    expect(fields({ steps: some(5) })).toEqual(['steps']);
  });
  test('holds no step that is not for home or harder than it may be', () => {
    expect(
      fields({ steps: [{ step: { ...step, pressure: { there: 'firm', back: null } }, words: 'Slowly.' }] }),
    ).toEqual(['steps[0]']);
    const hands = all.find((t) => t.by === 'practitioner')!;
    expect(fields({ steps: [{ step: of(hands.id), words: 'Left and right.' }] })).toContain('steps[0]');
  });
  test('is not done more often than its techniques bear', () => {
    expect(fields({ timesADay: 4 }).length).toBe(dailyMost([step], CATALOGUE.techniques).times < 4 ? 1 : 0);
    expect(fields({ timesADay: 5 })).toEqual(['timesADay']);
  });
  test('has days, in order, and not more than eight weeks of them', () => {
    expect(fields({ weekdays: [] })).toEqual(['weekdays']);
    expect(fields({ until: '2027-02-28' })).toEqual(['until']);
    expect(fields({ until: '2027-04-25' })).toEqual([]);
    expect(fields({ until: '2027-04-26' })).toEqual(['until']);
    expect(fields({ reviewOn: '2027-02-28' })).toEqual(['reviewOn']);
    expect(fields({ from: '2027-02-28' })).toEqual(['from']);
    // 1 March 2027 is a Monday: no Tuesday in it.
    expect(fields({ until: '2027-03-01', weekdays: [2] })).toEqual(['weekdays']);
    expect(fields({ until: '2027-03-02', weekdays: [2] })).toEqual([]);
  });
});

describe('a plan that was made before', () => {
  const step = (home(of(OWN.id)) as { step: Step }).step;
  const made = { steps: [{ step, words: 'Slowly.' }], shown: [] };
  test('may be given while nothing came up, and no longer when something takes its steps away or lowers them', () => {
    expect(noLongerForHome(made, screening(), CATALOGUE)).toEqual([]);
    const flag = CAUTIONS.find((c) => c.severity === 'refer-out')!.key;
    expect(noLongerForHome(made, screening({ [flag]: 'yes' }), CATALOGUE)).toMatchObject([{ name: OWN.name }]);
    const light = {
      steps: [{ step: { ...step, pressure: { there: 'light' as const, back: null } }, words: '' }],
      shown: [],
    };
    expect(noLongerForHome(light, screening({}, 'feather'), CATALOGUE)).toMatchObject([
      { why: expect.stringMatching(/^feather at most/) as string },
    ]);
  });
  test('keeps the tools that were shown when it was made', () => {
    const tool = all.find((t) => t.tool && home(of(t.id), {}, new Set([t.tool])).step)!;
    const kept = home(of(tool.id), {}, new Set([tool.tool!])) as { step: Step };
    const plan = { steps: [{ step: kept.step, words: '' }] };
    expect(noLongerForHome({ ...plan, shown: [tool.tool!] }, screening(), CATALOGUE)).toEqual([]);
    expect(noLongerForHome({ ...plan, shown: [] }, screening(), CATALOGUE)).toHaveLength(1);
  });
});
