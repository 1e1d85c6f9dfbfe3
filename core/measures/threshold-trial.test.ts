import { gaugeCommandLine, readGaugeLine } from '../devices/index.ts';
import { describe, expect, test } from 'vitest';
import { inventedPress, pressLines } from '../../devices/algometer.ts';
import { meterOf, pressUntil, risePerSecond, type PressSample } from './threshold-trial.ts';

/** A straight ramp, a sample every 20 ms. */
const ramp = (kpaPerSecond: number, toMs: number): PressSample[] =>
  Array.from({ length: toMs / 20 + 1 }, (_, i) => ({ atMs: i * 20, kpa: (kpaPerSecond * i * 20) / 1000 }));

describe('the rise of a press', () => {
  test.each([30, 43.5, 80])('of %d kPa/s is found exactly on a straight ramp', (rate) =>
    expect(risePerSecond(ramp(rate, 3000))).toBeCloseTo(rate, 9),
  );
  test('of too few samples, or without time, is unknown', () => {
    expect(risePerSecond(ramp(40, 20))).toBeNull();
    expect(risePerSecond([1, 2, 3].map((kpa) => ({ atMs: 5, kpa })))).toBeNull();
  });
  test.each([
    [20, 'faster'],
    [30, 'steady'],
    [50, 'steady'],
    [51, 'slower'],
  ] as const)('at %d kPa/s the hint is %s', (rate, hint) => expect(meterOf(ramp(rate, 3000))).toMatchObject({ hint }));
  test('before the tip presses there is no hint', () => {
    expect(meterOf([])).toEqual({ kpa: 0, rise: null, hint: null });
    expect(meterOf(ramp(1, 2000)).hint).toBeNull();
  });
  test('only the last half second counts for the meter', () =>
    expect(
      meterOf([...ramp(20, 3000), ...ramp(40, 1000).map((s) => ({ atMs: s.atMs + 3020, kpa: s.kpa + 60 }))]).rise,
    ).toBeCloseTo(40, 6));
});

describe('what a press came to', () => {
  test('the highest pressure up to the mark, and the rise on the way', () =>
    expect(pressUntil(ramp(40, 5000), 4000)).toEqual({ kpa: 160, rampKpaPerSecond: expect.closeTo(40, 6) as number }));
  test('nothing pressed is no press', () => {
    expect(pressUntil(ramp(1, 2000), 2000)).toBeNull();
    expect(pressUntil(ramp(40, 2000), 10)).toBeNull();
  });
  test('a tip that slips is told', () =>
    expect(
      pressUntil(
        ramp(40, 4000).map((s) => (s.atMs > 2000 && s.atMs < 2200 ? { ...s, kpa: s.kpa * 0.6 } : s)),
        4000,
      )!.slipped,
    ).toBe(true));
});

describe('lines of a gauge', () => {
  test.each([
    ['GAUGE protocol=1 tip=0.5 name=desk_gauge', { kind: 'hello', protocol: 1, tipCm2: 0.5, name: 'desk gauge' }],
    ['P 1240 87.4', { kind: 'sample', atMs: 1240, kpa: 87.4 }],
    ['  MARK 4100 191.2\r', { kind: 'mark', atMs: 4100, kpa: 191.2 }],
    ['END let-go', { kind: 'end', why: 'let-go' }],
    ['BATTERY 80', null],
    ['', null],
  ])('%j', (line, message) => expect(readGaugeLine(line)).toEqual(message));
  test.each([
    'P',
    'P x 3',
    'P 3',
    'P -1 3',
    'P 1 6000',
    'MARK 1',
    'GAUGE protocol=2 tip=1',
    'GAUGE protocol=1 tip=9',
    'GAUGE',
  ])('%j is refused', (line) => expect(() => readGaugeLine(line)).toThrow('accepted'));
  test('commands', () => {
    expect(gaugeCommandLine({ kind: 'press', target: 'masseter-superficial.left', trial: 2 })).toBe(
      'PRESS target=masseter-superficial.left trial=2',
    );
    expect(gaugeCommandLine({ kind: 'stop' })).toBe('STOP');
  });
});

describe('the stand-in', () => {
  const press = (target: string, trial: number) => {
    const samples: PressSample[] = [];
    let markMs = -1;
    for (const { line } of pressLines(target, trial)) {
      const read = readGaugeLine(line);
      if (read?.kind === 'sample') samples.push(read);
      if (read?.kind === 'mark') markMs = read.atMs;
    }
    return { samples, measured: pressUntil(samples, markMs)! };
  };
  test('presses the same way every time', () => expect(press('a.left', 1).samples).toEqual(press('a.left', 1).samples));
  test('each trial is a press of its own', () =>
    expect(press('a.left', 1).measured.kpa).not.toBe(press('a.left', 2).measured.kpa));
  test('what is measured is what was invented, within noise', () => {
    for (let trial = 1; trial <= 30; trial++) {
      const { thresholdKpa, rampKpaPerSecond, slips } = inventedPress('masseter-superficial.right', trial);
      const { measured } = press('masseter-superficial.right', trial);
      expect(Math.abs(measured.kpa - thresholdKpa)).toBeLessThan(4);
      expect(measured.slipped ?? false).toBe(slips);
      if (!slips) expect(Math.abs(measured.rampKpaPerSecond! - rampKpaPerSecond)).toBeLessThan(rampKpaPerSecond / 6);
    }
  });
});
