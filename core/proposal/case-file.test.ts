import { describe, expect, test } from 'vitest';
import { PROPOSAL_CASE } from '../../demo/proposal-case.ts';
import { CAUTIONS } from '../../reference/facts/cautions/index.ts';
import { keptStep, LIBRARY } from '../../demo/proposal-cases.ts';
import { InputError } from '../words/index.ts';
import { readCase } from './case-file.ts';

const read = (change: Record<string, unknown>) => readCase({ ...PROPOSAL_CASE, ...change }, LIBRARY, CAUTIONS);
const asked = (change: Record<string, unknown>) => ({ ask: { ...PROPOSAL_CASE.ask, ...change } });
const refusal = (change: Record<string, unknown>): string => {
  try {
    read(change);
  } catch (error) {
    if (error instanceof InputError) return error.message;
    throw error;
  }
  return 'read';
};

describe('a case from a file', () => {
  test('the published one is read, screened, and loses nothing', () => {
    const c = read({});
    expect(c.screening.unanswered).toEqual([]);
    expect(c.tenderness).toEqual(PROPOSAL_CASE.tenderness);
    expect(c.ask).toEqual(PROPOSAL_CASE.ask);
    expect(
      read({ answers: [{ caution: 'pregnancy', answer: 'yes' }] }).screening.hits.avoid.length +
        read({}).screening.hits.avoid.length,
    ).toBeGreaterThan(0);
    expect(read({ pressureCap: 'light' }).screening.pressureCap).toBe('light');
  });
  test.each<[string, Record<string, unknown>, RegExp]>([
    ['no minutes', asked({ minutes: 0 }), /ask\.minutes.*1 to 60/],
    ['more than an hour', asked({ minutes: 61 }), /ask\.minutes/],
    ['an unknown school', asked({ school: 'nowhere' }), /ask\.school.*not a known school/],
    ['an unknown technique', asked({ excluded: ['x'] }), /ask\.excluded\[0\].*not a known technique/],
    [
      'kept and taken out at once',
      asked({ kept: [keptStep('temple-circles')], excluded: ['temple-circles'] }),
      /ask\.kept\[0\]\.technique.*kept and taken out/,
    ],
    [
      '500 kept steps',
      asked({ kept: Array.from({ length: 500 }, (_, i) => ({ ...keptStep('temple-circles'), id: `k${i}` })) }),
      /ask\.kept.*at most 60/,
    ],
    ['the same kept step twice', asked({ kept: [keptStep('temple-circles'), keptStep('temple-circles')] }), /id/],
    ['a field nobody knows', { evil: 1 }, /not known: evil/],
    ['another format', { format: 'x' }, /format/],
    [
      'a muscle of no atlas',
      { tenderness: [{ ...PROPOSAL_CASE.tenderness[0], muscle: 'heart' }] },
      /tenderness\[0\]\.muscle/,
    ],
    [
      'a press twice',
      { tenderness: [PROPOSAL_CASE.tenderness[0], PROPOSAL_CASE.tenderness[0]] },
      /tenderness\[1\].*twice/,
    ],
    ['a grade of four', { tenderness: [{ ...PROPOSAL_CASE.tenderness[0], grade: 4 }] }, /grade.*0 to 3/],
    ['an unknown question', { answers: [{ caution: 'x', answer: 'yes' }] }, /answers\[0\]\.caution/],
    ['a score of eleven', { complaints: [{ kind: 'jaw', side: null, score: 11 }] }, /complaints\[0\]\.score/],
    ['a response to nothing', { response: [{ technique: 'x', effect: 1, standardError: 1 }] }, /response\[0\]/],
  ])('%s is refused with its path', (_, change, told) => expect(refusal(change)).toMatch(told));
  test.each([null, 3, 'x', [], { toString: 1 }])('what is no case at all (%j)', (value) =>
    expect(() => readCase(value, LIBRARY, CAUTIONS)).toThrow(InputError),
  );
});
