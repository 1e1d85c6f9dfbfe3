import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { traceOf, wantedOf, worked } from '../../tests/support/pad-trace.ts';
import type { AskedOfHand } from '../devices/index.ts';
import { PRESSURE_KPA, PRESSURES } from '../words/index.ts';
import {
  aimOf,
  forceOn,
  hardnessOf,
  middleKpa,
  pressesOf,
  roundsOf,
  scoreTry,
  strokesOf,
  handVerdict,
  wordNow,
} from './index.ts';

const MEDIUM = aimOf('medium');
const ASKED: AskedOfHand = { kpa: 50, areaCm2: 2, motion: 'hold', pressMs: 4000, restMs: 2000, count: 5 };
const scored = (script: Parameters<typeof worked>[0], over: Partial<AskedOfHand> = {}, seed?: string) => {
  const asked = { ...ASKED, ...over };
  return scoreTry(worked(script, asked, seed), { aim: MEDIUM, wanted: wantedOf(asked) });
};

describe('the aim of a word', () => {
  test('is a fifth around its nominal pressure, within its range: light is the taught 4 to 6 kPa', () => {
    expect(aimOf('light')).toMatchObject({ leastKpa: 4, mostKpa: 6 });
    expect(MEDIUM).toMatchObject({ leastKpa: 40, mostKpa: 60, wordLeastKpa: 15, wordMostKpa: 70 });
    for (const word of PRESSURES) {
      const aim = aimOf(word);
      expect(aim.leastKpa).toBeGreaterThanOrEqual(PRESSURE_KPA[word].least);
      expect(aim.mostKpa).toBeLessThanOrEqual(PRESSURE_KPA[word].most);
      expect(middleKpa(aim)).toBeCloseTo(PRESSURE_KPA[word].nominal, 10);
    }
  });
  test('goes round what a practice agreed on, never out of its word', () => {
    expect(middleKpa(aimOf('medium', { nominalKpa: 40 }))).toBeCloseTo(40, 10);
    expect(aimOf('medium', { nominalKpa: 900 }).mostKpa).toBe(PRESSURE_KPA.medium.most);
    expect(aimOf('medium', { nominalKpa: 1 }).mostKpa).toBeGreaterThanOrEqual(PRESSURE_KPA.medium.least);
    expect(aimOf('medium', { nominalKpa: 60, capKpa: 30 }).mostKpa).toBe(30);
    fc.assert(
      fc.property(fc.constantFrom(...PRESSURES), fc.double({ min: 0.1, max: 300, noNaN: true }), (word, nominalKpa) => {
        const aim = aimOf(word, { nominalKpa });
        expect(aim.leastKpa).toBeGreaterThanOrEqual(PRESSURE_KPA[word].least);
        expect(aim.mostKpa).toBeLessThanOrEqual(PRESSURE_KPA[word].most);
        expect(aim.leastKpa).toBeLessThan(aim.mostKpa);
      }),
    );
  });
  test('never passes what a client may have', () =>
    fc.assert(
      fc.property(fc.constantFrom(...PRESSURES), fc.double({ min: 0.1, max: 300, noNaN: true }), (word, cap) => {
        const aim = aimOf(word, { capKpa: cap });
        expect(aim.mostKpa).toBeLessThanOrEqual(cap);
        expect(aim.wordMostKpa).toBeLessThanOrEqual(cap);
        expect(aim.leastKpa).toBeLessThan(aim.mostKpa);
        expect(aim.wordLeastKpa).toBeLessThanOrEqual(aim.leastKpa);
        expect(aim.wordLeastKpa).toBeLessThan(aim.wordMostKpa);
      }),
    ));
  test('in newton on a contact: 1 N on 1 cm² is 10 kPa', () => {
    expect(forceOn(10, 1)).toBe(1);
    expect([forceOn(40, 2), forceOn(60, 2)]).toEqual([8, 12]);
  });
  test('what is said while it is pressed', () =>
    expect([39, 40, 60, 61].map((kpa) => wordNow(kpa, MEDIUM))).toEqual(['harder', 'good', 'good', 'softer']));
});

describe('the presses of a trace', () => {
  test('are found where they are: five of 4 s, each 6 s after the one before', () => {
    const presses = pressesOf(worked('steady', ASKED), MEDIUM.leastKpa);
    expect(presses).toHaveLength(5);
    presses.forEach((p, i) => {
      expect(Math.abs(p.startMs - i * 6000)).toBeLessThan(350);
      expect(Math.abs(p.endMs - p.startMs - 4000)).toBeLessThan(250);
    });
  });
  test('a tremor makes no two of one, nor do readings that were lost', () => {
    const trembling = traceOf((ms) => [{ xMm: 40, yMm: 40, areaCm2: 2, kpa: 50 + 25 * Math.sin(ms / 12) }], 3000, {
      lost: (ms) => ms > 1000 && ms < 1060,
    });
    expect(pressesOf(trembling, MEDIUM.leastKpa)).toHaveLength(1);
  });
  test.each([
    [50, 1],
    [200, 2],
  ])('let go for %d ms: %d', (letGoMs, presses) => {
    const trace = traceOf(
      (ms) => (ms > 1000 && ms <= 1000 + letGoMs ? [] : [{ xMm: 40, yMm: 40, areaCm2: 2, kpa: 50 }]),
      2500,
    );
    expect(pressesOf(trace, MEDIUM.leastKpa)).toHaveLength(presses);
  });
  test('the rise: from nothing to 50 kPa in half a second is 100 kPa/s', () => {
    const ramp = traceOf((ms) => [{ xMm: 40, yMm: 40, areaCm2: 2, kpa: Math.min(50, ms / 10) }], 3000);
    expect(pressesOf(ramp, MEDIUM.leastKpa)[0]!.riseKpaPerSecond).toBeGreaterThan(80);
    expect(pressesOf(ramp, MEDIUM.leastKpa)[0]!.riseKpaPerSecond).toBeLessThan(120);
  });
  test('nothing pressed, no press', () =>
    expect(
      pressesOf(
        traceOf(() => [], 1000),
        MEDIUM.leastKpa,
      ),
    ).toEqual([]));
});

describe('the score of a try', () => {
  /** Pressed at one level from its beginning on, for a part of the wanted time. */
  const level = (kpa: number, part = 1) => {
    const trace = traceOf((ms) => (ms % 6000 < 4000 * part ? [{ xMm: 40, yMm: 40, areaCm2: 2, kpa }] : []), 30_000);
    return scoreTry(trace, { aim: MEDIUM, wanted: wantedOf(ASKED) });
  };
  test('time in the aim: all, half, none of the wanted pressing time, known by how it was made', () => {
    expect(level(50).inAimShare).toBeGreaterThan(0.98);
    expect(level(50, 0.5).inAimShare).toBeCloseTo(0.5, 1);
    expect(level(90).inAimShare).toBe(0);
    expect(scoreTry([], { aim: MEDIUM, wanted: wantedOf(ASKED) }).inAimShare).toBeNull();
  });
  test('what is still to come is not missed', () => {
    const half = worked('steady', ASKED).filter((t) => t.atMs < 12_000);
    const score = scoreTry(half, { aim: MEDIUM, wanted: wantedOf(ASKED) }, 12_000);
    expect(score.inAimShare).toBeGreaterThan(0.7);
    expect(score.lostMs).toBeLessThan(200);
  });
  test('readings that never came are told, and count neither way', () => {
    const trace = worked('steady', ASKED).filter((t) => t.atMs < 12_000 || t.atMs > 15_000);
    const score = scoreTry(trace, { aim: MEDIUM, wanted: wantedOf(ASKED) });
    expect(score.lostMs).toBeGreaterThan(2800);
    expect(score.inAimShare).toBeGreaterThan(0.7);
  });
  test('late and early, quicker and slower: by the scripts that are so', () => {
    expect(scored('slow').offBeatS).toBeGreaterThan(0.15);
    expect(scored('fast', { count: 2 }).offBeatS).toBeLessThan(-0.05);
    expect(Math.abs(scored('steady').offBeatS!)).toBeLessThan(0.15);
    // 0.85 of the time between two presses is 17.6 % quicker, 1.15 of it 13 % slower.
    expect(scored('fast', { count: 4 }).tempoError).toBeCloseTo(0.176, 1);
    expect(scored('slow', { count: 4 }).tempoError).toBeCloseTo(-0.13, 1);
    expect(scored('slow').riseKpaPerSecond!).toBeLessThan(scored('fast').riseKpaPerSecond! / 2);
  });
  test('a wobble of known size: a sine of ±7 kPa has an SD of 4.95', () => {
    const trace = traceOf((ms) => [{ xMm: 40, yMm: 40, areaCm2: 2, kpa: 50 + 7 * Math.sin(ms / 200) }], 10_000);
    expect(scoreTry(trace, { aim: MEDIUM, wanted: [{ startMs: 0, endMs: 10_000 }] }).wobbleKpa).toBeCloseTo(4.95, 0);
  });
});

describe('a hand that presses too hard', () => {
  /** What the presses of some tries say together. */
  const after = (script: 'hard' | 'steady', tries: number, who: number) =>
    handVerdict(
      hardnessOf(
        Array.from({ length: tries }, (_, n) => scored(script, {}, `${script} ${who} ${n}`).presses)
          .flat()
          .map((p) => p.meanKpa / 50),
      ),
    );
  test('by a fifth is told so within five tries, whoever it is', () => {
    for (let who = 0; who < 12; who++) expect(after('hard', 5, who), `hand ${who}`).toBe('harder');
  });
  test('a hand that does not is never told so', () => {
    for (let who = 0; who < 12; who++)
      for (const tries of [1, 2, 5]) expect(after('steady', tries, who), `hand ${who}`).not.toBe('harder');
  });
  const pressed = (...kpa: number[]) => handVerdict(hardnessOf(kpa.map((k) => k / 50)));
  test('nothing is said before three presses, nor of what an interval does not hold', () => {
    expect(pressed(80, 80)).toBe('not-known');
    expect(pressed(60, 61, 59)).toBe('harder');
    expect(pressed(40, 39, 41)).toBe('softer');
    expect(pressed(30, 90, 60)).toBe('not-known');
    expect(pressed(50, 51, 49, 50)).toBe('as-asked');
    // A little harder, surely, but less than a hand can tell.
    expect(pressed(53, 53.1, 52.9)).toBe('as-asked');
  });
  test('its interval is that of Student: 1.1, 1.2, 1.3 are 1.2 ± 4.303 · 0.1 / √3', () => {
    const found = hardnessOf([1.1, 1.2, 1.3])!;
    expect(found.value).toBeCloseTo(1.2, 10);
    expect(found.most - found.value).toBeCloseTo((4.3027 * 0.1) / Math.sqrt(3), 4);
  });
});

describe('the way of a contact', () => {
  test('a straight stroke of 40 mm away from oneself, and a bent one', () => {
    const stroke = (bend: number) =>
      strokesOf(
        traceOf(
          (ms) => [{ xMm: 40 + bend * Math.sin((ms / 2000) * Math.PI), yMm: 60 - ms / 50, areaCm2: 2, kpa: 50 }],
          2000,
        ),
        MEDIUM.leastKpa,
      )[0]!;
    expect(stroke(0).lengthMm).toBeCloseTo(40, 0);
    expect(stroke(0).directionDegrees).toBeCloseTo(90, 0);
    expect(stroke(0).offLineMm).toBeLessThan(0.3);
    // Half a sine of 6 mm: its root mean square is 6 / √2.
    expect(stroke(6).offLineMm).toBeCloseTo(6 / Math.SQRT2, 0);
  });
  test('circles: how many, which way, how quick, how wide', () => {
    const round = (way: 1 | -1) =>
      roundsOf(
        traceOf((ms) => {
          const angle = (way * 2 * Math.PI * ms) / 1500;
          return [{ xMm: 40 + 8 * Math.cos(angle), yMm: 40 + 8 * Math.sin(angle), areaCm2: 2, kpa: 50 }];
        }, 6000),
        MEDIUM.leastKpa,
      )!;
    expect(round(1)).toMatchObject({ isClockwise: true });
    expect(round(-1)).toMatchObject({ isClockwise: false });
    expect(round(1).rounds).toBeCloseTo(4, 1);
    expect(round(1).perMinute).toBeCloseTo(40, 0);
    expect(round(1).radiusMm).toBeCloseTo(8, 0);
    expect(round(1).unevenness).toBeLessThan(0.05);
    expect(roundsOf(worked('steady', ASKED), MEDIUM.leastKpa)).toBeNull();
  });
});
