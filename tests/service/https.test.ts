import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import type { IncomingHttpHeaders } from 'node:http';
import { request } from 'node:https';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, inject, test } from 'vitest';
import { startProxy } from '../../scripts/lib/many/proxy.ts';
import { freePort } from '../../scripts/lib/run.ts';
import type { Served } from '../../scripts/lib/server.ts';
import { freshDatabase, SHAPE, serveForTests } from '../support/serving.ts';

/** Two processes behind Debian's HAProxy, which speaks HTTPS with a certificate made for this run. */
const HOST = 'studio.example';
let folder: string;
let stopProxy: (() => Promise<void>) | undefined;
let port: number;
let served: Served[] = [];
let certificate: string;

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'velvet-https-'));
  port = await freePort();
  const databaseUrl = await freshDatabase(inject('clusterUrl'), SHAPE);
  // The first one makes the tables; only then the second has to find them.
  for (let i = 0; i < 2; i++)
    served = [
      ...served,
      await serveForTests(databaseUrl, { VELVET_ORIGIN: `https://${HOST}:${port}`, VELVET_PROXIES: 'loopback' }),
    ];
  const made = spawnSync(
    'openssl',
    [
      'req',
      '-x509',
      '-newkey',
      'ec',
      '-pkeyopt',
      'ec_paramgen_curve:prime256v1',
      '-nodes',
      '-days',
      '2',
      '-subj',
      `/CN=${HOST}`,
      '-addext',
      `subjectAltName=DNS:${HOST}`,
      '-keyout',
      join(folder, 'key.pem'),
      '-out',
      join(folder, 'cert.pem'),
    ],
    { encoding: 'utf8' },
  );
  expect(made.status, made.stderr).toBe(0);
  certificate = readFileSync(join(folder, 'cert.pem'), 'utf8');
  writeFileSync(join(folder, 'both.pem'), certificate + readFileSync(join(folder, 'key.pem'), 'utf8'));
  stopProxy = await startProxy(
    `defaults
  mode http
  timeout connect 5s
  timeout client 30s
  timeout server 30s
frontend https
  bind 127.0.0.1:${port} ssl crt ${join(folder, 'both.pem')}
  http-request set-header X-Forwarded-Proto https
  option forwardfor
  default_backend app
backend app
  balance roundrobin
${served.map((s, i) => `  server app${i} ${new URL(s.url).host}`).join('\n')}
`,
    port,
  );
  for (let i = 0; i < 100; i++) {
    if ((await ask('GET', '/health').catch(() => null))?.status === 200) return;
    await new Promise((r) => setTimeout(r, 100));
  }
  throw new Error('HAProxy does not answer');
}, 180_000);
afterAll(async () => {
  await stopProxy?.();
  await Promise.all(served.map((s) => s.stop()));
  rmSync(folder, { recursive: true, force: true });
});

interface Answer {
  status: number;
  headers: IncomingHttpHeaders;
  body: string;
}
function ask(
  method: string,
  path: string,
  more: { body?: string; headers?: Record<string, string>; host?: string } = {},
): Promise<Answer> {
  return new Promise((done, failed) => {
    const asked = request(
      {
        host: '127.0.0.1',
        port,
        method,
        path,
        ca: certificate,
        servername: HOST,
        headers: { host: more.host ?? `${HOST}:${port}`, ...more.headers },
      },
      (answer) => {
        let body = '';
        answer.setEncoding('utf8');
        answer.on('data', (chunk: string) => (body += chunk));
        answer.on('end', () => done({ status: answer.statusCode!, headers: answer.headers, body }));
      },
    );
    asked.on('error', failed);
    asked.end(more.body);
  });
}
const form = (path: string, fields: Record<string, string>, headers: Record<string, string> = {}) =>
  ask('POST', path, {
    body: String(new URLSearchParams(fields)),
    headers: { origin: `https://${HOST}:${port}`, 'content-type': 'application/x-www-form-urlencoded', ...headers },
  });

describe('behind HTTPS', () => {
  let cookie = '';
  test('a practice is opened, with a cookie that belongs to this host and to HTTPS alone', async () => {
    const answer = await form('/new-practice', {
      practice: 'Quay Street Hands',
      timeZone: 'Europe/Lisbon',
      name: 'Rafe Oyelaran',
      email: 'rafe@quay.example',
      password: 'a long enough one',
    });
    expect(answer.status).toBe(302);
    const [set] = answer.headers['set-cookie']!;
    expect(set).toMatch(/^__Host-velvet-session=/);
    expect(set).toMatch(/; Secure/);
    expect(set).toMatch(/; HttpOnly/);
    expect(set).toMatch(/; Path=\//);
    expect(set).not.toMatch(/Domain/i);
    expect(answer.headers['strict-transport-security']).toBe('max-age=31536000');
    cookie = set!.split(';')[0]!;
  });
  test('forms and pages work over both processes, one request after the other', async () => {
    const made = await form('/clients/new', { name: 'Jun Castellan' }, { cookie });
    expect(made.status).toBe(302);
    for (let i = 0; i < 6; i++) {
      const page = await ask('GET', made.headers.location!, { headers: { cookie } });
      expect(page.status).toBe(200);
      expect(page.body).toContain('Jun Castellan');
    }
  });
  test('a form from another origin is refused, one without script of ours is not', async () => {
    expect((await form('/clients/new', { name: 'X' }, { cookie, origin: `http://${HOST}:${port}` })).status).toBe(403);
    expect((await form('/clients/new', { name: 'X' }, { cookie, origin: 'https://evil.example' })).status).toBe(403);
    expect((await form('/clients/new', { name: 'X' }, { cookie, origin: 'null' })).status).toBe(403);
    // The page says so to browsers: with "no-referrer" they would send Origin: null for a plain form.
    expect((await ask('GET', '/sign-in')).headers['referrer-policy']).toBe('same-origin');
  });
  test('another host is not served, whatever headers say', async () => {
    expect((await ask('GET', '/sign-in', { host: 'evil.example' })).status).toBe(421);
    expect((await ask('GET', '/sign-in', { host: `127.0.0.1:${port}` })).status).toBe(421);
    const page = await ask('GET', '/today', { headers: { 'x-forwarded-host': 'evil.example' } });
    expect([page.status, page.headers.location]).toEqual([302, '/sign-in?to=%2Ftoday']);
  });
  test('tries at a password are counted by the visitor’s address, as the proxy tells it', async () => {
    const tries = await Promise.all(
      Array.from({ length: 12 }, () => form('/sign-in', { email: 'rafe@quay.example', password: 'wrong' })),
    );
    expect(tries.filter((t) => t.status === 422)).toHaveLength(5);
    expect(tries.filter((t) => t.status === 429)).toHaveLength(7);
  });
});
