import { describe, expect, test } from 'vitest';
import { TECHNIQUES } from '../../reference/catalogue.ts';
import { readTypedLine, searchTechniques, stepFromLine, techniquesForLine } from './typed-line.ts';
import { doseWords, partWords } from './words.ts';
import { stepOf } from '../../tests/support/routines.ts';

describe('a step typed as one line', () => {
  test('everything at once', () => {
    expect(readTypedLine('masseter knuckle firm 20x left')).toEqual({
      words: ['masseter', 'knuckle'],
      pressure: 'firm',
      mode: 'left',
      count: 20,
      seconds: null,
      perMinute: null,
      sets: null,
      spots: null,
      bothWays: false,
      contact: 'knuckles',
    });
  });
  test.each([
    ['temple 20×', 'count', 20],
    ['temple 20 x', 'count', 20],
    ['temple 30s', 'seconds', 30],
    ['temple 30 sec', 'seconds', 30],
    ['temple 2min', 'seconds', 120],
    ['temple 4 spots', 'spots', 4],
    ['temple 3sets', 'sets', 3],
    ['temple 45/min', 'perMinute', 45],
    ['temple 45bpm', 'perMinute', 45],
  ] as const)('"%s"', (line, key, value) => expect(readTypedLine(line)[key]).toBe(value));
  test.each([
    ['left', 'left'],
    ['right', 'right'],
    ['both', 'together'],
    ['each', 'each'],
    ['midline', 'midline'],
  ])('side "%s"', (word, mode) => expect(readTypedLine(`temple ${word}`).mode).toBe(mode));
  test('both ways', () => expect(readTypedLine('temple circles both ways').bothWays).toBe(true));
  test.each([
    ['temple 201x', 'count'],
    ['temple 0x', 'count'],
    ['temple 601s', 'hold'],
    ['temple 5/min', 'tempo'],
    ['temple 13spots', 'spots'],
    ['temple 21sets', 'sets'],
  ])('"%s" is out of range', (line, field) => expect(() => readTypedLine(line)).toThrow(`${field}: `));
  test.each(['', '   ', '20x left', 'firm'])('"%s" names nothing', (line) =>
    expect(() => readTypedLine(line)).toThrow('step: '),
  );
  test('a line that is far too long', () => expect(() => readTypedLine('x'.repeat(121))).toThrow('at most 120'));
});

describe('search', () => {
  const first = (line: string) => techniquesForLine(readTypedLine(line), TECHNIQUES)[0]?.id;
  test.each([
    ['masseter knuckle', 'masseter-knuckle-slide'],
    ['temple circles', 'temple-circles'],
    ['hegu', 'hegu-web'],
    ['LI20', 'nostril-hold'],
    ['collarbone', 'collarbone-pump'],
    ['skull base', 'skull-base-circles'],
  ])('"%s"', (line, id) => expect(first(line)).toBe(id));
  test('a contact word that no technique answers to does not hide the rest', () =>
    expect(techniquesForLine(readTypedLine('taiyang ball'), TECHNIQUES).some((t) => t.id === 'temple-hold-pulse')).toBe(
      true,
    ));
  test('complaints find what serves them', () =>
    expect(searchTechniques(TECHNIQUES, ['sinus']).map((t) => t.id)).toContain('sinus-circles'));
  test('nothing answers to nonsense', () => expect(searchTechniques(TECHNIQUES, ['zzz'])).toEqual([]));
});

describe('the step that comes of it', () => {
  const from = (line: string) => {
    const typed = readTypedLine(line);
    return stepFromLine(typed, techniquesForLine(typed, TECHNIQUES)[0]!, 'n');
  };
  test('count, pressure, side and contact are taken over', () => {
    const step = from('masseter press open knuckles firm 12x left');
    expect(step).toMatchObject({
      technique: 'masseter-pin-open',
      contact: 'knuckles',
      pressure: 'firm',
      sides: { mode: 'left' },
    });
    expect(step.dose.parts[0]).toMatchObject({ kind: 'beats', count: 12 });
  });
  test('seconds turn an open dose into a hold', () =>
    expect(from('masseter wait 30s').dose.parts).toEqual([{ kind: 'hold', seconds: 30 }]));
  test('a contact the technique does not know is left alone', () =>
    expect(from('taiyang palm').contact).toBe(stepOf('temple-hold-pulse').contact));
  test('what is not typed stays as the technique has it', () =>
    expect(from('temple circles').dose).toEqual(stepOf('temple-circles').dose));
  test('a step without pressure stays without', () => expect(from('slow breaths firm').pressure).toBeNull());
});

describe('words for a dose', () => {
  test.each([
    ['masseter-warm-hold', '60 s'],
    ['temple-circles', '10 circles both ways'],
    ['jaw-angle-press', '10 s + 10 pulses'],
    ['masseter-melt', 'until it softens, about 45 s'],
    ['slow-breaths', '6 breaths 4/6'],
    ['under-eye-four-points', '4 spots × 10 s'],
    ['nostril-hold', '3 sets of 10 s'],
  ])('%s', (technique, words) => expect(doseWords(stepOf(technique))).toBe(words));
  test('breath with holds', () =>
    expect(
      partWords({
        kind: 'breath',
        cycles: 3,
        pattern: { inSeconds: 4, holdInSeconds: 4, outSeconds: 4, holdOutSeconds: 4 },
      }),
    ).toBe('3 breaths 4/4/4/4'));
  test('an extra set is told', () =>
    expect(
      doseWords(
        stepOf('masseter-pin-open', 'x', (s) => ({
          ...s,
          sides: { ...s.sides, extra: { side: 'left', sets: 1, reason: '' } },
        })),
      ),
    ).toBe('10 openings, 1 more left'));
  test('"up to" counts', () =>
    expect(
      partWords({ kind: 'beats', count: 5, countMost: 30, perMinute: 15, unit: 'strokes', directions: 1, per: 'pass' }),
    ).toBe('5–30 strokes'));
});
