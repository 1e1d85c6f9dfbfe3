import { describe, expect, test } from 'vitest';
import { TECHNIQUES } from '../../reference/catalogue.ts';
import { POINTS } from '../../reference/facts/points/index.ts';
import type { DosePart, Step } from './model.ts';
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
      seconds: null,
      isHold: false,
      open: null,
      breath: null,
      sets: null,
      places: null,
      perPlace: false,
      stroke: null,
      contact: 'knuckles',
      after: null,
    });
  });
  test.each([
    ['temple circles after 4', 'after', 4],
    ['temple circles first', 'after', 0],
    ['temple circles 10x last', 'after', 120],
    ['masseter slide left first', 'after', null],
    ['temple 20×', 'count', 20],
    ['temple 20 x', 'count', 20],
    ['temple 30s', 'seconds', 30],
    ['temple 30 sec', 'seconds', 30],
    ['temple 2min', 'seconds', 120],
    ['temple 4 spots', 'places', 4],
    ['temple 4 places', 'places', 4],
    ['temple hold 10s', 'seconds', 10],
    ['hold 10 s temple', 'seconds', 10],
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
  test('what is waited for comes several times, and is no set of anything', () => {
    const sets = (technique: string) =>
      doseWords(stepOf(technique, 'x', (s) => ({ ...s, sides: { ...s.sides, sets: 3 } })));
    expect(sets('stay-masseter-superficial')).toBe('3 times until the fibres below the contact give way, about 40 s');
    expect(sets('masseter-warm-hold')).toBe('3 sets of 60 s');
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

describe('a point alone is a plain press of it', () => {
  test.each(POINTS.filter((p) => p.id !== 'ST9').map((p) => p.id))('%s 10s', (id) => {
    const typed = readTypedLine(`${id} 10s`);
    const [technique] = techniquesForLine(typed, TECHNIQUES);
    expect(technique!.id).toBe(`press-${id}`);
    const { step, ignored } = stepFromLine(typed, technique!, 'n');
    expect(step.dose.parts).toEqual([{ kind: 'hold', seconds: 10 }]);
    expect(step.path).toEqual([{ kind: 'point', id }]);
    expect(ignored).toEqual([]);
  });
  test('the point over the carotid pulse has no press', () =>
    expect(techniquesForLine(readTypedLine('ST9 10s'), TECHNIQUES)).toEqual([]));
});

describe('bare seconds give the length', () => {
  const line = (text: string, id: string) =>
    stepFromLine(
      readTypedLine(text),
      TECHNIQUES.find((t) => t.id === id)!,
      'n',
    );
  test('of counts at their tempo, of breaths in their pattern, of a look', () => {
    expect(line('x 20s', 'temple-circles').step.dose.parts[0]).toMatchObject({ kind: 'beats', count: 10 });
    expect(line('x 2min', 'belly-breath-two-hands').step.dose.parts[0]).toMatchObject({ kind: 'breath', cycles: 12 });
    expect(line('x 25s', 'face-tension-scan').step.dose.parts[0]).toMatchObject({ kind: 'check', seconds: 25 });
  });
  test('"hold" stays still instead', () =>
    expect(line('x hold 20s', 'temple-circles').step.dose.parts).toEqual([{ kind: 'hold', seconds: 20 }]));
  test('with a count they are a hold at its end', () =>
    expect(line('x 5x 7s', 'temple-circles').step.dose.parts).toMatchObject([
      { kind: 'beats', count: 5 },
      { kind: 'hold', seconds: 7 },
    ]));
});

/** Whatever is typed on whatever technique is in the step afterwards, or told beside it: nothing is dropped in silence. */
describe('used or told', () => {
  const has = (step: Step, kind: DosePart['kind'], fits: (part: never) => boolean) =>
    step.dose.parts.some((p) => p.kind === kind && fits(p as never));
  const seconds = (n: number) => (s: Step) =>
    ['hold', 'check', 'test'].some((k) => has(s, k as 'hold', (p: { seconds: number }) => p.seconds === n)) ||
    // As many counts or breaths as fit into it.
    s.dose.parts.some(
      (p) =>
        (p.kind === 'beats' && p.count === Math.max(1, Math.round((n * p.perMinute) / 60))) ||
        (p.kind === 'breath' && p.cycles >= 1),
    );
  const DOSES: readonly [string, (step: Step) => boolean][] = [
    ['11s', seconds(11)],
    ['hold 13s', (s) => has(s, 'hold', (p: { seconds: number }) => p.seconds === 13) || seconds(13)(s)],
    [
      '7x',
      (s) =>
        has(s, 'beats', (p: { count: number }) => p.count === 7) ||
        has(s, 'breath', (p: { cycles: number }) => p.cycles === 7),
    ],
    ['3-9x', (s) => has(s, 'beats', (p: { count: number; most: number }) => p.count === 3 && p.most === 9)],
    ['47/min', (s) => has(s, 'beats', (p: { perMinute: number }) => p.perMinute === 47)],
    ['both ways', (s) => s.stroke === 'one-way-then-other' || s.stroke === 'circles-both-ways'],
    ['there and back', (s) => s.stroke === 'to-and-fro'],
    ['one way', (s) => s.stroke === 'one-way' || s.stroke === 'circles-one-way'],
    ['per place', (s) => s.dose.perPlace],
    ['until it gives ~21s 11-61', (s) => has(s, 'open', (p: { until: string }) => p.until === 'it gives')],
    ['breath 3-5 x2', (s) => has(s, 'breath', (p: { cycles: number }) => p.cycles === 2)],
    ['4 sets', (s) => s.sides.sets === 4],
    ['2 places', (s) => s.path.length === 2],
    ['left first', (s) => s.sides.mode === 'each' && s.sides.first === 'left'],
    ['+2 right', (s) => s.sides.extra?.sets === 2],
    ['firm', (s) => s.pressure?.there === 'firm'],
    ['back feather', (s) => s.pressure?.back === 'feather'],
  ];
  test.each(DOSES)('%s', (typed, isIn) => {
    let told = 0;
    for (const technique of TECHNIQUES) {
      const { step, ignored } = stepFromLine(readTypedLine(`x ${typed}`), technique, 'n');
      if (isIn(step)) continue;
      told++;
      expect(ignored.length, `${technique.id}: "${typed}" is neither in ${doseWords(step)} nor told`).toBeGreaterThan(
        0,
      );
    }
    expect(told).toBeLessThan(TECHNIQUES.length);
  });
  test('"hold" alone is told where nothing stays', () => {
    const temple = TECHNIQUES.find((t) => t.id === 'temple-circles')!;
    expect(stepFromLine(readTypedLine('temple circles hold'), temple, 'n').ignored).toEqual(['hold']);
  });
});
