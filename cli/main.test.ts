import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { ownFileOf, ownFrom, readRoutine, stepsOf, type OwnTechnique, type Routine } from '../core/routine/index.ts';
import { propose, readCase } from '../core/proposal/index.ts';
import { PROPOSAL_CASE } from '../demo/proposal-case.ts';
import { MUSCLES } from '../reference/facts/muscles/index.ts';
import { openSolver } from '../tests/support/solver.ts';
import { CATALOGUE } from '../reference/catalogue.ts';
import { CAUTIONS } from '../reference/facts/cautions/index.ts';
import { routineFrom } from '../tests/support/routines.ts';
import { answerOf, run } from './main.ts';

let folder = '';
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'velvet-cli-'));
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const file = (name: string, content: unknown): string => {
  const path = join(folder, name);
  writeFileSync(path, typeof content === 'string' ? content : JSON.stringify(content));
  return path;
};
const core = (...args: string[]) => answerOf(args);
const fromShell = (args: readonly string[], input = '') =>
  spawnSync(process.execPath, ['--import', 'tsx', 'cli/main.ts', ...args], { encoding: 'utf8', input });

describe('verbs', () => {
  test('plan gives totals and cues', () => {
    const out = run(['plan', file('r.json', routineFrom(['masseter-warm-hold', 'temple-circles']))]) as {
      totals: { totalSeconds: number };
      cues: unknown[];
    };
    expect(out.totals.totalSeconds).toBe(4 + 60 + (4 + 2 * 30 + 1));
    expect(out.cues.length).toBeGreaterThan(4);
  });
  test('check tells what the rules say, and more with a screening', () => {
    const path = file('hegu.json', routineFrom(['hegu-web-massage']));
    const rules = (answers?: string) =>
      (run(['check', path, ...(answers ? ['--screening', answers] : [])]) as { rule: string }[]).map((f) => f.rule);
    expect(rules()).not.toContain('screening');
    expect(rules(file('s.json', { pregnancy: 'yes' }))).toContain('screening');
  });
  test('check warns of firm work on what has become worse', () => {
    const [technique] = [...CATALOGUE.techniques.values()].filter(
      (t) => t.serves.includes('jaw') && t.defaults.pressure?.there === 'firm',
    );
    const path = file('worse.json', routineFrom([technique!.id]));
    const rules = (...worse: string[]) =>
      (run(['check', path, ...worse]) as { rule: string }[]).map((f) => f.rule).includes('worse-lighter');
    expect([rules(), rules('--worse', 'jaw'), rules('--worse', 'eye-strain, jaw')]).toEqual([false, true, true]);
    expect(() => run(['check', path, '--worse', 'knee'])).toThrow('worse: "knee" is no kind of complaint');
  });
  test('check knows the techniques of a file, and only then', () => {
    const own = {
      ...ownFrom(CATALOGUE.techniques.get('hegu-web-massage')!, 'own-web', 'Our web'),
      comesWith: ['heat'],
    };
    const routine = routineFrom(['hegu-web-massage']);
    const items = routine.items.map((item) => ({ ...item, technique: 'own-web' }));
    const path = file('own.json', { ...routine, items });
    expect(() => run(['check', path])).toThrow('own-web');
    const techniques = file('t.json', ownFileOf([own as OwnTechnique]));
    const screening = file('s2.json', { pregnancy: 'yes' });
    const found = run(['check', path, '--techniques', techniques, '--screening', screening]) as { rule: string }[];
    expect(found.map((f) => f.rule)).toContain('screening');
    const bad = file('bad-t.json', ownFileOf([{ ...own, cue: '' } as OwnTechnique]));
    expect(() => run(['check', path, '--techniques', bad])).toThrow('techniques[0].cue');
  });
  test('propose gives the same routine as the core, and refuses a case that cannot be with its path', async () => {
    const solve = await openSolver();
    const path = file('case.json', { ...PROPOSAL_CASE, ask: { ...PROPOSAL_CASE.ask, minutes: 5 } });
    const { status, stdout } = answerOf(['propose', path], solve);
    const said = JSON.parse(stdout) as {
      answer: { routine: Routine; gap: number };
      alternatives: unknown[];
      worthOfAnHour: number;
    };
    expect([status, said.answer.gap, said.alternatives.length]).toEqual([0, 0, 2]);
    const library = { catalogue: CATALOGUE, muscles: MUSCLES };
    const own = propose(readCase(JSON.parse(readFileSync(path, 'utf8')), library, CAUTIONS), library, solve);
    expect(said.answer).toEqual(JSON.parse(JSON.stringify(own)));
    expect(said.worthOfAnHour).toBeGreaterThan(1);
    const bad = file('bad-case.json', { ...PROPOSAL_CASE, ask: { ...PROPOSAL_CASE.ask, minutes: 0 } });
    expect(answerOf(['propose', bad], solve)).toMatchObject({
      status: 1,
      stderr: expect.stringContaining('ask.minutes') as string,
    });
    const open = answerOf(
      ['propose', file('open.json', { ...PROPOSAL_CASE, answers: [], ask: { ...PROPOSAL_CASE.ask, minutes: 2 } })],
      solve,
    );
    expect(open.stderr).toContain('not answered, and not taken for a no: ');
    expect(core('propose', path).status).toBe(2);
  }, 240_000);
  test('relief judges each complaint of a table of readings, as worked out elsewhere', () => {
    const { courses } = JSON.parse(readFileSync('tests/published/relief-check.json', 'utf8')) as {
      courses: {
        title: string;
        ratings: [day: number, value: number, source: string][];
        workStart: number | null;
        options: object;
        expected: { sentence: string };
      }[];
    };
    const at = (day: number) => new Date(Date.UTC(2026, 0, 5) + day * 86_400_000).toISOString();
    const told = courses.filter((c) => c.workStart !== null && !Object.keys(c.options).length);
    const rows = told.flatMap((c) =>
      c.ratings.map(([day, value, source]) => `"${c.title}",${at(day)},${value},${source},${at(c.workStart!)}`),
    );
    const out = run(['relief', file('r.csv', ['complaint,at,value,source,work_began', ...rows].join('\n'))]) as {
      title: string;
    }[];
    expect(out.map((o) => o.title)).toEqual(told.map((c) => c.expected.sentence.replace('Jaw, left', c.title)));
    expect(told.length).toBeGreaterThan(20);
  });
  test('the work began with the first reading, or when it is said; reviewed when it is said', () => {
    const days = [5, 6, 5, 5, 5, 5, 4, 5, 5].map(
      (value, i) => `Jaw,2026-03-${String(1 + i * 2).padStart(2, '0')},${value},home`,
    );
    const path = file('w.csv', ['complaint,at,value,source', ...days].join('\n'));
    const of = (...more: string[]) =>
      (run(['relief', path, ...more]) as { readingsBefore: number; advice: string }[])[0]!;
    expect(of().readingsBefore).toBe(1);
    expect(of('--work-began', '2026-03-05')).toMatchObject({ readingsBefore: 3, advice: 'go-on' });
    expect(of('--work-began', '2026-03-05', '--review-days', '12').advice).toBe('adjust');
    expect(of('--red-flag').advice).toBe('refer');
  });
  test('score', () => {
    expect(run(['score', 'nrs', file('n.json', { baseline: 6, followUp: 4 })])).toMatchObject({
      band: 'moderate',
      twoPoints: true,
    });
    expect(run(['score', 'opening', file('o.json', { distanceMm: 38, overlapMm: 3 })])).toEqual({
      openingMm: 41,
      band: 'not-limited',
    });
    expect(run(['score', 'opening', file('f.json', { widthsMm: [17, 18, 17, 15], fits: 3 })])).toEqual({
      leastMm: 52,
      belowMm: 67,
    });
  });
});

describe('as a command', () => {
  test('from the shell: JSON on stdout, exit code 0; what is wrong on stderr with its own', () => {
    const out = fromShell(['plan', 'docs/formats/routine.example.json']);
    expect([out.status, out.stderr]).toEqual([0, '']);
    expect((JSON.parse(out.stdout) as { totals: { totalSeconds: number } }).totals.totalSeconds).toBeGreaterThan(60);
    const wrong = fromShell(['dance']);
    expect([wrong.status, wrong.stdout]).toEqual([2, '']);
    expect(wrong.stderr).toContain('unknown verb "dance"');
  });
  test.each([
    [
      'a hold of 0 s',
      { parts: [{ kind: 'hold', seconds: 0 }] },
      'items[0].dose.parts[0].seconds: a number from 1 to 600 s is accepted',
    ],
    [
      'a tempo of 181',
      {
        parts: [{ kind: 'beats', count: 5, most: null, perMinute: 181, unit: 'circles' }],
      },
      'items[0].dose.parts[0].perMinute: a number from 6 to 180 per min is accepted',
    ],
  ])('bad input is one line with field and range, exit code 1: %s', (_name, dose, message) => {
    const routine = routineFrom(['masseter-warm-hold']);
    const step = stepsOf(routine)[0]!;
    const out = core('plan', file('bad.json', { ...routine, items: [{ ...step, dose: { ...step.dose, ...dose } }] }));
    expect([out.status, out.stdout, out.stderr]).toEqual([1, '', `${message}\n`]);
  });
  test('a file that is not JSON, is a list, or is not there', () => {
    expect(core('plan', file('broken.json', '{"a":')).stderr).toContain('is not JSON');
    expect(core('plan', file('list.json', '[]')).stderr).toContain('must hold one object');
    expect(core('plan', join(folder, 'absent.json'))).toMatchObject({
      status: 1,
      stderr: expect.stringContaining('cannot read'),
    });
  });
  test('a table with a wrong value names the line', () => {
    const out = core('relief', file('bad.csv', 'complaint,at,value,source\nJaw,2026-03-01,11,home\n'));
    expect([out.status, out.stderr]).toEqual([1, 'line 2.value: a whole number from 0 to 10 is accepted\n']);
  });
  test.each([
    ['future days', ['Jaw,2026-03-01,5,home', 'Jaw,2999-03-01,5,home'], 'line 3.at: lies in the future'],
    [
      'two zones',
      [
        'Jaw,2026-03-01T10:00:00+01:00,5,home',
        'Jaw,2026-07-01T10:00:00+02:00,5,home',
        'Jaw,2026-07-02T10:00:00+09:00,5,home',
      ],
      'line 4.at: has the zone +09:00, line 2 has the zone +01:00; one zone is accepted',
    ],
    [
      'a zone and none',
      ['Jaw,2026-03-01,5,home', 'Jaw,2026-03-02T10:00Z,5,home'],
      'line 3.at: has the zone +00:00, line 2 has no zone; one zone is accepted',
    ],
    ['a day that is none', ['Jaw,2026-02-31,5,home'], 'line 2.at: an ISO 8601 date is accepted'],
    ['no value', ['Jaw,2026-03-01,,home'], 'line 2.value: a whole number from 0 to 10 is accepted'],
    ['no complaint', [',2026-03-01,5,home'], 'line 2.complaint: is missing'],
    ['a strange source', ['Jaw,2026-03-01,5,phone'], 'line 2.source: studio or home is accepted'],
  ])('readings with %s are refused with line and reason', (_, rows, message) => {
    const out = core('relief', file('bad.csv', ['complaint,at,value,source', ...rows].join('\n')));
    expect([out.status, out.stdout, out.stderr]).toEqual([1, '', `${message}\n`]);
  });
  test.each([
    [
      'mixed windows',
      ['Jaw,2026-03-01,5,home,now,', 'Eyes,2026-03-01,5,home,worst-week,', 'Jaw,2026-03-02,5,home,worst-week,'],
      'line 4.window: is worst-week, line 2 of the same complaint is now; one window is accepted',
    ],
    ['a strange window', ['Jaw,2026-03-01,5,home,today,'], 'line 2.window: now, average-week, worst-week is accepted'],
    [
      'two beginnings',
      ['Jaw,2026-03-01,5,home,,2026-03-01', 'Jaw,2026-03-02,5,home,,2026-03-02'],
      'line 3.work_began: differs from line 2 of the same complaint; one beginning is accepted',
    ],
  ])('readings with %s are refused with line and reason', (_, rows, message) => {
    const out = core('relief', file('bad.csv', ['complaint,at,value,source,window,work_began', ...rows].join('\n')));
    expect([out.status, out.stdout, out.stderr]).toEqual([1, '', `${message}\n`]);
  });
  test('review days and the day the work began are checked', () => {
    const path = file('ok.csv', 'complaint,at,value,source\nJaw,2026-03-01,5,home\n');
    expect(core('relief', path, '--review-days', '3').stderr).toBe('review-days: 7 to 180 days are accepted\n');
    expect(core('relief', path, '--work-began', 'soon').stderr).toBe('work-began: an ISO 8601 date is accepted\n');
  });
  test('check exits 3 on a stop and 0 on none, and lists what nobody answered', () => {
    const path = file('hegu-2.json', routineFrom(['hegu-web-massage']));
    const clean = Object.fromEntries(CAUTIONS.filter((c) => c.question && !c.after).map((c) => [c.key, 'no']));
    const good = core('check', path, '--screening', file('no.json', clean));
    expect([good.status, good.stderr]).toEqual([0, '']);
    const sheet = (answers: object) => core('check', path, '--screening', file('sheet.json', { ...clean, ...answers }));
    const stopped = sheet({ pregnancy: 'unsure', 'pregnancy-warning': 'no' });
    expect(stopped.status).toBe(3);
    expect(JSON.parse(stopped.stdout)).toContainEqual(expect.objectContaining({ rule: 'screening', severity: 'stop' }));
    const some = core('check', path, '--screening', file('one.json', { thyroid: 'no' }));
    expect(some.status).toBe(0);
    expect(some.stderr).toContain('not answered, and not taken for a no: thunderclap');
  });
  test.each([
    [{ pregnancy: true }, 'pregnancy: yes, no or unsure is accepted'],
    [{ pregnancy: 'Yes' }, 'pregnancy: yes, no or unsure is accepted'],
    [{ pregnancy: 'ja' }, 'pregnancy: yes, no or unsure is accepted'],
    [{ pregnency: 'yes' }, 'pregnency: is no question that is asked'],
    [{ carotid: 'no' }, 'carotid: is no question that is asked'],
  ])('an answer sheet with %j is refused', (answers, message) => {
    const out = core('check', file('r2.json', routineFrom(['temple-circles'])), '--screening', file('a.json', answers));
    expect([out.status, out.stdout, out.stderr]).toEqual([1, '', `${message}\n`]);
  });
  test('a routine comes from the standard input; --help tells what there is', () => {
    const input = JSON.stringify(routineFrom(['temple-circles']));
    const out = fromShell(['plan', '-'], input);
    expect([out.status, out.stderr]).toEqual([0, '']);
    const help = core('--help');
    expect([help.status, help.stdout.startsWith('usage: core plan')]).toEqual([0, true]);
  });
  test('days are ISO days only', () => {
    const out = core('relief', file('days.csv', 'complaint,at,value,source\nJaw,3/1/2026,5,home\n'));
    expect([out.status, out.stderr]).toEqual([1, 'line 2.at: an ISO 8601 date is accepted\n']);
  });
  test.each([
    [[]],
    [['dance']],
    [['plan']],
    [['score', 'mood', 'x.json']],
    [['check', 'r.json', '--screning', 's.json']],
    [['plan', 'r.json', '--screening', 's.json']],
    [['relief', 'r.csv', '--screening', 's.json']],
    [['check', 'r.json', '--red-flag']],
    [['plan', 'r.json', 'another.json']],
  ])('bad usage %j shows the usage, exit code 2', (args) => {
    const out = core(...args);
    expect(out.status).toBe(2);
    expect(out.stderr).toContain('usage: core plan');
  });
  test('nothing of the example file is lost on reading', () => {
    const example = JSON.parse(readFileSync('docs/formats/routine.example.json', 'utf8')) as Routine;
    expect(readRoutine(example)).toEqual(example);
    expect(example.schemaVersion).toBe(2);
  });
});
