import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { aimOf, pressesOf, touchOf } from '../touch/index.ts';
import { padCommandLine, readPadCommand, readPadLine, readPadSession, writePadSession } from './index.ts';

const FILE = readFileSync('docs/formats/force-pad.session.txt', 'utf8');

describe('a recorded session of a pad', () => {
  test('the one that ships holds what its remark says, and is written as it was read', () => {
    const session = readPadSession(FILE);
    const shape = readPadLine(session.hello);
    if (shape?.kind !== 'hello') throw new Error('no first line');
    const frames = session.lines.flatMap(({ line }) => {
      const message = readPadLine(line);
      return message?.kind === 'frame' ? [message] : [];
    });
    const numbers = new Set(frames.map((f) => f.sequence));
    expect([numbers.has(149), numbers.has(150), numbers.has(151)]).toEqual([true, false, true]);
    const presses = pressesOf(
      frames.map((f) => touchOf(f, shape)),
      aimOf('medium').leastKpa,
    );
    expect(presses).toHaveLength(2);
    expect(presses[1]!.startMs - presses[0]!.startMs).toBeGreaterThan(1600);
    for (const { meanKpa, startMs, endMs } of presses) {
      expect(Math.abs(meanKpa - 50)).toBeLessThan(8);
      expect(Math.abs(endMs - startMs - 1200)).toBeLessThan(200);
    }
    expect(writePadSession(session)).toBe(FILE.replace(/^#.*\n/gm, ''));
    expect(readPadSession(writePadSession(session))).toEqual(session);
  });
  const hello = '0 < PAD protocol=1 rows=16 columns=16 cell=5 rate=100 full=400 stand-in=yes name=x\n';
  const good = `PAD-SESSION 1\n${hello}0 < F 0 0\n10 < F 1 10 17:50.0\n`;
  test.each([
    ['', 'line 1'],
    [good.replace('SESSION 1', 'SESSION 2'), 'line 1'],
    [good.replace('10 < F', '10 F'), 'line 4'],
    [good.replace('17:50.0', '17:x'), 'line 4'],
    [good.replace('17:50.0', '17:9000'), 'line 4'],
    [good.replace('17:50.0', '4096:5'), 'line 4'],
    [good.replace('F 1 10', 'F 0 10'), 'line 4'],
    [good.replace('0 < F 0 0', '20 < F 0 20'), 'line 4'],
    [good.replace('rows=16', 'rows=0'), 'line 2'],
    [good.replace(hello, ''), 'session'],
    [good.split('\n').slice(0, 2).join('\n'), 'session'],
  ])('%j is refused at %s', (text, at) => {
    expect(() => readPadSession(good)).not.toThrow();
    expect(() => readPadSession(text)).toThrow(at);
  });
});

describe('what is said to a pad', () => {
  test.each([
    { kind: 'stop' },
    { kind: 'up' },
    { kind: 'down', kpa: 50, areaCm2: 2 },
    { kind: 'weight', grams: 500 },
    {
      kind: 'work',
      script: 'uneven',
      kpa: 50,
      areaCm2: 2,
      motion: 'hold',
      pressMs: 900,
      restMs: 300,
      count: 3,
      hands: 2,
    },
  ] as const)('$kind is read as it was written', (command) =>
    expect(readPadCommand(padCommandLine(command))).toEqual(command),
  );
  test.each(['DOWN kpa=500 areaCm2=2', 'DOWN', 'WORK script=wild kpa=5 areaCm2=2', 'WEIGHT grams=-1'])(
    '%s is refused',
    (line) => expect(() => readPadCommand(line)).toThrow(),
  );
  test('another word is none', () => expect(readPadCommand('HELLO there')).toBeNull());
});
