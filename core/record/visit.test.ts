import { describe, expect, test } from 'vitest';
import {
  hasBegun,
  hasEnded,
  REACTION_NAMES,
  REACTIONS,
  STAGE_NAMES,
  stageIndex,
  STAGES,
  type VisitStage,
} from './visit.ts';

describe('stages of a visit', () => {
  test('stand in the order of the work', () => expect(STAGES.map(stageIndex)).toEqual([0, 1, 2, 3, 4]));
  test('a finished visit stands after the last, a stopped or postponed one at the first', () => {
    expect(stageIndex('done')).toBe(5);
    expect([stageIndex('stopped'), stageIndex('postponed')]).toEqual([0, 0]);
  });
  test('only the endings end it, three of a visit and two of a booking', () => {
    const endings = (Object.keys(STAGE_NAMES) as VisitStage[]).filter(hasEnded);
    expect(endings.sort()).toEqual(['cancelled', 'done', 'missed', 'postponed', 'stopped']);
  });
});

describe('a visit has begun', () => {
  const now = '2027-03-09T10:00:00.000Z';
  test('when its time has come', () =>
    expect(hasBegun({ stage: 'screen', startsAt: '2027-03-09T10:00:00.000Z' }, now)).toBe(true));
  test('or when somebody has worked in it before that', () =>
    expect(hasBegun({ stage: 'compose', startsAt: '2027-03-09T15:00:00.000Z' }, now)).toBe(true));
  test('but not while it is only booked', () =>
    expect(hasBegun({ stage: 'screen', startsAt: '2027-03-09T15:00:00.000Z' }, now)).toBe(false));
});

test('every reaction can be said', () => {
  for (const r of REACTIONS) expect(REACTION_NAMES[r].length).toBeGreaterThan(3);
});
