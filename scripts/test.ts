/**
 * Every check there is, on a machine that may have nothing installed: types, lint, walls, unit, published-value and
 * service tests with a throw-away PostgreSQL, end-to-end tests in headless Chromium. Ends with one line of counts.
 */
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBuild } from './lib/build.ts';
import { ensureChromium } from './lib/debian.ts';
import { DATA, ROOT } from './lib/paths.ts';
import { show } from './lib/run.ts';

const results = join(DATA, 'results');
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });
let passed = 0;
let failed = 0;
const bin = (name: string): string => join(ROOT, 'node_modules', '.bin', name);

async function step(title: string, command: string, args: readonly string[], env: NodeJS.ProcessEnv = {}): Promise<boolean> {
  const started = Date.now();
  console.log(`\n── ${title}`);
  const ok = await show(command, args, env);
  console.log(`── ${title}: ${ok ? 'good' : 'FAILED'} in ${((Date.now() - started) / 1000).toFixed(0)} s`);
  return ok;
}

/** A check without counts of its own counts as one test. */
async function check(title: string, command: string, args: readonly string[]): Promise<void> {
  if (await step(title, command, args)) passed++;
  else failed++;
}

/** Counts come from the runner's own report; a runner that left none has failed as a whole. */
function count(file: string, read: (report: never) => [number, number], ok: boolean): void {
  try {
    const [good, bad] = read(JSON.parse(readFileSync(join(results, file), 'utf8')) as never);
    passed += good;
    failed += Math.max(bad, ok ? 0 : 1);
  } catch {
    failed++;
  }
}

await check('types of the routes', bin('react-router'), ['typegen']);
// Tests of the service need the build as well.
ensureChromium();
ensureBuild();
await Promise.all([check('type check', bin('tsc'), ['--noEmit', '-p', '.']), check('lint', bin('eslint'), ['.', '--max-warnings', '0'])]);
await check('walls between the rooms', bin('depcruise'), ['--config', '.dependency-cruiser.cjs', 'app', 'core', 'server', 'reference', 'devices', 'cli', 'demo', 'scripts', 'tests']);

const unit = await step('unit, published-value and service tests', bin('vitest'), ['run', '--reporter=default', '--reporter=json', `--outputFile.json=${join(results, 'unit.json')}`]);
count('unit.json', (r: { numPassedTests: number; numFailedTests: number }) => [r.numPassedTests, r.numFailedTests], unit);

const e2e = await step('end-to-end tests', bin('playwright'), ['test'], { PLAYWRIGHT_JSON_OUTPUT_NAME: join(results, 'e2e.json') });
count('e2e.json', (r: { stats: { expected: number; unexpected: number; flaky: number } }) => [r.stats.expected + r.stats.flaky, r.stats.unexpected], e2e);

console.log(`\n${passed} passed, ${failed} failed`);
process.exitCode = failed ? 1 : 0;
