import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import {
  currentHelloLine,
  currentReadingLine,
  currentState,
  readCurrentLine,
  readCurrentSession,
  writeCurrentSession,
  type CurrentReading,
} from './index.ts';

const at = (atMs: number, hasContact = true, flowsUa = hasContact ? 198 : 0, levelUa = 200): CurrentReading => ({
  ...{ atMs, hasContact, flowsUa, levelUa },
});

describe('lines of a microcurrent unit', () => {
  test('are read as they were written', () => {
    const unit = { mostUa: 600, isStandIn: false, name: 'unit on the trolley' };
    expect(readCurrentLine(currentHelloLine(unit))).toEqual({ kind: 'hello', ...unit });
    expect(readCurrentLine(currentReadingLine(at(120)))).toEqual({ kind: 'reading', ...at(120) });
    expect(readCurrentLine('END battery is empty')).toEqual({ kind: 'end', why: 'battery is empty' });
    expect(readCurrentLine('HELLO there')).toBeNull();
  });
  test.each([
    'CURRENT protocol=2 most=600',
    'CURRENT protocol=1 most=5000',
    'C x level=200 flows=1 contact=yes',
    'C 10 level=200 contact=yes',
    'C 10 level=200 flows=4000 contact=yes',
  ])('%s is refused', (line) => expect(() => readCurrentLine(line)).toThrow());
});

describe('what a unit does', () => {
  test('nothing before the first reading; off where nothing is set', () => {
    expect(currentState([])).toBeNull();
    expect(currentState([at(0, false, 0, 0)])).toBe('off');
  });
  test('contact is lost when it is gone for longer than a hand moves on', () => {
    const readings = [at(0), ...[100, 300, 600].map((ms) => at(ms, false))];
    expect(currentState(readings)).toBe('flows');
    expect(currentState([...readings, at(700, false)])).toBe('no-contact');
    expect(currentState([...readings, at(700, false), at(800)])).toBe('flows');
    expect(currentState([at(0, false)])).toBe('no-contact');
  });
  test('more than is set is told, whatever else', () => {
    expect(currentState([at(0, true, 225)])).toBe('flows');
    expect(currentState([at(0, true, 226)])).toBe('too-much');
    expect(currentState([at(0, false, 226)])).toBe('too-much');
  });
});

test('the recorded session that ships loses contact and has it again, and is written as it was read', () => {
  const file = readFileSync('docs/formats/microcurrent-unit.session.txt', 'utf8');
  const session = readCurrentSession(file);
  const readings = session.lines.flatMap(({ line }) => {
    const message = readCurrentLine(line);
    return message?.kind === 'reading' ? [message] : [];
  });
  const states = readings.map((_, i) => currentState(readings.slice(0, i + 1)));
  expect(states.filter((s, i) => s !== states[i - 1])).toEqual(['flows', 'no-contact', 'flows']);
  expect(writeCurrentSession(session)).toBe(file.replace(/^#.*\n/gm, ''));
  expect(() => readCurrentSession(file.replace('level=200', 'level=x'))).toThrow(/line 4/);
  expect(() => readCurrentSession('CURRENT-SESSION 1\n')).toThrow(/first line/);
});
