import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { quietly } from './run.ts';

const VERSIONS = '/usr/lib/postgresql';
let listsAreFresh = false;

/** Install a Debian package; only root may, everybody else is told what to type. */
function install(name: string): void {
  if (process.getuid?.() !== 0)
    throw new Error(`${name} is not installed. Install it first: sudo apt-get install ${name}`);
  console.log(`Installing Debian's ${name} …`);
  const env = { DEBIAN_FRONTEND: 'noninteractive' };
  if (!listsAreFresh) quietly('apt-get', ['update', '-q'], { env });
  listsAreFresh = true;
  quietly('apt-get', ['install', '-y', '-q', '--no-install-recommends', name], { env });
}

function newestPostgres(): string | null {
  if (!existsSync(VERSIONS)) return null;
  const found = readdirSync(VERSIONS)
    .filter((v) => existsSync(join(VERSIONS, v, 'bin', 'initdb')))
    .sort((a, b) => Number(b) - Number(a))[0];
  return found ? join(VERSIONS, found, 'bin') : null;
}

/** Folder with PostgreSQL's programs, installed when there is none. */
export function postgresBin(): string {
  if (!newestPostgres()) install('postgresql');
  const bin = newestPostgres();
  if (!bin) throw new Error(`PostgreSQL is not under ${VERSIONS} even after installing it`);
  return bin;
}

/** Debian's Chromium without a window: nothing else is needed here, and it starts and draws faster. */
export const CHROMIUM = '/usr/bin/chromium-headless-shell';
export function ensureChromium(): void {
  if (!existsSync(CHROMIUM)) install('chromium-headless-shell');
}

/** HAProxy, in front of the application in tests only. */
export function ensureHaproxy(): string {
  const path = '/usr/sbin/haproxy';
  if (!existsSync(path)) install('haproxy');
  return path;
}
