import { measureOf, type Reading } from '../measures/index.ts';
import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { coursesOf, courseState, needsAttention, type CourseOf } from './attention.ts';
import { courseReason, courseTitle, judgeCourse, READINGS_NEEDED, type CoursePoint } from './judgement.ts';
import { readingPairs, scorePairs } from './pairs.ts';

const course = (...values: [day: number, value: number][]): CoursePoint[] =>
  values.map(([day, value]) => ({ day, value, source: 'home' }));
const every = (days: number, values: number[]) => course(...values.map((v, i) => [i * days, v] as [number, number]));

describe('judgement', () => {
  test('nothing rated', () => expect(judgeCourse([])).toMatchObject({ verdict: 'no-readings', baseline: null }));
  test('too early: what is missing is counted', () => {
    const j = judgeCourse(every(3, [7, 6, 6]));
    expect(j).toMatchObject({ verdict: 'too-early', readingsNeeded: 5, days: 6 });
    expect(courseReason(j)).toBe('7 to 6 so far. Needs 5 more ratings and 8 more days.');
  });
  test('enough ratings in too few days is still too early', () =>
    expect(judgeCourse(every(1, [7, 6, 6, 5, 5, 4, 4, 3])).verdict).toBe('too-early'));
  test('clearly better', () => {
    const j = judgeCourse(every(3, [7, 7, 6, 6, 5, 4, 4, 3, 3]));
    expect(j).toMatchObject({ verdict: 'better', advice: 'continue', baseline: 7, current: 3, days: 24 });
    expect(courseTitle('Jaw, left', j)).toBe('Jaw, left: clearly better, 7 to 3 in 24 days');
    expect(courseReason(j)).toMatch(
      /^Falling 1\.\d a week \(.* to .*\)\. Past the smallest change that matters since day \d+\. Go on\.$/,
    );
  });
  test('two points that are less than 30 % are no clear change', () =>
    expect(judgeCourse(every(3, [8, 8, 7, 7, 6, 6, 6, 6, 6])).verdict).toBe('no-clear-change'));
  test('a third that is one point only is no clear change', () =>
    expect(judgeCourse(every(3, [3, 3, 3, 2, 2, 2, 2, 2, 2])).verdict).toBe('no-clear-change'));
  test('no clear change is adjusted first and reviewed after three weeks', () => {
    expect(judgeCourse(every(2, [5, 5, 6, 5, 5, 4, 5, 5])).advice).toBe('adjust');
    expect(judgeCourse(every(3, [5, 5, 6, 5, 5, 4, 5, 5])).advice).toBe('review');
  });
  test('worse is said early: two ratings in a row two points up', () => {
    expect(judgeCourse(every(2, [4, 6, 6]))).toMatchObject({ verdict: 'worse', advice: 'review' });
    expect(judgeCourse(every(2, [4, 5, 6])).verdict).toBe('too-early');
  });
  test('three points up: suggest licensed care', () =>
    expect(judgeCourse(every(2, [4, 5, 6, 7, 7, 7]))).toMatchObject({ verdict: 'worse', advice: 'refer' }));
  test('one bad day does not make it worse', () =>
    expect(judgeCourse(every(3, [7, 6, 6, 5, 5, 9, 4, 4, 3])).verdict).toBe('better'));
  test('the band lies two points round the first rating and inside 0 to 10', () => {
    expect(judgeCourse(every(1, [7])).band).toEqual({ low: 5, high: 9 });
    expect(judgeCourse(every(1, [1])).band).toEqual({ low: 0, high: 3 });
  });

  const ratings = fc.array(fc.integer({ min: 0, max: 10 }), { minLength: 1, maxLength: 30 });
  test('a verdict of better or worse always carries the change that it claims', () => {
    fc.assert(
      fc.property(ratings, fc.integer({ min: 1, max: 5 }), (values, days) => {
        const j = judgeCourse(every(days, values));
        if (j.verdict === 'better') {
          expect(j.baseline! - j.current!).toBeGreaterThanOrEqual(2);
          expect(values.length).toBeGreaterThanOrEqual(READINGS_NEEDED);
          expect(j.days).toBeGreaterThanOrEqual(14);
        }
        if (j.verdict === 'worse') expect(Math.max(...values.slice(-3)) - j.baseline!).toBeGreaterThanOrEqual(2);
      }),
      { numRuns: 400 },
    );
  });
  test('every verdict has a title and a reason', () => {
    fc.assert(
      fc.property(ratings, fc.integer({ min: 1, max: 5 }), (values, days) => {
        const j = judgeCourse(every(days, values));
        expect(courseTitle('X', j)).toMatch(/^X: /);
        expect(courseReason(j).length).toBeGreaterThan(10);
        expect(courseReason(j)).not.toMatch(/cure|detox|NaN|undefined|null/);
      }),
    );
  });
});

describe('who needs a look', () => {
  const DAY = 86_400_000;
  const NOW = 1000 * DAY;
  const of = (name: string, ...values: [daysAgo: number, value: number, at?: 'h'][]): CourseOf => ({
    clientId: name,
    clientName: name,
    complaintId: `${name}-1`,
    kind: 'jaw',
    label: '',
    side: 'both',
    ...courseState(values.map(([d, value, h]) => ({ atMs: NOW - d * DAY, value, source: h ? 'home' : 'studio' }))),
  });
  test('worse comes first, then no change past the review, then the silent', () => {
    const found = needsAttention(
      [
        of('still', [28, 5], [24, 5], [20, 5], [16, 6], [12, 5], [8, 5], [4, 5], [0, 5]),
        of('silent', [30, 5], [20, 5, 'h']),
        of('worse', [6, 4], [3, 6], [0, 7]),
      ],
      NOW,
    );
    expect(found.map((a) => [a.why, a.course.clientName])).toEqual([
      ['worse', 'worse'],
      ['no-change', 'still'],
      ['silent', 'silent'],
    ]);
    expect(found[2]).toMatchObject({ days: 20 });
  });
  test('somebody who never rated at home is not silent', () =>
    expect(needsAttention([of('studio', [30, 5], [20, 4])], NOW)).toEqual([]));
  test('six days are not silence', () => expect(needsAttention([of('x', [30, 5], [6, 5, 'h'])], NOW)).toEqual([]));
  test('what ended long ago is forgotten', () =>
    expect(needsAttention([of('old', [200, 4], [190, 8], [180, 8])], NOW)).toEqual([]));
  test('two silent complaints of one client are one entry', () => {
    const a = of('x', [30, 5, 'h']);
    expect(needsAttention([a, { ...a, complaintId: 'x-2' }], NOW).length).toBe(1);
  });
  test('courses are built out of ratings in any order, by complaint, with days from the first', () => {
    const courses = coursesOf([
      { complaint: 'a', atMs: 3.5 * DAY, value: 4, source: 'imported' },
      { complaint: 'b', atMs: 2 * DAY, value: 6, source: 'home' },
      { complaint: 'a', atMs: DAY, value: 5, source: 'studio' },
    ]);
    expect([...courses.keys()]).toEqual(['a', 'b']);
    expect(courses.get('a')!.points).toEqual([
      { day: 0, value: 5, source: 'studio' },
      { day: 2.5, value: 4, source: 'studio' },
    ]);
    expect(courses.get('b')!.judgement).toEqual(judgeCourse([{ day: 0, value: 6, source: 'home' }]));
    expect(coursesOf([]).size).toBe(0);
  });
});

describe('pairs of first and now', () => {
  const reading = (measure: Reading['measure'], value: number, over: Partial<Reading> = {}): Reading => ({
    measure,
    complaintId: null,
    place: '',
    side: 'midline',
    phase: 'before',
    value,
    source: 'studio',
    takenAt: '',
    visitId: null,
    ...over,
  });
  test('a pressure threshold is told in percent, against its own error only where one is known', () => {
    const at = (place: string, ...values: number[]) =>
      readingPairs(values.map((v) => ({ ...reading('pressure-threshold', v), place, side: 'left' as const })))[0]!;
    expect(at('masseter-superficial', 151, 205)).toMatchObject({
      direction: 'better',
      meaning: '36 % more than at first; no error figure is known for this',
    });
    expect(at('trapezius-upper', 300, 260)).toMatchObject({
      direction: 'worse',
      meaning: '13 % less than at first; within the measure’s own error (47 kPa; Walton et al. 2011, from memory)',
    });
    expect(at('trapezius-upper', 180, 230).meaning).toBe(
      '28 % more than at first; more than the measure’s own error (47 kPa; Walton et al. 2011, from memory)',
    );
  });
  test('opening 31 → 41 mm is better and beyond the error of the test', () =>
    expect(readingPairs([reading('opening-mm', 31), reading('opening-mm', 36), reading('opening-mm', 41)])).toEqual([
      {
        measure: 'opening-mm',
        name: 'Opening, comfortable',
        unit: 'mm',
        place: '',
        side: 'midline',
        first: 31,
        now: 41,
        change: 10,
        direction: 'better',
        meaning: 'more than the measure’s own error (9 mm; Kropmans et al. 1999, 2000)',
      },
    ]));
  test('less tenderness is better; each muscle and side for itself', () => {
    const t = (side: 'left' | 'right', value: number) =>
      reading('tenderness', value, { place: 'masseter-superficial', side });
    expect(
      readingPairs([t('left', 3), t('right', 1), t('left', 1), t('right', 2)]).map((p) => [
        p.side,
        p.direction,
        p.meaning,
      ]),
    ).toEqual([
      ['left', 'better', 'more than the measure’s own error (2 of 3; our choice)'],
      ['right', 'worse', 'within the measure’s own error (2 of 3; our choice)'],
    ]);
  });
  test('sideways is told for each side; what has no better and worse is left out', () => {
    expect(
      readingPairs([
        reading('sideways-mm', 5, { side: 'right' }),
        reading('sideways-mm', 7, { side: 'right' }),
        reading('overlap-mm', 3),
        reading('overlap-mm', 2),
      ]).map((p) => [p.measure, p.side, p.direction, p.meaning]),
    ).toEqual([['sideways-mm', 'right', 'better', 'no error figure is known for this']]);
  });
  test('what was measured right after the work is not part of the course', () =>
    expect(readingPairs([reading('opening-mm', 31), reading('opening-mm', 40, { phase: 'after' })])).toEqual([]));
  test('ratings are told by the course, not here', () =>
    expect(readingPairs([reading('nrs-now', 7), reading('nrs-now', 3)])).toEqual([]));
  test('unchanged', () =>
    expect(readingPairs([reading('opening-fingers', 3), reading('opening-fingers', 3)])[0]).toMatchObject({
      direction: 'same',
      change: 0,
    }));
  test('scores reach the same table: first and latest that could be scored', () => {
    const score = (measure: string, value: number | null) => ({
      visitId: '',
      measure,
      answers: {},
      value,
      words: '',
      takenAt: '',
    });
    expect(
      scorePairs([
        score('stress-10', 24),
        score('distress', 7),
        score('stress-10', null),
        score('stress-10', 15),
        score('gone', 1),
        score('gone', 2),
      ]).map((p) => [p.name, p.first, p.now, p.direction, p.meaning]),
    ).toEqual([
      [
        measureOf('stress-10')!.name,
        24,
        15,
        'better',
        'more than the measure’s own error (7 of 40; our choice from SD 6.4 and reliability 0.85)',
      ],
    ]);
  });
});
