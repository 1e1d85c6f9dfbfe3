import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './paths.ts';
import { quietly } from './run.ts';

const SOURCES = ['app', 'core', 'reference', 'server', 'package-lock.json', 'vite.config.ts', 'react-router.config.ts'];
const stamp = join(ROOT, 'build', '.sources');

function digest(): string {
  const hash = createHash('sha256');
  const walk = (path: string): void => {
    const full = join(ROOT, path);
    if (!existsSync(full)) return;
    if (/\.test\.tsx?$/.test(path)) return;
    if (/\.(ts|tsx|json|scss|svg|css|woff2|ico)$/.test(path)) hash.update(path).update(readFileSync(full));
    else if (!/\.[a-z0-9]+$/.test(path)) for (const name of readdirSync(full).sort()) walk(join(path, name));
  };
  SOURCES.forEach(walk);
  return hash.digest('hex');
}

/** Build for production unless the build already is of these very sources. */
export function ensureBuild(): void {
  const now = digest();
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === now) return;
  console.log('Building the application (about half a minute) …');
  quietly(process.execPath, [join(ROOT, 'node_modules', '@react-router', 'dev', 'bin.js'), 'build'], {
    env: { NODE_ENV: 'production' },
  });
  writeFileSync(stamp, now);
}
