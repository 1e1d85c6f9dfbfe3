/** Writes docs/proposals.md: what is proposed for the trade's typical cases, as it can be read and judged. */
import { writeFileSync } from 'node:fs';
import { pathToFileURL } from 'node:url';
import load from 'highs';
import { propose, solverOf, type Proposal, type ProposalAnswer } from '../core/proposal/index.ts';
import { checkRoutine } from '../core/rules/index.ts';
import { doseWords, expandRoutine, stepNames, stepsOf, totalsOf, type Step } from '../core/routine/index.ts';
import { clock } from '../core/words/index.ts';
import { LIBRARY, TRADE_CASES } from '../demo/proposal-cases.ts';

const { catalogue, muscles } = LIBRARY;
const sideWords = ({ sides: { mode, first, extra } }: Step): string => {
  if (mode === 'together') return 'both';
  if (mode !== 'each') return mode === 'midline' ? 'middle' : `${mode} only`;
  return `${first}, ${first === 'left' ? 'right' : 'left'}${extra ? `, ${extra.side} again` : ''}`;
};

function section(index: number, answer: ProposalAnswer): string[] {
  const c = TRADE_CASES[index]!;
  const school = catalogue.schools.get(c.ask.school)!.name.toLowerCase();
  const head = [`## ${c.name} · ${c.ask.minutes} min · ${school}`, ''];
  if (answer.status !== 'proposed')
    return [...head, answer.text, '', ...answer.relaxations.map((r) => `- ${r.text}`), ''];
  return [...head, ...table(answer), '', ...tail(answer, index), ''];
}

function table({ routine, reasons }: Proposal): string[] {
  const steps = stepsOf(routine);
  const names = stepNames(routine, catalogue);
  const { stepSeconds } = totalsOf(steps.length, expandRoutine(routine));
  let at = 0;
  return [
    '| from | step | side | pressure | dose | why |',
    '| ---: | --- | --- | --- | --- | --- |',
    ...steps.map((s, i) => {
      const from = clock(at);
      at += stepSeconds[i] ?? 0;
      return `| ${from} | ${names.get(s.id)} | ${sideWords(s)} | ${s.pressure?.there ?? '–'} | ${doseWords(s)} | ${reasons[i]?.text ?? ''} |`;
    }),
  ];
}

function tail(p: Proposal, index: number): string[] {
  const { left, right } = totalsOf(stepsOf(p.routine).length, expandRoutine(p.routine)).handSeconds;
  const said = checkRoutine(p.routine, catalogue, TRADE_CASES[index]!.screening).filter((f) => f.severity !== 'hint');
  const order = p.order.exact ? 'the fewest there are' : `at least ${Math.round(p.order.bound)} s`;
  return [
    `${clock(p.totalSeconds)} of ${clock(p.budgetSeconds)}. Worth ${p.value.toFixed(2)}, no other choice more than ${p.bound.toFixed(2)}. ` +
      `Changes ${Math.round(p.order.seconds)} s, ${order}. Left ${clock(left)} hands on, right ${clock(right)}. ` +
      `${p.leftOut.length} more that touch a sore muscle are left out, each with its reason. ` +
      (said.length
        ? `The rules say: ${said.map((f) => `${f.severity}, ${f.title}`).join('; ')}`
        : 'The rules say nothing against it.'),
    ...p.notReached.map((n) => {
      const name = muscles.find((m) => m.id === n.muscle)?.name ?? n.muscle;
      return `\nNot reached: ${name.toLowerCase()}, ${n.side}. ${n.text}`;
    }),
  ];
}

/** The page as it must stand in docs. */
export const proposalsPage = (answers: readonly ProposalAnswer[]): string =>
  [
    '# What is proposed',
    '',
    'Twelve typical cases of made-up people, proposed by `npm run proposals` and held by a test: what is here is what the program',
    'proposes now. How it is worked out stands in [proposal.md](proposal.md). Worth is ours; a practitioner judges.',
    '',
    ...answers.flatMap((a, i) => section(i, a)),
  ].join('\n');

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href) {
  const solve = solverOf(await load());
  writeFileSync('docs/proposals.md', proposalsPage(TRADE_CASES.map((c) => propose(c, LIBRARY, solve))));
}
