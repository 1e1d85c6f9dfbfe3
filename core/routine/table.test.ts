import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { CATALOGUE, TECHNIQUES } from '../../reference/catalogue.ts';
import { STARTING_ROUTINES } from '../../reference/routines/index.ts';
import { beats, bareStep, hold, routineFrom } from '../../tests/support/routines.ts';
import { InputError, pressureRank } from '../words/index.ts';
import {
  copySteps,
  differences,
  dissolveBlock,
  expandRoutine,
  makeBlock,
  mirrorSteps,
  moveSteps,
  newStep,
  readRoutine,
  removeSteps,
  ribbonOf,
  routineSeconds,
  scaleTo,
  servesOf,
  setBlockSides,
  shiftPressure,
  smallBands,
  stepSeconds,
  stepsOf,
  sumWords,
  WORKING,
  type Block,
  type Routine,
} from './index.ts';

const routine = (): Routine => ({
  ...routineFrom([]),
  items: ['a', 'b', 'c', 'd', 'e'].map((id) => bareStep(id, [hold(10)], { mode: 'each' })),
});
const ids = (r: Routine) => stepsOf(r).map((s) => s.id);
const set = (...of: string[]) => new Set(of);

describe('blocks', () => {
  test('neighbours go wholly on one side, then on the other; dissolved they stay where they are', () => {
    const made = makeBlock(routine(), ['b', 'c'], 'left-then-right');
    expect(made.items.map((i) => i.kind)).toEqual(['step', 'block', 'step', 'step']);
    expect(ids(readRoutine(made))).toEqual(['a', 'b', 'c', 'd', 'e']);
    const inBlock = expandRoutine(made).filter((c) => c.blockIndex === 1 && WORKING.has(c.kind));
    expect(inBlock.map((c) => `${c.stepId} ${c.side}`)).toEqual(['b left', 'c left', 'b right', 'c right']);
    const block = made.items[1] as Block;
    const other = setBlockSides(made, block.id, 'right-then-left');
    expect(expandRoutine(other).find((c) => c.blockIndex === 1)!.side).toBe('right');
    expect(ribbonOf(made, expandRoutine(made), CATALOGUE).turns.map((t) => [t.side, t.isSecond])).toEqual([
      ['left', false],
      ['right', true],
    ]);
    expect(ribbonOf(routine(), expandRoutine(routine()), CATALOGUE).turns).toEqual([]);
    expect(dissolveBlock(made, block.id)).toEqual(routine());
  });
  test('work on both sides at once is done side by side in a block', () => {
    const together = {
      ...routine(),
      items: [bareStep('x', [hold(5)], { mode: 'together' }), bareStep('y', [hold(5)])],
    };
    const made = makeBlock(together, ['x', 'y'], 'left-then-right');
    expect(stepsOf(made).map((s) => s.sides.mode)).toEqual(['each', 'each']);
  });
  test('what are no neighbours, or in a block already, is refused with its reason', () => {
    expect(() => makeBlock(routine(), ['a', 'c'], 'left-then-right')).toThrow(InputError);
    const made = makeBlock(routine(), ['b', 'c'], 'left-then-right');
    expect(() => makeBlock(made, ['a', 'b'], 'left-then-right')).toThrow('in a block already');
  });
});

describe('several steps at once', () => {
  test('are moved together behind a step, taken out, and copied behind the last of them', () => {
    expect(ids(moveSteps(routine(), set('a', 'c'), 4))).toEqual(['b', 'd', 'a', 'c', 'e']);
    expect(ids(moveSteps(routine(), set('d', 'e'), 0))).toEqual(['d', 'e', 'a', 'b', 'c']);
    expect(ids(removeSteps(routine(), set('a', 'e')))).toEqual(['b', 'c', 'd']);
    const copied = copySteps(routine(), set('b', 'd'));
    expect(ids(copied).slice(0, 4)).toEqual(['a', 'b', 'c', 'd']);
    expect(ids(copied)).toHaveLength(7);
    expect(() => readRoutine(copied)).not.toThrow();
  });
  test('mirrored twice are as they were; left becomes right with its extra sets', () => {
    const sided = mirrorSteps(
      {
        ...routine(),
        items: [
          {
            ...bareStep('x', [hold(5)]),
            sides: {
              mode: 'left',
              first: 'left',
              sets: 1,
              extra: { side: 'left', sets: 2, reason: 'sorer' },
              sequence: 'alternate',
            },
          },
        ],
      },
      set('x'),
    );
    expect(stepsOf(sided)[0]!.sides).toMatchObject({
      mode: 'right',
      first: 'right',
      extra: { side: 'right', sets: 2 },
    });
    expect(mirrorSteps(mirrorSteps(routine(), set('a', 'b')), set('a', 'b'))).toEqual(routine());
  });
  test('softer and firmer never leave what the technique takes, and say how many stayed', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...TECHNIQUES),
        fc.array(fc.constantFrom<1 | -1>(1, -1), { maxLength: 8 }),
        (t, shifts) => {
          let r: Routine = { ...routine(), items: [newStep(t, 'x')] };
          for (const by of shifts) {
            const before = stepsOf(r)[0]!.pressure;
            const { routine: next, stayed } = shiftPressure(r, set('x'), by, CATALOGUE);
            const after = stepsOf(next)[0]!.pressure;
            expect(stayed).toBe(after?.there === before?.there ? 1 : 0);
            if (after && after.there !== before!.there) {
              expect(pressureRank(after.there)).toBeLessThanOrEqual(pressureRank(t.pressure!.most));
              expect(pressureRank(after.there)).toBeGreaterThanOrEqual(pressureRank(t.pressure!.least));
            }
            r = next;
          }
        },
      ),
    ));
});

/** The sum in words, worked out again: what stands before the equals sign has to give what stands behind it. */
function workedOut(words: string): { product: number; told: number } {
  const [sum, rest] = words.split(' = ') as [string, string];
  const product = new Function(
    `return ${sum
      .replaceAll(/(\d+(?:\.\d+)?) ÷ (\d+(?:\.\d+)?) a min/g, '($1 / $2 * 60)')
      .replaceAll('×', '*')
      .replaceAll(/[a-z]+/g, '')}`,
  ) as () => number;
  const [minutes, seconds] = rest.split(',')[0]!.split(':').map(Number) as [number, number];
  return { product: product(), told: minutes * 60 + seconds };
}

describe('the sum of a step', () => {
  test('is told in factors, with the length that changes add', () => {
    const step = bareStep(
      'x',
      [beats(10, 30), { kind: 'open', until: 'it softens', usualSeconds: 45, leastSeconds: 15, mostSeconds: 90 }],
      { mode: 'each', places: 3 },
    );
    // Two sides, three places, ten at thirty a minute and 45 s at each: 2 × 3 × (20 + 45) = 390 s.
    expect(sumWords(step, stepSeconds(step))).toBe(
      '2 sides × 3 places × (10 ÷ 30 a min + 45 s) = 6:30, with changes 6:30',
    );
  });
  test('counts rounds where one side gets more, and sets where both get the same', () => {
    const step = bareStep('x', [hold(5)], { mode: 'each' });
    const more = { ...step, sides: { ...step.sides, extra: { side: 'left' as const, sets: 2, reason: '' } } };
    // Once on the right, three times on the left.
    expect(sumWords(more, 20)).toBe('4 rounds × 5 s = 0:20, with changes 0:20');
    expect(sumWords(bareStep('x', [hold(5)], { mode: 'each', sets: 3 }), 30)).toBe(
      '2 sides × 3 sets × 5 s = 0:30, with changes 0:30',
    );
  });
  test('holds for every technique of the library: its factors give the working seconds of its cue list', () => {
    for (const t of TECHNIQUES) {
      const step = newStep(t, 'x');
      const words = sumWords(step, stepSeconds(step));
      const work = expandRoutine({ items: [step] }).reduce(
        (s, c) => s + (WORKING.has(c.kind) ? c.endMs - c.startMs : 0),
        0,
      );
      const { product, told } = workedOut(words);
      expect(Math.abs(product - work / 1000), `${t.id}: ${words}`).toBeLessThan(0.5);
      expect(Math.abs(told - work / 1000), t.id).toBeLessThanOrEqual(0.5);
    }
  });
});

describe('scaled to minutes', () => {
  test('every starting routine fits what is asked for and comes near, or says what it runs', () => {
    for (const { routine: r } of STARTING_ROUTINES.map((s) => ({ routine: readRoutine(s.routine) }))) {
      const now = routineSeconds(r);
      const { routine: scaled, totalSeconds, changes } = scaleTo(r, Math.round((now / 60) * 0.8));
      expect(totalSeconds).toBeCloseTo(routineSeconds(scaled), 6);
      expect(totalSeconds, r.name).toBeLessThan(now);
      expect(changes.length, r.name).toBeGreaterThan(0);
      expect(() => readRoutine(scaled)).not.toThrow();
      expect(stepsOf(scaled).map((s) => [s.id, s.path, s.sides])).toEqual(
        stepsOf(r).map((s) => [s.id, s.path, s.sides]),
      );
    }
  });
  test('never passes the minutes where the doses can give', () =>
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 20 }), (minutes) => {
        const r: Routine = { ...routine(), items: [bareStep('a', [hold(200)]), bareStep('b', [beats(60, 30)])] };
        const { totalSeconds } = scaleTo(r, minutes);
        expect(totalSeconds).toBeLessThanOrEqual(minutes * 60);
        // 320 s, at most three times as long: up to 16 minutes it fills what is asked for.
        if (minutes <= 15) expect(totalSeconds).toBeGreaterThan(minutes * 60 - 4);
      }),
    ));
  test('nothing is cut below what is still work: 3 s, 3 times, 2 breaths, the least of a waiting', () => {
    const phases = [
      { what: 'in' as const, seconds: 4 },
      { what: 'out' as const, seconds: 6 },
    ];
    const parts = [
      hold(9),
      beats(8, 30),
      { kind: 'breath' as const, cycles: 5, phases },
      { kind: 'open' as const, until: 'it softens', usualSeconds: 40, leastSeconds: 25, mostSeconds: 90 },
      hold(2),
    ];
    const r: Routine = { ...routine(), items: Array.from({ length: 12 }, (_, i) => bareStep(`s${i}`, parts)) };
    expect(stepsOf(scaleTo(r, 1).routine)[0]!.dose.parts).toMatchObject([
      { seconds: 3 },
      { count: 3 },
      { cycles: 2 },
      { usualSeconds: 25 },
      // What was shorter before is not made longer.
      { seconds: 2 },
    ]);
  });
  test('doses that are as short as they may be stay, and the length says so', () => {
    const r: Routine = { ...routine(), items: [bareStep('a', [hold(3)]), bareStep('b', [beats(3, 30)])] };
    expect(scaleTo(r, 1).routine.items).not.toEqual([]);
    const { totalSeconds } = scaleTo(
      { ...r, items: Array.from({ length: 40 }, (_, i) => bareStep(`s${i}`, [hold(3)])) },
      1,
    );
    expect(totalSeconds).toBe(120);
  });
});

test('two routines differ by what is in one only and by what changed, in words', () => {
  const before = routine();
  const now: Routine = {
    ...before,
    items: [
      before.items[0]!,
      { ...bareStep('b', [hold(20)], { mode: 'each' }), pressure: { there: 'medium', back: null } },
      { ...bareStep('n', [hold(5)]), technique: 'temple-circles' },
      before.items[2]!,
      before.items[3]!,
    ],
  };
  const told = differences(before, now).map((d) => [d.before?.id ?? null, d.now?.id ?? null, d.words]);
  expect(told).toEqual([
    ['b', 'b', ['light → medium', '10 s → 20 s']],
    [null, 'n', []],
    ['e', null, []],
  ]);
  expect(differences(before, routine())).toEqual([]);
});

test('the small ribbon has every block of the ribbon once, as far up and down as it is pressed', () => {
  for (const { routine: r } of STARTING_ROUTINES) {
    const body = readRoutine(r);
    const ribbon = ribbonOf(body, expandRoutine(body), CATALOGUE);
    const rects = smallBands(ribbon).flatMap(({ rank, path }) =>
      [...path.matchAll(/M(\d+) (-?[\d.]+)h(\d+)v([\d.]+)/g)].map(([, x, y, w, h]) => ({
        rank,
        x: Number(x),
        up: -Number(y),
        down: Number(h) + Number(y),
        end: Number(x) + Number(w),
      })),
    );
    expect(rects).toHaveLength(ribbon.blocks.length);
    for (const rect of rects) {
      const block = ribbon.blocks.find((b) => Math.round(b.startSeconds) === rect.x)!;
      if (rect.rank) expect([rect.up, rect.down].map((v) => v + 0)).toEqual([block.right, block.left]);
      expect(rect.end).toBeLessThanOrEqual(Math.max(block.endSeconds + 1, rect.x + 2));
    }
  }
});

test('what a routine serves is told by its work, not by the frame round it', () => {
  const id = (want: (t: (typeof TECHNIQUES)[number]) => boolean) => TECHNIQUES.find(want)!.id;
  const jaw = id((t) => t.phase === 'release' && t.serves.includes('jaw') && !t.serves.includes('sinus'));
  const frame = id((t) => t.phase === 'open-drainage' && !t.serves.includes('jaw'));
  const only = routineFrom([jaw]);
  expect(servesOf(only, CATALOGUE)).toContain('jaw');
  const framed = routineFrom([frame, frame, frame, jaw]);
  expect(servesOf(framed, CATALOGUE)).toEqual(servesOf(only, CATALOGUE));
  expect(servesOf(routineFrom([frame]), CATALOGUE)).toEqual([]);
});
