import { describe, expect, test } from 'vitest';
import { screenedWith } from '../../demo/proposal-cases.ts';
import { CATALOGUE } from '../../reference/catalogue.ts';
import { routineFrom } from '../../tests/support/routines.ts';
import { mapSteps, stepsOf, type Routine, type Step } from '../routine/index.ts';
import { CONTACTS, pressureRank, type Contact, type Pressure } from '../words/index.ts';
import { handSwaps } from './hand-swaps.ts';
import { HAND_PARTS, handPartsOf, handWorkOf, usedBy, type HandPart } from './hand-work.ts';
import { enduranceSeconds } from './hands.ts';

/** A hold of so many seconds, with nothing around it. */
const hold = (contact: Contact, there: Pressure, seconds: number, over: Partial<Step> = {}): Routine =>
  mapSteps(routineFrom(['masseter-warm-hold']), (s) => ({
    ...s,
    contact,
    motion: 'hold',
    pressure: { there, back: null },
    sides: { ...s.sides, mode: 'left', extra: null },
    dose: { ...s.dose, sets: 1, parts: [{ kind: 'hold', seconds }] },
    ...over,
  }));
const NONE = Object.fromEntries(HAND_PARTS.map((p) => [p, 0])) as Record<HandPart, number>;

test('endurance at a share of the strength: Rohmert 1960, −1.5 + 2.1/f − 0.6/f² + 0.1/f³ minutes', () => {
  for (const [share, seconds] of [
    [0.15, 927.8],
    [0.2, 390],
    [0.3, 152.2],
    [0.4, 93.75],
    [0.5, 66],
    [0.7, 34],
    [1, 6],
  ] as const)
    expect(enduranceSeconds(share), `${share}`).toBeCloseTo(seconds, 0);
});

describe('what a routine asks of the hands', () => {
  test('a minute of firm pressure by a thumb: 100 kPa on 2 cm² are 20 N of 60, a third, held 128 s at most', () => {
    const [work] = handWorkOf(hold('thumb', 'firm', 60), {});
    expect(work).toMatchObject({ part: 'thumb', pressSeconds: 60 });
    expect(work!.share).toBeCloseTo(1 / 3, 10);
    // −1.5 + 6.3 − 5.4 + 2.7 = 2.1 min.
    expect(work!.used).toBeCloseTo(60 / 126, 10);
  });
  test('the own strength counts, where it was measured; nobody presses with more than all of it', () => {
    expect(handWorkOf(hold('thumb', 'firm', 60), { thumb: 40 })[0]!.share).toBeCloseTo(0.5, 10);
    expect(handWorkOf(hold('thumb', 'firm', 60), { palm: 40 })[0]!.share).toBeCloseTo(1 / 3, 10);
    const [most] = handWorkOf(hold('thumb', 'firm', 6), { thumb: 10 });
    expect([most!.share, most!.used]).toEqual([1, expect.closeTo(1, 10)]);
  });
  test('light work uses nothing up; nothing is asked where nothing touches', () => {
    expect(usedBy(handWorkOf(hold('thumb', 'light', 600), {}))).toEqual(NONE);
    expect(handWorkOf(hold('none', 'light', 60, { pressure: null }), {})).toEqual([]);
  });
  test('what pulses presses for half of its time', () => {
    const both = (motion: Step['motion']) => handWorkOf(hold('thumb', 'firm', 60, { motion }), {})[0]!.pressSeconds;
    expect([both('hold'), both('press-pulse')]).toEqual([60, 30]);
  });
  test('the strokes of two sides add up; both at once count once', () => {
    const used = (mode: Step['sides']['mode']) => {
      const routine = hold('thumb', 'firm', 30);
      return usedBy(
        handWorkOf(
          mapSteps(routine, (s) => ({ ...s, sides: { ...s.sides, mode } })),
          {},
        ),
      ).thumb;
    };
    expect(used('each')).toBeCloseTo(2 * used('left'), 10);
    expect(used('together')).toBeCloseTo(used('left'), 10);
  });
  test('every contact is somebody’s: a pinch tires the thumb too, a ball is held', () => {
    expect(handPartsOf('pinch')).toEqual(['pinch', 'thumb']);
    expect([handPartsOf('probe'), handPartsOf('single-ball')]).toEqual([['tool'], ['tool']]);
    expect(CONTACTS.filter((c) => !handPartsOf(c).length)).toEqual(['none', 'tongue']);
  });
});

describe('how a part of the hand is spared', () => {
  const around = {
    strength: {},
    catalogue: CATALOGUE,
    screening: screenedWith([]),
    tools: new Set<string>(),
    beside: NONE,
  };
  const thumbs = routineFrom(['masseter-pin-open', 'temple-circles', 'masseter-warm-hold']);
  const worked = mapSteps(thumbs, (s) => ({
    ...s,
    contact: 'thumb' as const,
    pressure: s.pressure && { there: 'firm' as const, back: null },
  }));
  const used = usedBy(handWorkOf(worked, {})).thumb;
  test('nothing is changed where it is little enough', () =>
    expect(handSwaps(worked, 'thumb', { ...around, most: used })).toBeNull());
  test('as few steps as will do are changed, and only those that press with it', () => {
    const found = handSwaps(worked, 'thumb', { ...around, most: used * 0.9 })!;
    expect(found.swaps).toHaveLength(1);
    expect(found.after.thumb).toBeLessThanOrEqual(used * 0.9);
    expect(found.before.thumb).toBeCloseTo(used, 10);
    const changed = stepsOf(found.routine).filter((s, i) => JSON.stringify(s) !== JSON.stringify(stepsOf(worked)[i]));
    expect(changed.map((s) => s.id)).toEqual([found.swaps[0]!.stepId]);
  });
  test('only contacts and pressures of the technique; a tool only where there is one', () => {
    const found = handSwaps(worked, 'thumb', { ...around, most: 0 })!;
    for (const step of stepsOf(found.routine)) {
      const technique = CATALOGUE.techniques.get(step.technique)!;
      const before = stepsOf(worked).find((s) => s.id === step.id)!;
      if (step.contact !== before.contact) expect(technique.contacts).toContain(step.contact);
      expect(handPartsOf(step.contact)).not.toContain('tool');
    }
    expect(found.swaps.every((s) => / instead of /.test(s.words))).toBe(true);
  });
  test('what today allows no more is not offered: under a cap at light no firm knuckle takes the place of a thumb', () => {
    const capped = screenedWith([], 'light');
    const offered = handSwaps(worked, 'thumb', { ...around, screening: capped, most: 0 });
    for (const step of stepsOf(offered?.routine ?? { items: [] }))
      if (offered!.swaps.some((s) => s.stepId === step.id))
        expect(pressureRank(step.pressure!.there), step.technique).toBeLessThanOrEqual(pressureRank('light'));
    // Without the cap a firm contact is offered in its place.
    const free = handSwaps(worked, 'thumb', { ...around, most: 0 })!;
    expect(stepsOf(free.routine).some((s) => s.pressure?.there === 'firm' && s.contact !== 'thumb')).toBe(true);
  });
  test('what another contact carries already is minded', () => {
    const full = { ...NONE, knuckle: 5, index: 5 };
    const found = handSwaps(worked, 'thumb', { ...around, beside: full, most: used * 0.9 });
    expect(found?.swaps[0]?.words ?? 'medium instead of firm').toMatch(/^(medium|palm|whole hand)/);
  });
});
