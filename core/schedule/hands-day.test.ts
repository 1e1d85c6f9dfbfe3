import { describe, expect, test } from 'vitest';
import type { HandWork } from '../proposal/index.ts';
import { routineFrom } from '../../tests/support/routines.ts';
import { runRecord, type StepRecord } from '../guide/index.ts';
import { handWorkOf } from '../proposal/index.ts';
import { expandRoutine } from '../routine/index.ts';
import { handLines, handWorkDone } from './hands-day.ts';

const at = (clock: string): number => Date.parse(`2026-11-26T${clock}:00Z`);
const MINUTE = 60_000;
const thumb = (startMinute: number, endMinute: number, used: number): HandWork => ({
  stepId: `s${startMinute}`,
  part: 'thumb',
  startMs: startMinute * MINUTE,
  endMs: endMinute * MINUTE,
  pressSeconds: 1,
  share: 0.3,
  used,
});
const lines = (...visits: { visitId: string; handsFromMs: number; work: HandWork[] }[]) =>
  handLines(visits, at('09:00'), at('19:00')).find((l) => l.part === 'thumb')!;

describe('the hands along a day', () => {
  test('nothing comes back between visits: what is used up adds up, in the order of the day', () => {
    const line = lines(
      { visitId: 'late', handsFromMs: at('15:00'), work: [thumb(0, 10, 0.3)] },
      { visitId: 'early', handsFromMs: at('10:00'), work: [thumb(5, 10, 0.2), thumb(12, 14, 0.1)] },
    );
    expect(line.total).toBeCloseTo(0.6, 10);
    expect(line.passed).toBeNull();
    expect(line.points.map((p) => p.share)).toEqual([...line.points.map((p) => p.share)].sort((a, b) => a - b));
    expect(line.points[0]).toEqual({ ms: at('09:00'), share: 0 });
    expect(line.points.at(-1)!.ms).toBe(at('19:00'));
  });
  test('where the whole is passed: the visit, and the minute within its step', () => {
    const line = lines(
      { visitId: 'a', handsFromMs: at('10:00'), work: [thumb(0, 10, 0.8)] },
      { visitId: 'b', handsFromMs: at('15:00'), work: [thumb(0, 10, 0.4)] },
    );
    expect(line.passed!.visitId).toBe('b');
    expect(line.passed!.ms).toBeCloseTo(at('15:05'), 0);
  });
  test('all of it, to the last bit, is not yet more than all of it', () =>
    expect(lines({ visitId: 'a', handsFromMs: at('10:00'), work: [thumb(0, 10, 1)] }).passed).toBeNull());
  test('each part has a line of its own', () =>
    expect(handLines([], 0, 10).map((l) => [l.part, l.total])).toEqual(
      ['thumb', 'index', 'knuckle', 'palm', 'pinch', 'tool'].map((p) => [p, 0]),
    ));
});

describe('what a run asked of the hands', () => {
  const routine = routineFrom(['masseter-warm-hold', 'temple-circles']);
  const planned = handWorkOf(routine, {});
  const records = runRecord(expandRoutine(routine), [], 0).steps;
  const doneWith = (change: (r: StepRecord) => StepRecord) => handWorkDone(routine, records.map(change), {});
  /** As if hands had been on the client for this part of what was planned. */
  const partly = (part: number) => (r: StepRecord) => ({
    ...r,
    hands: { ...r.hands, doneSeconds: r.hands.plannedSeconds * part },
  });

  test('all of it, half of it, nothing: by the seconds that hands were on the client', () => {
    expect(planned.length).toBeGreaterThan(1);
    expect(doneWith(partly(1))).toEqual(planned);
    doneWith(partly(0.5)).forEach((work, i) => {
      expect(work.used).toBeCloseTo(planned[i]!.used / 2, 10);
      expect(work.pressSeconds).toBeCloseTo(planned[i]!.pressSeconds / 2, 10);
    });
    expect(doneWith(partly(0))).toEqual([]);
  });
  test('at the pressure at which it was done', () => {
    const harder = doneWith((r) => ({ ...partly(1)(r), donePressure: 'deep' }));
    expect(Math.min(...harder.map((w, i) => w.share - planned[i]!.share))).toBeGreaterThan(0);
  });
});
