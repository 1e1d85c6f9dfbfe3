import { describe, expect, test } from 'vitest';
import { isCommonPassword } from './passwords.ts';

describe('common passwords', () => {
  test.each(['1234567890', 'qwertyuiop', 'password12', 'aaaaaaaaaa', 'trustno1trustno1', 'letmein123'])(
    '%s is one',
    async (password) => expect(await isCommonPassword(password, [])).toBe(true),
  );
  test.each(['a long enough one', 'velvet-harbour', 'tram bells at noon'])('%s is none', async (password) =>
    expect(await isCommonPassword(password, [])).toBe(false),
  );
  test('what the form says beside it is no password', async () => {
    expect(await isCommonPassword('imke@harbour-row.example', ['imke@harbour-row.example'])).toBe(true);
    expect(await isCommonPassword('Harbour Row Face Studio', ['Harbour Row Face Studio'])).toBe(true);
  });
});
