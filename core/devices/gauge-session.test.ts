import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { readGaugeLine, readGaugeSession, writeGaugeSession } from './index.ts';

const FILE = readFileSync('docs/formats/algometer.session.txt', 'utf8');

describe('a recorded session of a gauge', () => {
  test('the one that ships holds whole presses, and is written as it was read', () => {
    const session = readGaugeSession(FILE);
    expect(session.presses.map((p) => p.trial)).toEqual([1, 2, 3]);
    for (const { lines } of session.presses) {
      const messages = lines.map((l) => readGaugeLine(l.line)!);
      const mark = messages.find((m) => m.kind === 'mark')!;
      const samples = messages.flatMap((m) => (m.kind === 'sample' ? [m] : []));
      // The client speaks at the highest of the press, as far as the noise of the gauge lets it be seen.
      expect(Math.abs(Math.max(...samples.map((s) => s.kpa)) - (mark as { kpa: number }).kpa)).toBeLessThan(4);
      expect(messages.at(-1)).toEqual({ kind: 'end', why: 'let-go' });
    }
    expect(writeGaugeSession(session)).toBe(FILE.replace(/^#.*\n/gm, ''));
    expect(readGaugeSession(writeGaugeSession(session))).toEqual(session);
  });
  const good =
    'GAUGE-SESSION 1\n0 < GAUGE protocol=1 tip=1 name=x\n0 > PRESS target=a.left trial=1\n20 < P 20 1.5\n40 < END let-go\n';
  test.each([
    ['', 'line 1'],
    ['GAUGE-SESSION 2\n', 'line 1'],
    [good.replace('20 < P 20 1.5', '20 P 20 1.5'), 'line 4'],
    [good.replace('P 20 1.5', 'P 20 x'), 'line 4'],
    [good.replace('P 20 1.5', 'P 20 6000'), 'line 4'],
    [good.replace('40 <', '10 <'), 'line 5'],
    [good.replace('PRESS target=a.left', 'PUSH'), 'line 3'],
    [good.replace(/.*GAUGE protocol.*\n/, ''), 'session'],
    [good.split('\n').slice(0, 2).join('\n'), 'session'],
  ])('%j is refused at %s', (text, at) => {
    expect(() => readGaugeSession(good)).not.toThrow();
    expect(() => readGaugeSession(text)).toThrow(at);
  });
});
