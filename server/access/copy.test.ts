import { expect, test } from 'vitest';
import { isShown } from './copy.server.ts';

const now = Date.UTC(2030, 0, 15, 12);
const at = (secondsAgo: number) => new Date(now - secondsAgo * 1000);
test.each([
  ['of now', { at: at(0), isCopy: true }, true],
  ['of a minute ago, nearly', { at: at(59), isCopy: true }, true],
  ['of a minute ago', { at: at(60), isCopy: true }, false],
  ['that does not know of when it is', { at: null, isCopy: true }, false],
  ['that is the primary by now', { at: at(0), isCopy: false }, false],
])('a copy %s', (_what, state, shown) => expect(isShown(state, now)).toBe(shown));
