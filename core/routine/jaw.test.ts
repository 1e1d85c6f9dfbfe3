import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { stepOpening } from './index.ts';

describe('how far the mouth opens in a step', () => {
  test.each([
    ['loose', null],
    ['closed', null],
    ['clenches', null],
    ['slightly-open', { openingMm: 10, isRound: false, moves: false, stopsAt: 'usual' }],
    ['opens-and-closes', { openingMm: 25, isRound: false, moves: true, stopsAt: 'usual' }],
    ['wide', { openingMm: 40, isRound: false, moves: false, stopsAt: 'usual' }],
    ['o-shape', { openingMm: 22, isRound: true, moves: false, stopsAt: 'usual' }],
  ] as const)('%s', (jaw, opening) => expect(stepOpening({ jaw })).toEqual(opening));
  test('stops where it is comfortable, and before the click, and says which', () => {
    expect(stepOpening({ jaw: 'wide' }, { comfortableMm: 31 })).toMatchObject({
      openingMm: 31,
      stopsAt: 'comfortable',
    });
    expect(stepOpening({ jaw: 'opens-and-closes' }, { comfortableMm: 31, clickMm: 22 })).toMatchObject({
      openingMm: 20,
      stopsAt: 'click',
    });
    expect(stepOpening({ jaw: 'wide' }, { clickMm: 1 })).toMatchObject({ openingMm: 0, stopsAt: 'click' });
  });
  test('never opens further than is comfortable or into the click, whatever is measured', () =>
    fc.assert(
      fc.property(
        fc.constantFrom('slightly-open' as const, 'opens-and-closes' as const, 'wide' as const, 'o-shape' as const),
        fc.option(fc.double({ min: 0, max: 90, noNaN: true }), { nil: undefined }),
        fc.option(fc.double({ min: 0, max: 90, noNaN: true }), { nil: undefined }),
        (jaw, comfortableMm, clickMm) => {
          const { openingMm } = stepOpening({ jaw }, { comfortableMm, clickMm })!;
          expect(openingMm).toBeGreaterThanOrEqual(0);
          if (comfortableMm !== undefined) expect(openingMm).toBeLessThanOrEqual(comfortableMm);
          if (clickMm !== undefined && clickMm > 0) expect(openingMm).toBeLessThan(clickMm);
        },
      ),
    ));
});
