import { describe, expect, test } from 'vitest';
import { TECHNIQUES } from '../../reference/catalogue.ts';
import { searchTechniques, stepFromLine, techniquesForLine } from './line-step.ts';
import { readTypedLine } from './typed-line.ts';
import { breathWords, doseWords } from './words.ts';
import { bareStep, beats, stepOf } from '../../tests/support/routines.ts';

describe('a step typed as one line', () => {
  test('everything at once', () => {
    expect(readTypedLine('masseter knuckle firm 20x left')).toEqual({
      words: ['masseter', 'knuckle'],
      pressure: 'firm',
      pressureBack: null,
      mode: 'left',
      first: null,
      extra: null,
      count: 20,
      most: null,
      perMinute: null,
      holdSeconds: null,
      open: null,
      breath: null,
      sets: null,
      places: null,
      perPlace: false,
      stroke: null,
      contact: 'knuckles',
    });
  });
  test.each([
    ['temple 20×', 'count', 20],
    ['temple 20 x', 'count', 20],
    ['temple 30s', 'holdSeconds', 30],
    ['temple 30 sec', 'holdSeconds', 30],
    ['temple 2min', 'holdSeconds', 120],
    ['temple 4 spots', 'places', 4],
    ['temple 4 places', 'places', 4],
    ['temple hold 10s', 'holdSeconds', 10],
    ['hold 10 s temple', 'holdSeconds', 10],
    ['temple 5-30x', 'most', 30],
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
  test('both ways', () => expect(readTypedLine('temple circles both ways').stroke).toBe('both-ways'));
  test.each([
    ['temple 201x', 'count'],
    ['temple 0x', 'count'],
    ['temple 601s', 'hold'],
    ['temple 5/min', 'tempo'],
    ['temple 21places', 'places'],
    ['temple 30-5x', 'count'],
    ['temple breath 31-6', 'breath'],
    ['temple until it gives ~601s', 'hold'],
    ['temple 21sets', 'sets'],
  ])('"%s" is out of range', (line, field) => expect(() => readTypedLine(line)).toThrow(`${field}: `));
  test.each(['', '   ', '20x left', 'firm'])('"%s" names nothing', (line) =>
    expect(() => readTypedLine(line)).toThrow('step: '),
  );
  test('a line that is far too long', () => expect(() => readTypedLine('x'.repeat(201))).toThrow('at most 200'));
});

describe('search', () => {
  const first = (line: string) => techniquesForLine(readTypedLine(line), TECHNIQUES)[0]?.id;
  test.each([
    ['masseter knuckle', 'masseter-two-knuckle-slide'],
    ['temple circles', 'temple-circles'],
    ['hegu', 'press-LI4'],
    ['hegu web', 'hegu-web-massage'],
    ['LI20', 'press-LI20'],
    ['GB20 10s', 'press-GB20'],
    ['masseter', 'stay-masseter-superficial'],
    ['masseter clench', 'masseter-clench-find'],
    ['warm palms jaw', 'masseter-warm-hold'],
    ['collarbone', 'collarbone-pump'],
    ['skull base', 'skull-base-thumb-circles'],
  ])('"%s"', (line, id) => expect(first(line)).toBe(id));
  test('a contact word that no technique answers to does not hide the rest', () =>
    expect(techniquesForLine(readTypedLine('taiyang ball'), TECHNIQUES).some((t) => t.id === 'press-EX-HN5')).toBe(
      true,
    ));
  test('complaints find what serves them', () =>
    expect(searchTechniques(TECHNIQUES, ['sinus']).map((t) => t.id)).toContain('nose-out-cheek-circles'));
  test('nothing answers to nonsense', () => expect(searchTechniques(TECHNIQUES, ['zzz'])).toEqual([]));
});

describe('the step that comes of it', () => {
  const from = (line: string) => {
    const typed = readTypedLine(line);
    return stepFromLine(typed, techniquesForLine(typed, TECHNIQUES)[0]!, 'n').step;
  };
  test('count, pressure, side and contact are taken over', () => {
    const step = from('masseter press open knuckles firm 12x left');
    expect(step).toMatchObject({
      technique: 'masseter-pin-open',
      contact: 'knuckles',
      pressure: { there: 'firm', back: null },
      sides: { mode: 'left' },
    });
    expect(step.dose.parts[0]).toMatchObject({ kind: 'beats', count: 12 });
  });
  test('seconds turn an open dose into a hold', () =>
    expect(from('masseter stay 30s').dose.parts).toEqual([{ kind: 'hold', seconds: 30 }]));
  test('a contact that cannot stand in for its own is left alone, and told', () => {
    const typed = readTypedLine('taiyang palm');
    expect(stepFromLine(typed, techniquesForLine(typed, TECHNIQUES)[0]!, 'n')).toMatchObject({
      step: { technique: 'press-EX-HN5', contact: 'middle-finger' },
      ignored: ['palm'],
    });
  });
  test('a tool is put into no hand', () => {
    const typed = readTypedLine('GB20 probe');
    const { step, ignored } = stepFromLine(typed, techniquesForLine(typed, TECHNIQUES)[0]!, 'n');
    expect([step.contact, ignored]).toEqual(['thumb', ['probe']]);
  });
  test('what is not typed stays as the technique has it', () =>
    expect(from('temple circles').dose).toEqual(stepOf('temple-circles').dose));
  test('a step without pressure stays without', () => expect(from('slow breaths firm').pressure).toBeNull());
});

describe('words for a dose', () => {
  test.each([
    ['masseter-warm-hold', '60 s'],
    ['temple-circles', '15 circles both ways'],
    ['pulse-ST6', '8 s + 10 pulses'],
    ['stay-masseter-superficial', 'until the fibres below the contact give way, about 40 s'],
    ['slow-deep-breaths', '3 breaths 4/6'],
    ['double-inhale-sigh', '4 breaths 3+1/1/6'],
    ['under-eye-four-point-hold', '4 places × 10 s'],
    ['brow-raise-against-hand', '2 sets of 4 raises'],
  ])('%s', (technique, words) => expect(doseWords(stepOf(technique))).toBe(words));
  test('breath with holds, and with a second sip', () => {
    const phases = (...of: ['in' | 'in-again' | 'hold' | 'out' | 'rest', number][]) =>
      of.map(([what, seconds]) => ({ what, seconds }));
    expect(breathWords(phases(['in', 4], ['hold', 4], ['out', 4], ['rest', 4]))).toBe('4/4/4/4');
    expect(breathWords(phases(['in', 3], ['in-again', 1], ['out', 6]))).toBe('3+1/6');
  });
  test('an extra set is told', () =>
    expect(
      doseWords(
        stepOf('masseter-pin-open', 'x', (s) => ({
          ...s,
          sides: { ...s.sides, extra: { side: 'left', sets: 1, reason: '' } },
        })),
      ),
    ).toBe('4 openings, 1 more left'));
  test('"up to" counts, and how a stroke goes', () => {
    const words = (stroke: 'to-and-fro' | 'circles-both-ways' | 'one-way') =>
      doseWords(bareStep('x', [beats(5, 15, { most: 30, unit: 'strokes' })], { stroke }));
    expect([words('one-way'), words('to-and-fro'), words('circles-both-ways')]).toEqual([
      '5–30 strokes',
      '5–30 strokes there and back',
      '5–30 strokes both ways',
    ]);
  });
});

describe('everything a step can hold can be typed', () => {
  const line = (text: string) => {
    const typed = readTypedLine(text);
    return stepFromLine(typed, techniquesForLine(typed, TECHNIQUES)[0]!, 'n');
  };
  test('an open dose with its own words and range', () =>
    expect(line('masseter wait until the jaw drops ~40s 20-90').step.dose.parts).toEqual([
      { kind: 'open', until: 'the jaw drops', usualSeconds: 40, leastSeconds: 20, mostSeconds: 90 },
    ]));
  test('more sets on one side, with the reason', () =>
    expect(line('masseter press open 10x +1 left because it is the sorer one').step.sides).toMatchObject({
      mode: 'each',
      extra: { side: 'left', sets: 1, reason: 'it is the sorer one' },
    }));
  test('which side is first', () =>
    expect(line('masseter press open right first').step.sides).toMatchObject({ mode: 'each', first: 'right' }));
  test('there and back, lighter on the way back', () =>
    expect(line('forehead sweep 10x there and back light back feather')).toMatchObject({
      step: { stroke: 'to-and-fro', pressure: { there: 'light', back: 'feather' } },
      ignored: [],
    }));
  test('circles both ways', () => expect(line('temple circles 5x both ways').step.stroke).toBe('circles-both-ways'));
  test('a range of counts', () =>
    expect(line('temple circles 5-30x').step.dose.parts[0]).toMatchObject({ count: 5, most: 30 }));
  test('breath in its own pattern, so many times', () =>
    expect(line('slow breaths breath 3+1-6 x4').step.dose.parts).toEqual([
      {
        kind: 'breath',
        cycles: 4,
        phases: [
          { what: 'in', seconds: 3 },
          { what: 'in-again', seconds: 1 },
          { what: 'out', seconds: 6 },
        ],
      },
    ]));
  test('several places, each with the whole dose', () => {
    const { step } = line('temple circles 3 places');
    expect([step.path.length, step.dose.perPlace]).toEqual([3, true]);
  });
});

describe('what was typed and has no place is told', () => {
  const ignored = (text: string) => {
    const typed = readTypedLine(text);
    return stepFromLine(typed, techniquesForLine(typed, TECHNIQUES)[0]!, 'n').ignored;
  };
  test.each([
    ['masseter wait 10x', ['10x']],
    ['masseter wait 60/min', ['60/min']],
    ['masseter wait both ways', ['both ways']],
    ['masseter warm breath 4-6', ['breath']],
    ['masseter warm medium back feather', ['back feather']],
    ['slow breaths firm', ['firm']],
    ['masseter press open together +1 left', ['+1 left']],
    ['masseter press open left left first', ['left first']],
    ['temple circles 5x', []],
  ])('"%s" → %j', (text, told) => expect(ignored(text)).toEqual(told));
});
