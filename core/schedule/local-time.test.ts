import { describe, expect, test } from 'vitest';
import { momentOfLocal } from './index.ts';

const at = (zone: string, ...local: Parameters<typeof momentOfLocal>[1]) =>
  momentOfLocal(zone, local)?.toISOString() ?? null;

describe('a local time as a moment', () => {
  test('in winter and in summer', () => {
    expect(at('Europe/Lisbon', 2026, 1, 15, 14, 30)).toBe('2026-01-15T14:30:00.000Z');
    expect(at('Europe/Lisbon', 2026, 7, 15, 14, 30, 5, 250)).toBe('2026-07-15T13:30:05.250Z');
  });
  test('the hour that comes twice means its first; half an hour as well', () => {
    expect(at('Europe/Lisbon', 2026, 10, 25, 1, 30)).toBe('2026-10-25T00:30:00.000Z');
    // Lord Howe goes back by half an hour, from UTC+11 to UTC+10:30, on 5 April 2026 at 02:00.
    expect(at('Australia/Lord_Howe', 2026, 4, 5, 1, 45)).toBe('2026-04-04T14:45:00.000Z');
  });
  test('an hour and a day that there is none of', () => {
    expect(at('Europe/Lisbon', 2026, 3, 29, 1, 30)).toBeNull();
    expect(at('Europe/Lisbon', 2026, 2, 31, 10, 0)).toBeNull();
    expect(at('Europe/Lisbon', 2026, 13, 1, 10, 0)).toBeNull();
    expect(at('Europe/Lisbon', 2026, 1, 1, 24, 0)).toBeNull();
  });
});
