import { describe, expect, test } from 'vitest';
import { blockAddress, blockedForMs } from './sign-in-block.ts';

describe('an address that was refused', () => {
  test('waits here for a minute at most, and then is asked about again', () => {
    blockAddress('10.1.0.1', 15 * 60_000, 1000);
    expect([
      blockedForMs('10.1.0.1', 1000),
      blockedForMs('10.1.0.1', 60_999),
      blockedForMs('10.1.0.1', 61_000),
      blockedForMs('10.1.0.2', 1000),
    ]).toEqual([60_000, 1, 0, 0]);
  });
  test('others are not minded, however many there are', () => {
    for (let i = 0; i < 10_500; i++) blockAddress(`many-${i}`, 60_000, 5000);
    expect(blockedForMs('many-10499', 5001)).toBeGreaterThan(0);
    expect(blockedForMs('somebody else', 5001)).toBe(0);
  });
});
