import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { CATALOGUE, TECHNIQUES } from '../../reference/catalogue.ts';
import { CAUTIONS } from '../../reference/facts/cautions/index.ts';
import { applyFix, checkRoutine } from '../rules/index.ts';
import { emptyRoutine, newStep, SIDE_MODES, type Routine, type Step } from '../routine/index.ts';
import { pressureRank, type OneSide } from '../words/index.ts';
import { admit } from './admit.ts';
import { keepOffPlaces } from './keep-off.ts';
import { breachesOf } from './breaches.ts';
import { screen, type Answer, type Answers } from './screen.ts';
import { acceptedFor, readAnswers } from './answers.ts';
import { otherSide } from '../words/index.ts';
import { onOneSide, touchesSide } from './sides.ts';

const step = (technique: string, mode: Step['sides']['mode']): Step => {
  const made = newStep(CATALOGUE.techniques.get(technique)!, 'a');
  return { ...made, sides: { ...made.sides, mode } };
};
const bans = (answers: Answers, s: Step) =>
  breachesOf(s, screen(CAUTIONS, answers), CATALOGUE).filter((b) => b.effect === 'ban' && b.limit?.caution.question);
const routineOf = (s: Step): Routine => ({ ...emptyRoutine('x'), budgetMinutes: null, items: [s] });

describe('a yes for one side', () => {
  const left: Answers = { 'trigeminal-neuralgia': 'left' };
  test('closes that side, both sides at once, one after the other, and leaves the other side free', () => {
    const closed = (mode: Step['sides']['mode']) => bans(left, step('cheek-to-ear-glide', mode)).length > 0;
    expect(SIDE_MODES.map((m) => [m, closed(m)])).toEqual([
      ['together', true],
      ['midline', true],
      ['each', true],
      ['left', true],
      ['right', false],
    ]);
  });
  test('closes what crosses the middle, whichever side it is set to', () => {
    expect(bans(left, step('lip-ring-massage', 'right')).length).toBeGreaterThan(0);
    expect(
      bans(left, { ...step('cheek-to-ear-glide', 'right'), path: [{ kind: 'region', id: 'whole-face' }] }),
    ).not.toEqual([]);
    expect(bans(left, { ...step('cheek-to-ear-glide', 'right'), path: [{ kind: 'region', id: 'chin' }] })).not.toEqual(
      [],
    );
  });
  test('what holds for both joints of the jaw or for the head holds on the other side too', () => {
    const chews = {
      ...step('cheek-to-ear-glide', 'right'),
      body: { ...step('cheek-to-ear-glide', 'right').body, jaw: 'wide' },
    };
    expect(bans(left, chews as Step).length).toBeGreaterThan(0);
  });
  test('the head that hangs and current that spreads are no question of side', () => {
    const right = step('cheek-to-ear-glide', 'right');
    const met = (answers: Answers, s: Step) =>
      breachesOf(s, screen(CAUTIONS, answers), CATALOGUE).filter(
        (b) => b.limit?.caution.question && b.effect !== 'note',
      );
    const hangs: Step = {
      ...right,
      path: [{ kind: 'muscle', id: 'masseter-superficial' }],
      body: { ...right.body, head: 'drops' },
    };
    expect(met({ botulinum: 'left' }, hangs).length).toBeGreaterThan(0);
    const current = { ...step('glove-masseter-split', 'right') };
    expect(bans({ 'facial-palsy': 'left' }, current).length).toBeGreaterThan(0);
  });
  test('names the side in every word', () => {
    expect(bans(left, step('cheek-to-ear-glide', 'left'))[0]!.reason).toMatch(/^Electric face pain, left: /);
    expect(screen(CAUTIONS, left).hits.avoid.map((c) => c.title)).toContain('Electric face pain, left');
  });
  test('no side is read where none is asked: a left pregnancy is a yes', () => {
    expect(screen(CAUTIONS, { pregnancy: 'left' }).sides).toEqual({});
    expect(() => readAnswers({ pregnancy: 'left' }, CAUTIONS)).toThrow('pregnancy: yes, no or unsure is accepted');
    expect(readAnswers({ filler: 'right' }, CAUTIONS)).toEqual({ filler: 'right' });
  });
});

describe('what is left to do', () => {
  test('the fix puts the step on the free side, and it mends', () => {
    const routine = routineOf(step('cheek-to-ear-glide', 'each'));
    const screening = screen(CAUTIONS, { 'trigeminal-neuralgia': 'left' });
    const stop = checkRoutine(routine, CATALOGUE, screening).find(
      (f) => f.rule === 'screening' && f.severity === 'stop',
    )!;
    expect(stop.fix).toMatchObject({
      label: 'Only on the client’s right',
      action: { do: 'one-side', stepId: 'a', side: 'right' },
    });
    const mended = applyFix(routine, stop.fix!.action, CATALOGUE);
    expect(
      checkRoutine(mended, CATALOGUE, screening).filter((f) => f.rule === 'screening' && f.severity === 'stop'),
    ).toEqual([]);
  });
  test('a template brings the step on the free side and says so; closed on both it is left out', () => {
    const on = (answers: Answers) => admit(step('cheek-to-ear-glide', 'each'), screen(CAUTIONS, answers), CATALOGUE);
    expect(on({ 'trigeminal-neuralgia': 'right' })).toMatchObject({
      step: { sides: { mode: 'left', extra: null } },
      lowered: expect.stringMatching(/^client’s left only: /),
    });
    expect(on({ 'trigeminal-neuralgia': 'yes' }).step).toBeNull();
    expect(
      on({ 'trigeminal-neuralgia': 'left', 'nerve-pain-brow': 'right', threads: 'yes', filler: 'yes' }).step,
    ).toBeNull();
  });
  test('the chart closes one side, and each side is told its own reason', () => {
    const forehead = (answers: Answers) =>
      keepOffPlaces(screen(CAUTIONS, answers), CATALOGUE)
        .filter((k) => k.place.id === 'forehead')
        .map((k) => [k.side, k.why]);
    const face = 'Electric face pain';
    const brow = 'Electric pain at brow or scalp';
    expect(forehead({ 'trigeminal-neuralgia': 'left' })).toEqual([['left', `${face}, left`]]);
    expect(forehead({ 'trigeminal-neuralgia': 'left', 'nerve-pain-brow': 'right' })).toEqual([
      ['left', `${face}, left`],
      ['right', `${brow}, right`],
    ]);
    expect(forehead({ 'trigeminal-neuralgia': 'yes' })).toEqual([[null, face]]);
  });
});

const SIDED = CAUTIONS.filter((c) => c.sided);
const hardness = (answers: Answers, s: Step): number => {
  const met = breachesOf(s, screen(CAUTIONS, answers), CATALOGUE);
  const worst = Math.max(0, ...met.map((b) => ({ note: 1, warn: 2, ban: 3 })[b.effect]));
  const caps = met.filter((b) => b.effect === 'ban').map((b) => (b.lowerTo ? pressureRank(b.lowerTo) : 0));
  return worst * 10 - (caps.length ? Math.min(...caps) : 5);
};

test('few questions are of one side, and those that concern the whole body are none of them', () => {
  expect(SIDED.map((c) => c.key).sort()).toEqual([
    'botulinum',
    'chest-port',
    'ear-trouble',
    'facial-palsy',
    'filler',
    'lymphoedema',
    'nerve-pain-brow',
    'numbness',
    'trigeminal-neuralgia',
  ]);
});
test('a side never closes more than a yes, both sides together close what a yes closes, and no template passes a ban', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...SIDED),
      fc.constantFrom<OneSide>('left', 'right'),
      fc.constantFrom(...TECHNIQUES.map((t) => t.id)),
      fc.constantFrom(...SIDE_MODES),
      fc.dictionary(
        fc.constantFrom(...SIDED.map((c) => c.key)),
        fc.constantFrom<Answer>('yes', 'no', 'left', 'right'),
        {
          maxKeys: 3,
        },
      ),
      (caution, side, technique, mode, others) => {
        const s = step(technique, mode);
        const alone = (answer: Answer) => hardness({ [caution.key]: answer }, s);
        expect(acceptedFor(caution)).toContain(side);
        expect(alone(side)).toBeLessThanOrEqual(alone('yes'));
        expect(Math.max(alone('left'), alone('right'))).toBe(alone('yes'));
        expect(hardness({ ...others, [caution.key]: side }, s)).toBeGreaterThanOrEqual(
          hardness({ ...others, [caution.key]: 'no' }, s),
        );
        const screening = screen(CAUTIONS, { ...others, [caution.key]: side });
        const admitted = admit(s, screening, CATALOGUE);
        if (admitted.step)
          expect(breachesOf(admitted.step, screening, CATALOGUE).filter((b) => b.effect === 'ban')).toEqual([]);
        // Where a side is called free, nothing of that caution is met there.
        for (const b of breachesOf(s, screening, CATALOGUE))
          if (b.freeSide)
            expect(touchesSide(onOneSide(s, b.freeSide), otherSide(b.freeSide), CATALOGUE), technique).toBe(false);
      },
    ),
    { numRuns: 600 },
  );
});
