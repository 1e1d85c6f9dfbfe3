import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { processBegan, takeFolder } from '../../scripts/lib/folder-lock.ts';
import { freePort } from '../../scripts/lib/run.ts';
import { Visitor } from '../support/serving.ts';

/** The command as somebody types it, with a folder of its own. */
let data: string;
beforeAll(() => {
  data = mkdtempSync(join(tmpdir(), 'velvet-start-'));
  spawnSync('chmod', ['755', data]);
}, 120_000);
afterAll(() => {
  // Whatever a failed test left running.
  const pid = postmaster();
  if (pid) process.kill(pid, 'SIGKILL');
  rmSync(data, { recursive: true, force: true });
});

const env = () => ({ ...process.env, DATABASE_URL: '', VELVET_DATA: data, NODE_ENV: 'production' });
const run = (command: string, args: string[], more: NodeJS.ProcessEnv = {}) =>
  spawnSync(process.execPath, ['--import', 'tsx', `scripts/${command}.ts`, ...args], {
    encoding: 'utf8',
    env: { ...env(), ...more },
  });
const folder = () => join(data, 'empty');
function postmaster(): number | null {
  const file = join(folder(), 'postgres', 'postmaster.pid');
  const pid = existsSync(file) ? Number(readFileSync(file, 'utf8').split('\n')[0]) : 0;
  return pid && processBegan(pid) ? pid : null;
}

interface Started {
  child: ChildProcess;
  log: () => string;
  url: string;
  ended: Promise<number | null>;
}
/** Starts the application; the promise is there at once, the address when it serves. */
function start(port: number): {
  child: ChildProcess;
  log: () => string;
  serving: Promise<Started>;
  ended: Promise<number | null>;
} {
  const child = spawn(process.execPath, ['--import', 'tsx', 'scripts/demo.ts', '--empty', '--port', String(port)], {
    env: env(),
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let text = '';
  const log = () => text;
  const ended = new Promise<number | null>((done) => child.on('exit', done));
  const serving = new Promise<Started>((done, failed) => {
    const read = (chunk: Buffer) => {
      text += chunk.toString();
      const at = /runs at (http:\/\/\S+)/.exec(text);
      if (at) done({ child, log, url: at[1]!, ended });
    };
    child.stdout.on('data', read);
    child.stderr.on('data', read);
    void ended.then(() => failed(new Error(text)));
  });
  serving.catch(() => {});
  return { child, log, serving, ended };
}

describe('what is wrong with a command is one line and exit code 2', () => {
  test.each([
    ['demo', ['--prot', '4310'], {}, /^Unknown option '--prot'; --help/],
    ['demo', ['--port', '70000'], {}, /^--port: a whole number from 1 to 65535/],
    ['demo', ['--port', 'nonsense'], {}, /^--port: /],
    ['demo', [], { DATABASE_URL: 'nonsense' }, /^DATABASE_URL: an address such as/],
    [
      'demo',
      [],
      { DATABASE_URL: 'postgres://velvet:x@127.0.0.1:1/velvet' },
      /^DATABASE_URL: the database "velvet" at 127\.0\.0\.1:1 cannot be reached \(ECONNREFUSED\)/,
    ],
    [
      'demo',
      ['--reset'],
      { DATABASE_URL: 'postgres://velvet:x@127.0.0.1:1/velvet' },
      /^--reset works on the private cluster only/,
    ],
    ['demo', [], { VELVET_ORIGIN: 'studio.example' }, /^VELVET_ORIGIN: /],
    ['serve', [], {}, /^DATABASE_URL is not set; --help/],
    ['serve', [], { DATABASE_URL: 'mysql://x/y' }, /^DATABASE_URL: /],
    ['serve', [], { DATABASE_URL: 'postgres://velvet@127.0.0.1:1/velvet', PORT: '0' }, /^PORT: /],
    [
      'serve',
      [],
      { DATABASE_URL: 'postgres://velvet@127.0.0.1:1/velvet', HOST: '0.0.0.0' },
      /^HOST: serving beyond this machine needs VELVET_ORIGIN/,
    ],
    ['dev', ['--nonsense'], {}, /^Unknown option/],
    ['check-trail', [], {}, /^DATABASE_URL is not set and the demo does not run/],
  ])('%s %j %j', (command, args, more, told) => {
    const { status, stdout, stderr } = run(command, args, more);
    expect(stderr.split('\n').filter(Boolean), stdout).toHaveLength(1);
    expect(stderr).toMatch(told);
    expect(status).toBe(2);
  });
  test.each(['demo', 'serve', 'dev', 'check-trail'])('%s --help tells what there is', (command) => {
    const { status, stdout, stderr } = run(command, ['--help']);
    expect([status, stderr]).toEqual([0, '']);
    expect(stdout).toContain('npm run');
  });
});

describe('starting and stopping', () => {
  test('stopped or killed at any moment, the next start has everything that was called saved', async () => {
    // Cut off while the cluster is made, while it starts, while tables are made: each leaves something else behind.
    for (const [signal, afterMs] of [
      ['SIGKILL', 1500],
      ['SIGINT', 2500],
      ['SIGHUP', 3500],
      ['SIGKILL', 5000],
    ] as const) {
      const cut = start(await freePort());
      await new Promise((r) => setTimeout(r, afterMs));
      cut.child.kill(signal);
      await cut.ended;
    }
    const first = await start(await freePort()).serving;
    const me = new Visitor(first.url);
    await me.openPractice();
    await me.addClient('Jun Castellan');

    // A second one in the same folder says so, and disturbs nothing.
    const second = start(await freePort());
    expect(await second.ended).toBe(2);
    expect(second.log()).toContain(`Velvet Compass runs in this folder already, at ${first.url}`);
    expect((await me.send('/clients')).status).toBe(200);

    // PostgreSQL dies under it: it is started again.
    process.kill(postmaster()!, 'SIGKILL');
    const answers = async (): Promise<boolean> => {
      const answer = await me.send('/clients').catch(() => null);
      // The application itself outlives its database; a way that was cut is asked again.
      expect(first.child.exitCode ?? first.child.signalCode, first.log()).toBeNull();
      return answer !== null && (await answer.text().catch(() => ''), answer.status === 200);
    };
    for (let i = 0; i < 80 && !(await answers()); i++) await new Promise((r) => setTimeout(r, 250));
    expect(await (await me.send('/clients')).text()).toContain('Jun Castellan');
    expect(first.log()).toContain('PostgreSQL ended by itself; starting it again');

    // Killed outright: PostgreSQL stays behind, and the next start mends that.
    first.child.kill('SIGKILL');
    await first.ended;
    expect(postmaster()).not.toBeNull();
    const next = await start(await freePort()).serving;
    expect(next.log()).toContain('PostgreSQL was left running by an earlier start');
    const again = new Visitor(next.url);
    again.cookie = me.cookie;
    expect(await (await again.send('/clients')).text()).toContain('Jun Castellan');

    // A closed terminal stops everything behind it.
    next.child.kill('SIGHUP');
    expect(await next.ended).toBe(0);
    expect(postmaster()).toBeNull();
    expect(existsSync(join(folder(), 'running.json'))).toBe(false);
  }, 240_000);
});

describe('a folder', () => {
  test('is taken once; a note of a process that is gone, or of its number taken again, is nobody', () => {
    const own = mkdtempSync(join(tmpdir(), 'velvet-lock-'));
    const lock = takeFolder(own);
    lock.note({ at: 'http://127.0.0.1:1' });
    expect(() => takeFolder(own)).toThrow('runs in this folder already, at http://127.0.0.1:1');
    lock.release();
    for (const holder of [
      { pid: 999_999_999, began: '1' },
      { pid: process.pid, began: 'another time' },
    ]) {
      writeFileSync(join(own, 'running.json'), JSON.stringify(holder));
      takeFolder(own).release();
    }
    rmSync(own, { recursive: true, force: true });
  });
});
