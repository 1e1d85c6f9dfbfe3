import { describe, expect, test } from 'vitest';
import { admitRequest } from './gate.ts';

const ask = (
  method: string,
  origin?: string,
  host: string | undefined = '127.0.0.1:4310',
  origins: string[] = [],
  protocol = 'http',
) => {
  const out = admitRequest({ method, headers: { origin, host }, protocol }, { origins });
  return 'origin' in out ? out.origin : out.status;
};
const HERE = 'http://127.0.0.1:4310';

describe('without an origin set', () => {
  test('reading is free on loopback', () => expect(['GET', 'HEAD'].map((m) => ask(m))).toEqual([HERE, HERE]));
  test('writing from a page of this host', () => expect(ask('POST', HERE)).toBe(HERE));
  test.each([
    'http://evil.example',
    'http://127.0.0.1:9999',
    'https://127.0.0.1:4310',
    'null',
    'not an address',
    undefined,
  ])('writing from %s is refused', (origin) => expect(ask('POST', origin)).toBe(403));
  test.each(['PUT', 'PATCH', 'DELETE', 'TRACE', 'OPTIONS', 'CONNECT', 'BREW'])('%s is no method here', (m) =>
    expect(ask(m, HERE)).toBe(405),
  );
  test.each(['evil.example', '127.0.0.1.evil.example', '', '192.168.1.5:4310'])('the host %s is not served', (host) =>
    expect(ask('GET', undefined, host)).toBe(421),
  );
});

describe('with origins set', () => {
  const two = ['https://studio.example', 'http://127.0.0.1:4310'];
  test('behind a proxy that speaks https', () =>
    expect(ask('POST', 'https://studio.example', 'studio.example', two, 'https')).toBe('https://studio.example'));
  test('also when the proxy does not say so: the origin is pinned', () =>
    expect(ask('POST', 'https://studio.example', 'studio.example', two, 'http')).toBe('https://studio.example'));
  test('the second one too', () => expect(ask('POST', HERE, '127.0.0.1:4310', two)).toBe(HERE));
  test('an origin is not another’s', () => expect(ask('POST', HERE, 'studio.example', two, 'https')).toBe(403));
  test('other hosts are not served, loopback included', () =>
    expect([ask('GET', undefined, 'evil.example', two), ask('GET', undefined, 'localhost:1', two)]).toEqual([
      421, 421,
    ]));
});
