import { COMPLAINT_KINDS, InputError } from '../words/index.ts';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import {
  changeOf,
  measureOf,
  QUESTIONNAIRES,
  proposedMeasures,
  type MeasureAnswers,
  type MeasureDef,
} from './catalogue.ts';

const filled = (def: MeasureDef, pick: (least: number, most: number) => number): MeasureAnswers =>
  Object.fromEntries(
    def.fields.map((f) => [f.key, f.kind === 'words' ? 'Play a whole concert' : pick(f.least, f.most)]),
  );

describe('every measure of the catalogue', () => {
  test.each(QUESTIONNAIRES.map((m) => [m.id, m] as const))('%s is whole', (_id, m) => {
    expect(new Set(m.fields.map((f) => f.key)).size).toBe(m.fields.length);
    expect(m.credit.length).toBeGreaterThan(5);
    expect(m.minutes).toBeGreaterThan(0);
    for (const kind of m.serves) expect(COMPLAINT_KINDS).toContain(kind);
    expect(`${m.name} ${m.about}`).not.toMatch(/diagnos|cure|disorder/i);
    // A form that needs permission ships no wording of its items.
    if (m.wording === 'by-number')
      for (const f of m.fields) expect(f.label).toMatch(/^(Item|Symptom) \d+|^Total|^Sum|^Items answered/);
  });
  test.each(QUESTIONNAIRES.map((m) => [m.id, m] as const))('%s: nothing answered is never a score', (_id, m) => {
    expect(m.score(Object.fromEntries(m.fields.map((f) => [f.key, null])))).toMatchObject({ value: null });
    expect(m.score({})).toMatchObject({ value: null });
  });
  test('any answers within their ranges are scored or refused with a field, never by accident', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...QUESTIONNAIRES),
        fc.infiniteStream(fc.double({ min: 0, max: 1, noNaN: true })),
        (m, stream) => {
          const draws = stream[Symbol.iterator]();
          const answers = filled(
            m,
            (least, most) => least + Math.round((draws.next().value as number) * (most - least)),
          );
          try {
            const { value, words } = m.score(answers);
            expect(value === null || Number.isFinite(value)).toBe(true);
            expect(words.length).toBeGreaterThan(2);
          } catch (error) {
            expect(error).toBeInstanceOf(InputError);
          }
        },
      ),
      { numRuns: 300 },
    );
  });
});

describe('what is proposed', () => {
  test('fits the complaint and the minutes, own wording first', () => {
    for (const kind of COMPLAINT_KINDS) {
      const set = proposedMeasures([kind], 8);
      expect(set.reduce((sum, m) => sum + m.minutes, 0)).toBeLessThanOrEqual(8);
      expect(set.every((m) => m.serves.includes(kind))).toBe(true);
      expect(set.length).toBeGreaterThan(0);
    }
    expect(proposedMeasures(['headache']).map((m) => m.id)).toContain('headache-days');
    expect(proposedMeasures([])).toEqual([]);
  });
});

describe('change from an earlier reading', () => {
  const stress = measureOf('stress-10')!;
  const own = measureOf('own-activities')!;
  test('beyond error or within it, and which way is better', () => {
    expect(changeOf(stress, 24, 18)).toBe('within error');
    expect(changeOf(stress, 24, 17)).toBe('better');
    expect(changeOf(stress, 15, 24)).toBe('worse');
    expect(changeOf(own, 3, 5)).toBe('better');
    expect(changeOf(own, 5, 3)).toBe('worse');
    expect(changeOf(measureOf('distress')!, 8, 2)).toBe('no rule');
    expect(changeOf(stress, null, 10)).toBe('first');
  });
  test('an unknown measure is none', () => expect(measureOf('mood')).toBeNull());
});
