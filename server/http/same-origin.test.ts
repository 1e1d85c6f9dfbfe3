import { describe, expect, test } from 'vitest';
import { sameOrigin } from './same-origin.ts';

const ask = (method: string, origin?: string, host = '127.0.0.1:4310') => sameOrigin({ method, headers: { origin, host } } as never);

describe('same origin', () => {
  test('reading is free', () => expect(['GET', 'HEAD', 'OPTIONS'].map((m) => ask(m))).toEqual([true, true, true]));
  test('writing from a page of this host', () => expect(ask('POST', 'http://127.0.0.1:4310')).toBe(true));
  test.each(['http://evil.example', 'http://127.0.0.1:9999', 'null', 'not an address', undefined])('writing from %s is refused', (origin) => expect(ask('POST', origin)).toBe(false));
  test('other methods count as writing', () => expect(['PUT', 'PATCH', 'DELETE'].map((m) => ask(m, 'http://evil.example'))).toEqual([false, false, false]));
});
