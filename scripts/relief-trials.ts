/**
 * Runs the judgement of a course on made-up clients whose truth is known and writes docs/relief-trials.md with its
 * picture: `npm run relief-trials`. The same seeds give the same clients.
 */
import { max, range, scaleLinear } from 'd3';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { PRECEDED_TRIALS, runPrecededTrial, TRUTH } from './lib/preceded-trials.ts';
import { CHANGED, runTrial, type TrialResult, UNCHANGED } from './lib/relief-trials.ts';
import { ROOT } from './lib/paths.ts';

const CLIENTS = process.argv.includes('--short') ? 400 : 4000;
const CHECK = join(ROOT, 'tests', 'published', 'relief-check.json');
const {
  operatingCharacteristics: { rows: wanted },
  cameBefore,
} = JSON.parse(readFileSync(CHECK, 'utf8')) as {
  operatingCharacteristics: { rows: { name: string; better: { ever: number }; worse: { ever: number } }[] };
  cameBefore: { case: string; coverage: number[]; meanShrunk: number[]; rmseShrunk: number[]; halfWidth: number[] }[];
};

const run = (trials: typeof UNCHANGED): TrialResult[] => trials.map((t) => runTrial(t, CLIENTS));
const [unchanged, changed] = [run(UNCHANGED), run(CHANGED)];
const before = PRECEDED_TRIALS.map((t) => ({ name: t.name, ...runPrecededTrial(t, CLIENTS / 2) }));
const n = (v: number): string => v.toFixed(1);

/** Whether a share differs from the one worked out elsewhere by less than two standard errors of both. */
const agrees = (ours: number, theirs: number): boolean => {
  const share = Math.max(0.3, theirs);
  return Math.abs(ours - theirs) < 2 * Math.sqrt((share * (100 - share)) / CLIENTS + (share * (100 - share)) / 4000);
};

const lines = [
  '# How often the judgement errs',
  '',
  `Written by \`npm run relief-trials\`: ${CLIENTS} made-up clients a row (whole numbers from 0 to 10, every 3 days, 24 ratings, SD 1.5, one rating before the work, unless the row says otherwise). Per cent; a standard error is 0.1 to 0.8. In brackets what the method’s own table says, worked out elsewhere on other clients.`,
  '',
  '![How often better and worse are told when nothing has changed](relief-trials.svg)',
  '',
  '## Nothing has changed',
  '',
  '| truth | ever better | ever worse | about the same at the end | cannot tell at the end | within two standard errors |',
  '|---|---|---|---|---|---|',
  ...unchanged.map((r) => {
    const w = wanted.find((row) => row.name === r.name)!;
    return `| ${r.name} | ${n(r.ever.better)} (${n(w.better.ever)}) | ${n(r.ever.worse)} (${n(w.worse.ever)}) | ${n(r.end['about-same'])} | ${n(r.end['cannot-tell'])} | ${agrees(r.ever.better, w.better.ever) && agrees(r.ever.worse, w.worse.ever) ? 'yes' : 'no'} |`;
  }),
  '',
  '## Something has changed',
  '',
  'The method’s own table does not say of these how many ratings each client has: ours have 24, so the figures are not compared.',
  '',
  '| truth | better by the 12th | better at the end | worse at the end | leaning at the end | 95 % interval holds the truth |',
  '|---|---|---|---|---|---|',
  ...changed.map(
    (r) =>
      `| ${r.name} | ${n(r.betterBy12)} | ${n(r.end.better)} | ${n(r.end.worse)} | ${n(r.end['leaning-better'] + r.end['leaning-worse'])} | ${r.holdsTruth === null ? '–' : n(r.holdsTruth)} |`,
  ),
  '',
  '## What came before easier days',
  '',
  `${CLIENTS / 2} made-up clients a row, who use three techniques at random; the true effects on the next rating are ${TRUTH.map((v) => String(v).replace('-', '−')).join(', ')} points, and the three figures of a cell stand for them in this order. In brackets the method’s own table.`,
  '',
  '| clients | 95 % interval holds the truth | shown, drawn towards nought | error of what is shown | half the interval |',
  '|---|---|---|---|---|',
  ...before.map((r) => {
    const w = cameBefore.find((row) => row.case === r.name)!;
    const cell = (ours: number[], theirs: number[], digits: number) =>
      `${ours.map((v) => v.toFixed(digits)).join(', ')} (${theirs.map((v) => v.toFixed(digits)).join(', ')})`;
    return `| ${r.name} | ${cell(r.coverage, w.coverage, 1)} | ${cell(r.meanDrawn, w.meanShrunk, 2)} | ${cell(r.errorDrawn, w.rmseShrunk, 2)} | ${cell(r.halfWidth, w.halfWidth, 2)} |`;
  }),
  '',
];
writeFileSync(join(ROOT, 'docs', 'relief-trials.md'), lines.join('\n'));

/** Bars of the first table. */
function picture(): string {
  const [width, row, left] = [760, 22, 300];
  const most = max(unchanged.flatMap((r) => [r.ever.better, r.ever.worse])) ?? 0;
  const x = scaleLinear([0, Math.max(15, most)], [left, width - 20]);
  const height = 44 + unchanged.length * row;
  const bar = (from: number, y: number, share: number, fill: string) =>
    `<rect x="${from}" y="${y}" width="${Math.max(0, x(share) - left).toFixed(1)}" height="7" fill="${fill}"/>`;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" width="${width}" height="${height}" font-family="sans-serif" font-size="12">`,
    `<rect width="${width}" height="${height}" fill="#fff"/>`,
    ...range(0, Math.max(15, most) + 0.1, 5).map(
      (v) =>
        `<line x1="${x(v)}" x2="${x(v)}" y1="24" y2="${height - 14}" stroke="${v === 5 ? '#5b2a5c' : '#d9d6de'}"/><text x="${x(v)}" y="${height - 2}" text-anchor="middle" fill="#5f5a66">${v} %</text>`,
    ),
    '<rect x="300" y="6" width="10" height="7" fill="#1f7a6c"/><text x="316" y="13" fill="#241b2a">ever better</text><rect x="400" y="6" width="10" height="7" fill="#a8461c"/><text x="416" y="13" fill="#241b2a">ever worse</text>',
    ...unchanged.flatMap((r, i) => [
      `<text x="${left - 10}" y="${40 + i * row}" text-anchor="end" fill="#241b2a">${r.name}</text>`,
      bar(left, 30 + i * row, r.ever.better, '#1f7a6c'),
      bar(left, 38 + i * row, r.ever.worse, '#a8461c'),
    ]),
    '</svg>',
    '',
  ].join('\n');
}
writeFileSync(join(ROOT, 'docs', 'relief-trials.svg'), picture());
console.log(
  `${unchanged.length + changed.length + before.length} rows of up to ${CLIENTS} clients written to docs/relief-trials.md.`,
);
