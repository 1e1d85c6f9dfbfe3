import { describe, expect, test } from 'vitest';
import { emptyRoutine, newStep } from '../routine/index.ts';
import { CATALOGUE } from '../../reference/catalogue.ts';
import { countsAsDone } from './adherence.ts';
import { happenedAt, homeCatalogue, homeToday, homePlaces, type HomePacket } from './phone.ts';

const at = (text: string) => new Date(text);
describe('when something happened', () => {
  const now = at('2026-11-10T20:00:00Z');
  const made = at('2026-11-01T08:00:00Z');
  test('a clock that is right, or nearly, is taken at its word', () => {
    for (const sent of ['2026-11-10T20:00:00Z', '2026-11-10T19:58:30Z', '2026-11-10T20:01:59Z'])
      expect(happenedAt(at('2026-11-10T07:00:00Z'), at(sent), now, made)).toEqual(at('2026-11-10T07:00:00Z'));
  });
  test('one that is wrong is put right by as much as it was wrong when it sent', () => {
    expect(happenedAt(at('2026-11-10T06:00:00Z'), at('2026-11-10T19:00:00Z'), now, made)).toEqual(
      at('2026-11-10T07:00:00Z'),
    );
    expect(happenedAt(at('2030-01-01T00:00:00Z'), at('2030-01-01T06:00:00Z'), now, made)).toEqual(
      at('2026-11-10T14:00:00Z'),
    );
  });
  test('never later than now, never before the plan', () => {
    expect(happenedAt(at('2026-11-10T21:00:00Z'), now, now, made)).toEqual(now);
    expect(happenedAt(at('2001-01-01T00:00:00Z'), now, now, made)).toEqual(made);
  });
});

describe('what may be done today', () => {
  const packet = {
    held: '',
    plan: { from: '2026-11-02', until: '2026-11-15', timesADay: 2, most: { times: 3, because: null } },
  } as unknown as HomePacket;
  test('up to the most a day, from the first to the last day', () => {
    expect(homeToday(packet, '2026-11-02', 0)).toMatchObject({ may: true, planned: 2 });
    expect(homeToday(packet, '2026-11-15', 2)).toMatchObject({ may: true, done: 2 });
    expect(homeToday(packet, '2026-11-15', 3)).toMatchObject({ may: false, why: 'most' });
    expect(homeToday(packet, '2026-11-01', 0)).toMatchObject({ may: false, why: 'not-begun' });
    expect(homeToday(packet, '2026-11-16', 0)).toMatchObject({ may: false, why: 'over' });
  });
  test('what is held back comes before everything', () => {
    expect(homeToday({ ...packet, held: 'Ask first.' }, '2026-11-05', 0)).toMatchObject({ may: false, why: 'held' });
  });
});

describe('a run that was left early', () => {
  const step = (plannedSeconds: number, doneSeconds: number, outcome: 'done' | 'part' | 'skipped' = 'part') => ({
    hands: { plannedSeconds, doneSeconds },
    outcome,
  });
  test('counts from half of its hands-on seconds on', () => {
    expect(countsAsDone([step(60, 60), step(60, 0)])).toBe(true);
    expect(countsAsDone([step(60, 59), step(60, 0)])).toBe(false);
    expect(countsAsDone([])).toBe(true);
  });
  test('where hands do nothing, by its steps', () => {
    expect(countsAsDone([step(0, 0, 'done'), step(0, 0, 'skipped')])).toBe(true);
    expect(countsAsDone([step(0, 0, 'part'), step(0, 0, 'skipped')])).toBe(false);
  });
});

test('the catalogue of a plan knows its own techniques and places, as the library does, and no others', () => {
  const techniques = [...CATALOGUE.techniques.values()].filter((t) => t.by === 'client').slice(0, 12);
  const steps = techniques.map((t, i) => newStep(t, `s${i}`));
  const school = CATALOGUE.schools.get(emptyRoutine('').school)!;
  const own = homeCatalogue({ techniques, school, places: homePlaces(steps, CATALOGUE) });
  expect(own.techniques.size).toBe(12);
  for (const place of steps.flatMap((s) => s.path)) {
    expect(own.placeName(place)).toBe(CATALOGUE.placeName(place) ?? '');
    expect(own.regionOf(place)).toBe(CATALOGUE.regionOf(place));
    expect(own.isPaired(place)).toBe(CATALOGUE.isPaired(place));
  }
  expect(own.placeName({ kind: 'point', id: 'nowhere' })).toBeNull();
  expect(own.regionOf({ kind: 'point', id: 'nowhere' })).toBeNull();
});
