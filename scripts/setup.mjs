/**
 * The door to every command: makes sure that npm packages are installed and match the lock file, then runs
 * scripts/<command>.ts. Plain JavaScript without packages, because on a fresh machine there are none yet.
 */
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = dirname(dirname(fileURLToPath(import.meta.url)));
const [command, ...rest] = process.argv.slice(2);
const lock = createHash('sha256')
  .update(readFileSync(join(root, 'package-lock.json')))
  .digest('hex');
const stamp = join(root, 'node_modules', '.velvet-lock');

const isInstalled = () => existsSync(stamp) && readFileSync(stamp, 'utf8') === lock;

/** One command installs at a time: two at once would leave half of each other's packages behind. */
const installing = join(root, '.data', 'installing');
function takeTurn() {
  mkdirSync(dirname(installing), { recursive: true });
  for (let told = false; ;) {
    try {
      writeFileSync(installing, String(process.pid), { flag: 'wx' });
      return;
    } catch (error) {
      if (error.code !== 'EEXIST') throw error;
    }
    const holder = existsSync(installing) ? readFileSync(installing, 'utf8') : '';
    // Killed while it installed: its turn is over.
    if (/^\d+$/.test(holder) && !existsSync(`/proc/${holder}`)) rmSync(installing, { force: true });
    else {
      if (!told) console.log('Another command is installing the npm packages; waiting for it …');
      told = true;
      Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 500);
    }
  }
}

if (!isInstalled()) {
  takeTurn();
  try {
    if (!isInstalled()) {
      console.log('Installing npm packages (about a minute) …');
      const { status } = spawnSync('npm', ['ci', '--no-progress'], {
        cwd: root,
        stdio: ['ignore', 'inherit', 'inherit'],
      });
      if (status !== 0) process.exitCode = status ?? 1;
      else writeFileSync(stamp, lock);
    }
  } finally {
    rmSync(installing, { force: true });
  }
  if (process.exitCode) process.exit();
}
// React decides between its two builds when it is first imported, so the environment has to say so from the start.
const env = ['dev', 'test'].includes(command) ? process.env : { ...process.env, NODE_ENV: 'production' };
const child = spawn(process.execPath, ['--import', 'tsx', join(root, 'scripts', `${command}.ts`), ...rest], {
  cwd: root,
  stdio: 'inherit',
  env,
});
// The door stays open until the child has closed everything behind it. Ctrl-C reaches the child by itself as well; it
// minds the first signal only.
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => child.kill(signal));
for (const stream of [process.stdout, process.stderr]) stream.on('error', () => {});
child.on('exit', (code, signal) => process.exit(signal ? 130 : (code ?? 1)));
