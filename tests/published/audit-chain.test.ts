import { describe, expect, test } from 'vitest';
import { canonical, chained, FIRST_HASH } from '../../server/audit-chain.ts';

/** Chain of SHA-256 over canonical JSON (sorted keys, RFC 8785), values computed outside of this project. */
const ENTRIES = [
  [
    { action: 'create', at: '2025-03-03T08:00:00Z', entity: 'client/1', seq: 1 },
    'fd3aae9fb285ec1f96f3fa13ec45729f3504f63612f7a844e4a0d8bc5961b066',
  ],
  [
    { action: 'view', at: '2025-03-03T08:05:00Z', entity: 'client/1', seq: 2 },
    '42916ba3ad1bd92d1e9e4dacfcfe7e50205867c6e3b9f28479bde54ce0fa08f1',
  ],
  [
    { action: 'export', at: '2025-03-03T08:10:00Z', entity: 'client/1', seq: 3 },
    'df547e8375fd6380323f7d5f2d40011949a0f69ae26377bf4e22b20173f9ba12',
  ],
] as const;

describe('the audit chain', () => {
  test('gives the computed hashes', () => {
    let before = FIRST_HASH;
    for (const [entry, hash] of ENTRIES) expect((before = chained(before, entry))).toBe(hash);
  });
  test('does not depend on the order in which keys were written', () =>
    expect(canonical({ b: [{ d: 1, c: 2 }], a: 'x' })).toBe('{"a":"x","b":[{"c":2,"d":1}]}'));
  test('a key without a value is none', () => expect(canonical({ a: 1, b: undefined })).toBe('{"a":1}'));
});
