import { COMPLAINT_KINDS, InputError } from '../words/index.ts';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { MEASURES } from './reading.ts';
import { REGISTRY } from './registry.ts';
import { changeVerdict, changeWords } from './row.ts';
import { measureOf, QUESTIONNAIRES, proposedMeasures, type MeasureAnswers, type MeasureDef } from './catalogue.ts';

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
    if (m.licence === 'by-number')
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
  test('beyond error or within it, enough to matter or not, and which way is better', () => {
    expect(changeVerdict(stress, 24, 18)).toBe('within-error');
    expect(changeVerdict(stress, 24, 17)).toBe('better');
    expect(changeVerdict(stress, 15, 24)).toBe('worse');
    expect(changeVerdict(own, 3, 5)).toBe('better');
    expect(changeVerdict(own, 5, 3)).toBe('worse');
    expect(changeVerdict(measureOf('headache-impact')!, 60, 58)).toBe('too-small');
    expect(changeVerdict(measureOf('distress')!, 8, 2)).toBe('no-figure');
    expect(changeVerdict(stress, null, 10)).toBe('first');
    expect(changeVerdict(stress, 10, 10)).toBe('same');
  });
  test('a rating has to fall by two points and by a third or nearly so', () => {
    const verdict = (before: number, now: number) => changeVerdict(MEASURES['nrs-now'], before, now);
    expect([verdict(8, 6), verdict(7, 5), verdict(6, 4), verdict(3, 2)]).toEqual([
      'too-small',
      'too-small',
      'better',
      'too-small',
    ]);
    expect(verdict(4, 7)).toBe('worse');
  });
  test('a figure that holds for one place says nothing of another', () => {
    const of = (place: string) => changeVerdict(MEASURES['pressure-threshold'], 180, 240, place);
    expect([of('trapezius-upper'), of('masseter-superficial')]).toEqual(['better', 'no-figure']);
  });
  test('where sources differ a change is called possible between them', () => {
    const words = (before: number, now: number) => changeWords(MEASURES['opening-mm'], before, now);
    expect(words(31, 35)).toBe('within the measure’s own error (5 mm; Kropmans et al. 1999, 2000)');
    expect(words(31, 37)).toBe('a possible change (5 to 9 mm; Kropmans et al. 1999, 2000)');
    expect(words(31, 40)).toBe('more than the measure’s own error (9 mm; Kropmans et al. 1999, 2000)');
  });
  test('error and importance are told apart, each with its source', () => {
    expect(changeWords(measureOf('headache-impact')!, 60, 56)).toBe(
      'as much as matters (2.5 points; Smelt et al. 2014, from memory)',
    );
    expect(changeWords(MEASURES['nrs-now'], 8, 7)).toBe(
      'less than what matters (2 of 10 and 30 %; Farrar et al. 2001)',
    );
    expect(changeWords(stress, 24, 24)).toBe('unchanged');
  });
  test('an unknown measure is none', () => expect(measureOf('mood')).toBeNull());
});

describe('the registry', () => {
  test('holds every measure once, by id and by code', () => {
    expect(REGISTRY.length).toBe(Object.keys(MEASURES).length + QUESTIONNAIRES.length);
    expect(new Set(REGISTRY.map((m) => m.id)).size).toBe(REGISTRY.length);
    expect(new Set(REGISTRY.map((m) => m.code)).size).toBe(REGISTRY.length);
  });
  test.each(REGISTRY.map((m) => [m.id, m] as const))('%s is whole', (_id, m) => {
    expect(m.code).toMatch(/^[A-Z][A-Z0-9_]+$/);
    expect(m.unit.length).toBeGreaterThan(0);
    expect(m.minutes).toBeGreaterThan(0);
    if (m.most !== null) expect(m.least).toBeLessThan(m.most);
    for (const t of [m.error, m.matters]) {
      if (!t) continue;
      expect(t.amount).toBeGreaterThan(0);
      expect(t.source).toMatch(/\d{4}|our choice/);
      if (t.possibleFrom !== undefined) expect(t.possibleFrom).toBeLessThan(t.amount);
    }
  });
  test('scores lie on the scale that it gives', () => {
    for (const m of QUESTIONNAIRES)
      for (const pick of [(least: number) => least, (_least: number, most: number) => most]) {
        const { value } = (() => {
          try {
            return m.score(filled(m, pick));
          } catch {
            return { value: null };
          }
        })();
        if (value === null) continue;
        expect(value, m.id).toBeGreaterThanOrEqual(m.least);
        if (m.most !== null) expect(value, m.id).toBeLessThanOrEqual(m.most);
      }
  });
});
