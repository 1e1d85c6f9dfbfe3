import type { Library, Proposal, ProposalCase } from './case.ts';
import { DIFFER } from './constants.ts';
import { propose, type ProposeOptions } from './propose.ts';
import type { Solve } from './solver.ts';

export interface Alternative {
  /** What it asks for in place of what was asked. */
  title: string;
  /** The request it answers. */
  asks: ProposalCase['ask'];
  proposal: Proposal;
  /** Techniques of work of the first proposal that it does without. */
  differs: number;
}

/** From so many minutes on a shorter one is offered: this share of the time. (choice) */
const SHORTER = { fromMinutes: 15, share: 2 / 3 } as const;
const OTHER_SCHOOL = { usual: 'neck-first', beside: 'points-in-massage' } as const;
const MOST = 2;

/** Two that really differ: each asks for something else, does without a third of the work, and is proven under its own wish. */
export function alternativesTo(
  c: ProposalCase,
  first: Proposal,
  library: Library,
  solve: Solve,
  o: ProposeOptions = {},
): Alternative[] {
  const own = first.work.filter((id) => !c.ask.kept.some((k) => k.technique === id));
  const least = Math.min(own.length, Math.max(DIFFER.techniques, Math.ceil(DIFFER.share * own.length)));
  const school = c.ask.school === OTHER_SCHOOL.usual ? OTHER_SCHOOL.beside : OTHER_SCHOOL.usual;
  const { minutes } = c.ask;
  const shorter = minutes !== null && minutes >= SHORTER.fromMinutes ? Math.round(minutes * SHORTER.share) : null;
  const asked: { title: string; ask: ProposalCase['ask']; apart: boolean }[] = [
    ...(c.ask.gentler ? [] : [{ title: 'Gentler', ask: { ...c.ask, gentler: true }, apart: true }]),
    { title: library.catalogue.schools.get(school)?.name ?? school, ask: { ...c.ask, school }, apart: true },
    ...(shorter ? [{ title: `In ${shorter} minutes`, ask: { ...c.ask, minutes: shorter }, apart: false }] : []),
  ];
  const out: Alternative[] = [];
  for (const { title, ask, apart } of asked) {
    if (out.length === MOST) break;
    const answer = propose({ ...c, ask }, library, solve, {
      ...o,
      ...(apart && least ? { differFrom: { techniques: own, least } } : {}),
    });
    if (answer.status !== 'proposed') continue;
    const differs = own.filter((id) => !answer.work.includes(id)).length;
    out.push({ title, asks: ask, proposal: answer, differs });
  }
  return out;
}

/** What an hour could do for this client, as the worth that no hour passes; null where nothing is allowed. */
export function worthOfAnHour(c: ProposalCase, library: Library, solve: Solve): number | null {
  const answer = propose({ ...c, ask: { ...c.ask, minutes: 60 } }, library, solve, { gap: 0.01, reasons: false });
  return answer.status === 'proposed' ? answer.bound : null;
}
