import { describe, expect, test } from 'vitest';
import { consentState, type Consent } from './consent.ts';
import { habitWords } from './habit-sides.ts';

const consent = (givenAt: string, more: Partial<Consent> = {}): Consent => ({
  id: givenAt,
  kind: 'work',
  textVersion: 1,
  givenAt,
  withdrawnAt: null,
  ...more,
});

describe('consent', () => {
  test('nothing on file is missing', () => expect(consentState([], 'work', 1)).toEqual({ state: 'missing' }));
  test('of another kind does not count', () =>
    expect(consentState([consent('2026-01-01', { kind: 'photo' })], 'work', 1).state).toBe('missing'));
  test('to the wording of today is given', () =>
    expect(consentState([consent('2026-01-01')], 'work', 1).state).toBe('given'));
  test('to an older wording is outdated, and stays with its version', () =>
    expect(consentState([consent('2026-01-01')], 'work', 2)).toMatchObject({
      state: 'outdated',
      consent: { textVersion: 1 },
    }));
  test('taken back counts as none, even when an older one was not', () =>
    expect(
      consentState([consent('2026-01-01'), consent('2026-02-01', { withdrawnAt: '2026-02-02' })], 'work', 1).state,
    ).toBe('withdrawn'));
  test('given anew after that counts again, in whatever order they come', () =>
    expect(
      consentState([consent('2026-03-01'), consent('2026-02-01', { withdrawnAt: '2026-02-02' })], 'work', 1).state,
    ).toBe('given'));
});

describe('sides of habit', () => {
  test.each([
    [{}, ''],
    [{ chewing: 'right' }, 'chews on the right'],
    [{ desk: 'left', hand: 'left', chewing: 'both' }, 'chews on both sides, left-handed, screen to the left'],
  ] as const)('%j', (sides, words) => expect(habitWords(sides)).toBe(words));
});
