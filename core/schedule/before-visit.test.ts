import { describe, expect, test } from 'vitest';
import { CAUTIONS } from '../../reference/facts/cautions/index.ts';
import { PLAIN_QUESTIONS } from '../../reference/facts/before-visit.ts';
import { askedBefore, beforePages, saidOf, type BeforeQuestion } from './index.ts';

const asked = askedBefore(CAUTIONS);
const questions: BeforeQuestion[] = asked.map((c) => ({
  key: c.key,
  words: PLAIN_QUESTIONS[c.key] ?? '',
  ...(c.after ? { after: c.after } : {}),
  isRedFlag: c.group === 'red-flag',
  seeWho: c.seeWho,
}));
const keysOn = (pages: BeforeQuestion[][]) => pages.flat().map((q) => q.key);

describe('what is asked before a first visit', () => {
  test('is every red flag and every standing fact in plain words, and nothing of the state of the day', () => {
    const wanted = CAUTIONS.filter((c) => c.question && (c.group === 'red-flag' || c.group === 'standing'));
    expect(new Set(asked)).toEqual(new Set(wanted));
    expect(asked.length).toBeGreaterThan(40);
    expect(Object.keys(PLAIN_QUESTIONS).sort()).toEqual(asked.map((c) => c.key).sort());
    for (const [key, words] of Object.entries(PLAIN_QUESTIONS)) {
      expect(words, key).toMatch(/\?( You can tell it in person; a yes is enough here\.)?$/);
      expect(words, key).not.toMatch(/the client/i);
    }
    expect(new Set(Object.values(PLAIN_QUESTIONS)).size).toBe(asked.length);
  });
  test('comes gravest first, each question once, and what hangs on another only after its yes', () => {
    const none = keysOn(beforePages(questions, {}));
    expect(none).toEqual(questions.filter((q) => !q.after).map((q) => q.key));
    expect(none.slice(0, 2)).toEqual(['thunderclap', 'neuro-deficit']);
    const some = keysOn(beforePages(questions, { pregnancy: 'yes', filler: 'unsure', children: 'no' }));
    expect(some.indexOf('pregnancy-warning')).toBe(some.indexOf('pregnancy') + 1);
    expect(some).toContain('threads');
    expect(some).toContain('filler-warning');
    expect(some).not.toContain('infant');
    expect(new Set(some).size).toBe(some.length);
  });
  test('a few on a page', () => {
    for (const page of beforePages(questions, {})) expect(page.length).toBeLessThanOrEqual(6);
  });
});

test('what was said is a no, or has to be looked at', () => {
  expect(saidOf(['a', 'b', 'c', 'd'], { a: 'no', b: 'unsure', c: 'left' })).toEqual({ no: ['a'], open: ['b', 'c'] });
});
