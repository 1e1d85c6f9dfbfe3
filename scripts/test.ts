/**
 * Every check there is, on a machine that may have nothing installed: types, lint, walls, unit, published-value and
 * service tests with a throw-away PostgreSQL, end-to-end tests in headless Chromium. Ends with one line of counts.
 */
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
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
/** What went wrong, told again at the end: the lines above it are thousands. */
const wrong: string[] = [];
const bin = (name: string): string => join(ROOT, 'node_modules', '.bin', name);

async function step(
  title: string,
  command: string,
  args: readonly string[],
  env: NodeJS.ProcessEnv = {},
): Promise<boolean> {
  const started = Date.now();
  console.log(`\n── ${title}`);
  const ok = await show(command, args, env);
  console.log(`── ${title}: ${ok ? 'good' : 'FAILED'} in ${((Date.now() - started) / 1000).toFixed(0)} s`);
  return ok;
}

/** A check without counts of its own counts as one test. */
async function check(title: string, command: string, args: readonly string[]): Promise<void> {
  if (await step(title, command, args)) passed++;
  else {
    failed++;
    wrong.push(title);
  }
}

interface Counts {
  good: number;
  /** Name and first words of each one that failed. */
  bad: string[];
}

/** Counts come from the runner's own report; a runner that left none has failed as a whole. */
function count(file: string, read: (report: never) => Counts, ok: boolean): void {
  let counts: Counts = { good: 0, bad: [] };
  try {
    counts = read(JSON.parse(readFileSync(join(results, file), 'utf8')) as never);
  } catch {
    ok = false;
  }
  if (!ok && counts.bad.length === 0) counts.bad.push(`${file}: the runner itself`);
  passed += counts.good;
  failed += counts.bad.length;
  wrong.push(...counts.bad);
}

/** Its first lines: a page or a stack is long. */
const begins = (text: string, lines: number): string => text.split('\n').slice(0, lines).join('\n');

interface UnitReport {
  numPassedTests: number;
  testResults: {
    name: string;
    status: string;
    message: string;
    assertionResults: { fullName: string; status: string; failureMessages: string[] }[];
  }[];
}

function readUnit(report: UnitReport): Counts {
  const bad = report.testResults.flatMap((file) => {
    const tests = file.assertionResults
      .filter((t) => t.status === 'failed')
      .map((t) => `${file.name}: ${t.fullName}\n${begins(t.failureMessages.join('\n'), 12)}`);
    return tests.length || file.status !== 'failed' ? tests : [`${file.name}\n${file.message}`];
  });
  return { good: report.numPassedTests, bad };
}

interface Suite {
  suites?: Suite[];
  specs?: {
    title: string;
    file: string;
    line: number;
    ok: boolean;
    tests: { results: { error?: { message: string }; attachments: { name: string; path?: string }[] }[] }[];
  }[];
}

/** What stood on the page when it failed: most of what is needed where nobody can look again. */
function whatWasShown({ attachments }: { attachments: { name: string; path?: string }[] }): string {
  const path = attachments.find((a) => a.name === 'error-context')?.path;
  const [, page = ''] = path && existsSync(path) ? readFileSync(path, 'utf8').split('# Page snapshot') : [];
  return page && `On the page:${begins(page, 60)}`;
}

function readEndToEnd(report: { stats: { expected: number }; suites: Suite[] }): Counts {
  const specs = (suite: Suite): NonNullable<Suite['specs']> => [
    ...(suite.specs ?? []),
    ...(suite.suites ?? []).flatMap(specs),
  ];
  const bad = report.suites
    .flatMap(specs)
    .filter((spec) => !spec.ok)
    .map((spec) => {
      const results = spec.tests.flatMap((t) => t.results);
      const messages = results.map((r) => begins(r.error?.message ?? '', 12));
      return [`${spec.file}:${spec.line}: ${spec.title}`, ...messages, ...results.map(whatWasShown)].join('\n');
    });
  return { good: report.stats.expected, bad };
}

await check('types of the routes', bin('react-router'), ['typegen']);
// Tests of the service need the build as well.
ensureChromium();
ensureBuild();
await Promise.all([
  check('type check', bin('tsc'), ['--noEmit', '-p', '.']),
  check('lint', bin('eslint'), ['.', '--max-warnings', '0']),
]);
// The longest of the service tests wait for processes of their own: there is room for other checks beside them.
const [unit] = await Promise.all([
  step('unit, published-value and service tests', bin('vitest'), [
    'run',
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${join(results, 'unit.json')}`,
  ]),
  check('layout', bin('prettier'), ['--check', '--log-level', 'warn', '.']),
  check('nothing unused', bin('knip'), ['--no-progress', '--no-config-hints']),
  check('walls between the rooms', bin('depcruise'), [
    '--config',
    '.dependency-cruiser.cjs',
    ...['app', 'core', 'server', 'reference', 'devices', 'cli', 'demo', 'scripts', 'tests'],
  ]),
]);
count('unit.json', readUnit, unit);

const e2e = await step('end-to-end tests', bin('playwright'), ['test'], {
  PLAYWRIGHT_JSON_OUTPUT_NAME: join(results, 'e2e.json'),
});
count('e2e.json', readEndToEnd, e2e);

for (const one of wrong) console.log(`\n✘ ${one.split('\n').join('\n  ')}`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exitCode = failed ? 1 : 0;
