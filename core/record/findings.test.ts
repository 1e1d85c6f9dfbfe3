import { FLAT_VIEWS } from '../drawing/index.ts';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import {
  checkedFindings,
  EMPTY_FINDINGS,
  offsetWords,
  pinAt,
  spotPx,
  withFindings,
  type Findings,
} from './findings.ts';

const known = {
  muscle: (id: string) => id === 'masseter-superficial',
};
const good: Findings = {
  feltElsewhere: [{ muscle: 'masseter-superficial', side: 'left', to: 'temple', toSide: 'left' }],
  spots: [
    {
      id: 'a-1',
      view: 'front',
      anchor: 'landmark:nasion.midline',
      rightMm: -3.5,
      downMm: 12,
      tenderness: 2,
      words: 'tight band',
    },
  ],
  thresholds: [
    {
      muscle: 'masseter-superficial',
      side: 'left',
      tipCm2: 1,
      trials: [
        { kpa: 150, rampKpaPerSecond: 40 },
        { kpa: 160, rampKpaPerSecond: null },
        { kpa: 155, rampKpaPerSecond: 44 },
      ],
      device: 'stand-in gauge',
    },
  ],
};
const changed = (
  change: (f: {
    feltElsewhere: Record<string, unknown>[];
    spots: Record<string, unknown>[];
    thresholds: Record<string, unknown>[];
  }) => void,
) => {
  const copy = structuredClone(good) as never as Parameters<typeof change>[0];
  change(copy);
  return () => checkedFindings(copy, known);
};

describe('findings', () => {
  test('a pin of an earlier chart, whose anchor is drawn no longer, is kept', () => {
    const old = { ...good, spots: [{ ...good.spots[0]!, anchor: 'landmark:old-notch.left' }] };
    expect(checkedFindings(old, known)).toEqual(old);
  });
  test('good ones come back as they were', () => expect(checkedFindings(good, known)).toEqual(good));
  test('what nobody asked for is left behind', () =>
    expect(checkedFindings({ ...good, extra: 1, spots: [{ ...good.spots[0], colour: 'red' }] }, known)).toEqual(good));
  test('stored ones from before a kind of them existed get an empty list', () =>
    expect(withFindings({ spots: good.spots })).toEqual({ ...EMPTY_FINDINGS, spots: good.spots }));
  test.each([
    ['spots', changed((f) => (f.spots[0]!.view = 'sideways'))],
    ['spots[0].anchor', changed((f) => (f.spots[0]!.anchor = 'nowhere'))],
    ['spots[0].rightMm', changed((f) => (f.spots[0]!.rightMm = 401))],
    ['spots[0].downMm', changed((f) => (f.spots[0]!.downMm = '3'))],
    ['spots[0].tenderness', changed((f) => (f.spots[0]!.tenderness = 4))],
    ['spots[0].words', changed((f) => (f.spots[0]!.words = 'x'.repeat(201)))],
    ['spots[0].id', changed((f) => (f.spots[0]!.id = 'a b'))],
    ['spots', changed((f) => (f.spots = Array.from({ length: 41 }, (_, i) => ({ ...f.spots[0], id: `s${i}` }))))],
    ['feltElsewhere[0].muscle', changed((f) => (f.feltElsewhere[0]!.muscle = 'biceps'))],
    ['feltElsewhere[0].side', changed((f) => (f.feltElsewhere[0]!.side = 'both'))],
    ['feltElsewhere[0].to', changed((f) => (f.feltElsewhere[0]!.to = 'moon'))],
    ['feltElsewhere[0].toSide', changed((f) => (f.feltElsewhere[0]!.toSide = 'up'))],
    ['trials', changed((f) => (f.thresholds[0]!.trials = [{ kpa: 3 }]))],
    ['kpa', changed((f) => (f.thresholds[0]!.trials = [{ kpa: 0 }, { kpa: 1 }, { kpa: 2 }]))],
    ['areaCm2', changed((f) => (f.thresholds[0]!.tipCm2 = 9))],
    ['device', changed((f) => (f.thresholds[0]!.device = 7))],
  ] as const)('%s is refused', (field, run) => expect(run).toThrow(field));
  test.each([null, 7, 'x', {}, { ...good, spots: 'many' }])('%j is no findings', (value) =>
    expect(() => checkedFindings(value, known)).toThrow(),
  );
});

describe('a pin', () => {
  const drawn = [
    { key: 'a', x: 100, y: 100 },
    { key: 'b', x: 200, y: 100 },
  ];
  test('is measured from the nearest place, in mm', () =>
    expect(pinAt(115, 70, drawn)).toEqual({ anchor: 'a', rightMm: 10, downMm: -20 }));
  test('without places there is none', () => expect(pinAt(1, 1, [])).toBeNull());
  test('is drawn where it was put, within the tenth of a mm it is kept to', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 440 }), fc.integer({ min: 0, max: 560 }), (x, y) => {
        const pin = pinAt(x, y, drawn)!;
        const at = spotPx(
          { id: 's', view: 'front', tenderness: null, words: '', ...pin },
          drawn.find((d) => d.key === pin.anchor)!,
        );
        expect(Math.hypot(at.x - x, at.y - y)).toBeLessThan(0.12);
      }),
    );
  });
  test.each([
    ['front', 4, -12, '12 mm above, 4 mm to the client’s left of'],
    ['front', -4, 0, '4 mm to the client’s right of'],
    ['back', 4, 3, '3 mm below, 4 mm to the client’s right of'],
    ['left', -5, 0, '5 mm forward of'],
    ['right', -5, 0, '5 mm back of'],
    ['top', 0, -6, '6 mm behind'],
    ['front', 0.2, 0.3, 'at'],
  ] as const)('in the %s view, %d and %d mm: %s', (view, rightMm, downMm, words) =>
    expect(offsetWords({ view, rightMm, downMm })).toBe(words),
  );
  test('every view has words for both ways', () => {
    for (const view of FLAT_VIEWS)
      expect(offsetWords({ view, rightMm: 3, downMm: 3 }), view).not.toBe(
        offsetWords({ view, rightMm: -3, downMm: -3 }),
      );
  });
});
