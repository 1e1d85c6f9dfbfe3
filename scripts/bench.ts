/**
 * Measures speed on this machine and writes docs/bench.md: `npm run bench [-- --short]`. Figures are ratios within one
 * run wherever that is possible; nothing here passes or fails.
 */
import { clientInches, inchesMm, locateAll, pointDistance } from '../core/atlas/index.ts';
import { MEASURE_KEYS, type MeasureKey, MEASURES } from '../core/measures/index.ts';
import { checkRoutine } from '../core/rules/index.ts';
import {
  expandRoutine,
  newStep,
  readTypedLine,
  stepFromLine,
  techniquesForLine,
  type Routine,
} from '../core/routine/index.ts';
import { reachOfTechnique, screen } from '../core/limits/index.ts';
import { buildBodies } from '../core/drawing/index.ts';
import type { Side } from '../core/words/index.ts';
import type { Page } from '@playwright/test';
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { ROUTINES } from '../demo/routines.ts';
import { BODY_INCHES } from '../reference/facts/body-inches.ts';
import { CATALOGUE, TECHNIQUES } from '../reference/catalogue.ts';
import { CAUTIONS } from '../reference/facts/cautions/index.ts';
import { LANDMARKS } from '../reference/facts/landmarks.ts';
import { USUAL_SITES } from '../reference/facts/palpation.ts';
import { POINTS } from '../reference/facts/points/index.ts';
import { closeDatabase, database } from '../server/db/connection.ts';
import { ComplaintModel, ReadingModel, TemplateModel, VisitModel } from '../server/db/models/index.ts';
import { measureArchives } from './lib/bench-archive.ts';
import { measureCues } from './lib/bench-cues.ts';
import { measureChart, measureTyping } from './lib/bench-chart.ts';
import { measureJaw } from './lib/bench-jaw.ts';
import { measurePad } from './lib/bench-pad.ts';
import { measurePhone } from './lib/bench-phone.ts';
import { measureProposals, measureProposing } from './lib/bench-proposal.ts';
import { measureReliefPages } from './lib/bench-relief.ts';
import { measureService } from './lib/bench-service.ts';
import { inPractice } from '../server/db/scope.ts';
import { openDemo } from './lib/open-demo.ts';
import { ROOT } from './lib/paths.ts';

const short = process.argv.includes('--short');
const RUN_SECONDS = short ? 30 : 300;
const lines: string[] = [];
const say = (line: string): void => {
  console.log(line);
  lines.push(line);
};
const quantile = (values: readonly number[], q: number): number =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * q))] ?? NaN;

/** Median of `rounds` timings in ms, after a warm-up. */
function median(rounds: number, work: () => unknown): number {
  for (let i = 0; i < 50; i++) work();
  const times = Array.from({ length: rounds }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
  return quantile(times, 0.5);
}

function measureCore(): void {
  const usable = TECHNIQUES.filter((t) => t.phase !== 'compare');
  const ofLength = (n: number): Routine => ({
    ...ROUTINES.jaw,
    budgetMinutes: 120,
    items: Array.from({ length: n }, (_, i) => newStep(usable[i % usable.length]!, `s${i}`)),
  });
  const screening = screen(
    CAUTIONS,
    Object.fromEntries(CAUTIONS.filter((c) => c.question).map((c, i) => [c.key, i % 3 ? 'no' : 'yes'] as const)),
  );
  const both = (n: number) => {
    const routine = ofLength(n);
    return median(300, () => (expandRoutine(routine), checkRoutine(routine, CATALOGUE, screening)));
  };
  const lengths = [30, 60, 120] as const;
  const ms = lengths.map(both);
  const perStep = ms.map((t, i) => t / lengths[i]!);
  const answers = Object.fromEntries(CAUTIONS.filter((c) => c.question).map((c) => [c.key, 'yes' as const]));
  say('## Core\n');
  say('| what | ms, median | aim |');
  say('|---|---|---|');
  const line = readTypedLine('masseter knuckle firm 20x left');
  const search = median(300, () => techniquesForLine(line, TECHNIQUES).map((t) => stepFromLine(line, t, 'x')));
  say(
    `| search ${TECHNIQUES.length} techniques for a typed line, with the steps found | ${search.toFixed(2)} | under 5 |`,
  );
  say(`| expand and check a 60-step routine against all rules and a screening | ${ms[1]!.toFixed(2)} | under 2 |`);
  say(
    `| the same with 30, 60 and 120 steps: ms a step, dearest over cheapest | ${ms.map((t) => t.toFixed(2)).join(', ')}: × ${(Math.max(...perStep) / Math.min(...perStep)).toFixed(2)} | within × 1.2 |`,
  );
  say(
    `| screen a full answer sheet against all cautions | ${median(300, () => screen(CAUTIONS, answers)).toFixed(3)} | under 1 |`,
  );
  let turn = 0;
  // A new head each time, as after a measure changed; building it is not counted.
  const INCHES = inchesMm(BODY_INCHES, {});
  const heads = Array.from({ length: 20 }, (_, i) => buildBodies({ upperThird: 1 + i / 100, bigonial: 1 - i / 200 }));
  const reached = median(20, () => TECHNIQUES.map((t) => reachOfTechnique(CAUTIONS, t, CATALOGUE).size));
  say(
    `| how each of ${CAUTIONS.length} cautions touches each of ${TECHNIQUES.length} techniques | ${reached.toFixed(1)} | under 20 |`,
  );
  say(
    `| put all ${POINTS.length} points and ${LANDMARKS.length} landmarks on a head of new proportions | ${median(120, () => locateAll(heads[turn++ % heads.length]!, LANDMARKS, POINTS, INCHES)).toFixed(2)} | under 5 |`,
  );
  say(
    `| tell every point's distance after a measure changed | ${median(300, () => {
      const inches = clientInches(BODY_INCHES, { hairlineBrow: 50 + (turn++ % 10), middleFinger: 21 });
      return POINTS.map((p) => pointDistance(p, inches));
    }).toFixed(3)} | under 5 |`,
  );
}

async function timed(url: string, cookie: string, rounds: number): Promise<number> {
  const times: number[] = [];
  for (let i = 0; i < rounds + 20; i++) {
    const start = performance.now();
    const answer = await fetch(url, { headers: { cookie } });
    await answer.arrayBuffer();
    if (answer.status !== 200) throw new Error(`${url}: ${answer.status}`);
    if (i >= 20) times.push(performance.now() - start);
  }
  return quantile(times, 0.5);
}

/** Script that a page loads before it can be used, from its own preload list. */
function scriptKilobytes(html: string): number {
  const files = new Set([...html.matchAll(/\/assets\/[\w.-]+\.js/g)].map((m) => m[0]));
  return (
    [...files].reduce((sum, file) => sum + gzipSync(readFileSync(join(ROOT, 'build', 'client', file))).length, 0) / 1000
  );
}

/** The script that holds the library of techniques: known by an id that stands in no other. */
function libraryFile(): { name: string; kilobytes: number } {
  const folder = join(ROOT, 'build', 'client', 'assets');
  const name = readdirSync(folder).find(
    (f) => f.endsWith('.js') && readFileSync(join(folder, f), 'utf8').includes('jaw-opening-finger-count'),
  )!;
  return { name, kilobytes: gzipSync(readFileSync(join(folder, name))).length / 1000 };
}

say('# Speed\n');
say(
  `Written by \`npm run bench\` on ${new Date().toISOString().slice(0, 10)}; Node.js ${process.version}, ${cpus().length} cores. Compare ratios, not milliseconds, between machines.\n`,
);
measureCore();

const { page, url, practiceId, close } = await openDemo();
try {
  await page.getByRole('link', { name: 'Noor Halvorsen' }).first().click();
  await page.waitForURL('**/compose');
  const visit = page.url().replace('/compose', '');
  const cookie = (await page.context().cookies()).map((c) => `${c.name}=${c.value}`).join('; ');

  const rounds = short ? 60 : 300;
  const bare = await timed(`${url}/clients/new`, cookie, rounds);
  say('\n## Pages\n');
  say(
    `The bare page is the form for a new client: React Router, the frame and one query. ${rounds} requests each, median.\n`,
  );
  const library = libraryFile();
  say('| page | ms | × bare | aim | script, kB gz | with the library |');
  say('|---|---|---|---|---|---|');
  const row = async (name: string, path: string, aim: string): Promise<void> => {
    const ms = path.endsWith('/clients/new') ? bare : await timed(path, cookie, rounds);
    const html = await (await fetch(path, { headers: { cookie } })).text();
    say(
      `| ${name} | ${ms.toFixed(1)} | ${(ms / bare).toFixed(2)} | ${aim} | ${scriptKilobytes(html).toFixed(0)} | ${html.includes(library.name) ? 'yes' : ''} |`,
    );
  };
  await row('bare', `${url}/clients/new`, '');
  await row('Today', `${url}/today`, '');
  for (const stage of ['screen', 'assess', 'compose', 'guide', 'record'])
    await row(`visit, ${stage}`, `${visit}/${stage}`, 'under 3');
  await row('Atlas', `${url}/atlas/point/GB14`, '');
  await row('Find it', `${url}/atlas/find-it`, '');
  await row(`Routines, ${await twoHundredTemplates()} of them`, `${url}/routines`, 'under 3');
  await row('Relief', `${url}/clients/${await clientId(page)}`, '');
  // Before the visit and its client are filled up for what follows: it is told below.
  const jaw: string[] = [];
  await measureJaw(page, visit, (line) => jaw.push(line));
  const full = await fortyEarlierReadings(visit.split('/').pop()!);
  await row(
    `visit, assess, with ${full.earlier} earlier readings (40 of each of ${full.things} things)`,
    `${visit}/assess`,
    'under 3',
  );

  say(`\nThe library of techniques is a script of ${library.kilobytes.toFixed(1)} kB gz (aim: at most 60).`);
  const terrain = readdirSync(join(ROOT, 'app', 'parts', 'chart', 'terrain')).filter((f) => /^\w+\.svg$/.test(f));
  say(
    `\nChart drawings, loaded when a view is first shown: ${terrain.map((f) => `${f.replace('.svg', '')} ${(statSync(join(ROOT, 'app', 'parts', 'chart', 'terrain', f)).size / 1000).toFixed(0)} kB`).join(', ')}.`,
  );

  await measureChart({ page, url, visit, say, quantile });
  await measureTyping(page, visit, say);
  jaw.forEach((line) => say(line));
  await measureProposing(page, visit, say);

  await measureCues(page, visit, practiceId, { seconds: RUN_SECONDS, say, quantile });
} finally {
  await close();
}
await measureService({ say, quantile, short });
await measureReliefPages({ say, quantile, short });
await measureArchives({ say, quantile, short });
await measureProposals(say, quantile, short);
await measurePhone(say);
await measurePad(say, quantile, short ? 10 : 30);
// How often the judgement errs is no matter of speed and of this machine: it has a page of its own.
await import('./relief-trials.ts');
say('\nHow often the judgement of a course errs: docs/relief-trials.md, written by the same run.');
writeFileSync(join(ROOT, 'docs', 'bench.md'), `${lines.join('\n')}\n`);

/** Copies of the demo's routines until the practice has two hundred. */
async function twoHundredTemplates(): Promise<number> {
  database();
  return inPractice(practiceId, async () => {
    const there = await TemplateModel.findAll({ where: { practiceId } });
    const more = Array.from({ length: Math.max(0, 200 - there.length) }, (_, i) => {
      const { body, createdBy, updatedAt } = there[i % there.length]!;
      return { practiceId, name: `Copy ${i + 1}`, body, createdBy, updatedAt };
    });
    await TemplateModel.bulkCreate(more);
    return there.length + more.length;
  });
}

/** Forty readings before the visit of everything its client can be asked, one a day. */
async function fortyEarlierReadings(visitId: string): Promise<{ earlier: number; things: number }> {
  database();
  const { visit, complaints } = await inPractice(practiceId, async () => {
    const found = (await VisitModel.findOne({ where: { practiceId, id: visitId } }))!;
    return {
      visit: found,
      complaints: await ComplaintModel.findAll({ where: { practiceId, clientId: found.clientId } }),
    };
  });
  const { clientId: id } = visit;
  const things = MEASURE_KEYS.flatMap(
    (measure): { measure: MeasureKey; complaintId: string | null; place: string; side: Side }[] => {
      const { belongs } = MEASURES[measure];
      if (belongs === 'complaint')
        return complaints.map((c) => ({ measure, complaintId: c.id, place: '', side: c.side }));
      const places = belongs === 'muscle' ? USUAL_SITES : belongs === 'region' ? ['forehead', 'jaw', 'temple'] : [''];
      const sides: Side[] = belongs === 'client' ? ['midline'] : ['left', 'right'];
      return places.flatMap((place) => sides.map((side) => ({ measure, complaintId: null, place, side })));
    },
  );
  const rows = things.flatMap((thing) =>
    Array.from({ length: 40 }, (_, i) => ({
      ...thing,
      practiceId,
      clientId: id,
      visitId: null,
      phase: 'between' as const,
      value: Math.max(MEASURES[thing.measure].least, 1),
      source: 'studio' as const,
      takenBy: visit.practitionerId,
      takenAt: new Date(visit.startsAt.getTime() - (i + 1) * 86_400_000),
    })),
  );
  await inPractice(practiceId, () => ReadingModel.bulkCreate(rows));
  await closeDatabase();
  return { earlier: rows.length, things: things.length };
}

async function clientId(page: Page): Promise<string> {
  await page.goto('/clients?find=noor');
  return ((await page.getByRole('link', { name: 'Noor Halvorsen' }).getAttribute('href')) ?? '').split('/').pop()!;
}
