/** Writes docs/minutes.md: what the starting routines take, beside what practitioners state. */
import { writeFileSync } from 'node:fs';
import { pathToFileURL } from 'node:url';
import { mapSteps, routineSeconds, stepCount, stepsOf } from '../core/routine/index.ts';
import { GROUND_NAMES, GROUNDS } from '../core/words/index.ts';
import { CATALOGUE, TECHNIQUES } from '../reference/catalogue.ts';
import { ROWS } from '../reference/facts/techniques/index.ts';
import { STARTING_ROUTINES, type StartingRoutine } from '../reference/routines/index.ts';

/** Planned minutes of what is stated: of one side where one side is stated. */
export function minutesOf({ routine, statedFor }: StartingRoutine): number {
  const planned =
    statedFor === 'whole'
      ? routine
      : mapSteps(routine, (s) => (s.sides.mode === 'each' ? { ...s, sides: { ...s.sides, mode: 'left' } } : s));
  return routineSeconds(planned) / 60;
}

const groundsOf = (s: StartingRoutine): string =>
  GROUNDS.map(
    (g) => stepsOf(s.routine).filter((step) => CATALOGUE.techniques.get(step.technique)!.grounds === g).length,
  )
    .map((n, i) => (n ? `${n} ${GROUND_NAMES[GROUNDS[i]!]}` : ''))
    .filter(Boolean)
    .join(', ');

/** The page as it must stand in docs. */
export function minutesPage(): string {
  const rows = STARTING_ROUTINES.map((s) => {
    const planned = minutesOf(s);
    const off = Math.round((planned / s.statedMinutes - 1) * 100);
    return [
      s.routine.name,
      String(stepCount(s.routine)),
      `${s.statedMinutes}${s.statedFor === 'one side' ? ' (one side)' : ''}`,
      planned.toFixed(1),
      `${off > 0 ? '+' : off < 0 ? '−' : ''}${Math.abs(off)} %`,
      groundsOf(s),
      s.because,
    ];
  });
  const near = STARTING_ROUTINES.filter((s) => Math.abs(minutesOf(s) / s.statedMinutes - 1) <= 0.2).length;
  const timed = ROWS.filter((t) => t.observedSeconds !== null).length;
  const by = GROUNDS.map((g) => `${TECHNIQUES.filter((t) => t.grounds === g).length} ${GROUND_NAMES[g]}`).join(', ');
  return `# Minutes

Written by \`npm run minutes\`; not by hand. Planned with the doses that practitioners state in a routine and the library's
own elsewhere, with the pauses of a step (4 s to find the place, 2 s to the next, 1 s to turn, 2 s between rounds, 4 s to
the other side). Stated minutes are rough and count the work without the talk; common practice, no published source.

${near} of ${STARTING_ROUTINES.length} are within 20 % of what is stated.

| Routine | Steps | Stated min | Planned min | Off | Grounds of its doses | Why it differs |
|---|--:|--:|--:|--:|---|---|
${rows.map((r) => `| ${r.join(' | ')} |`).join('\n')}

Grounds of the library's doses: ${by}; ${timed} of ${ROWS.length} rows were timed at work.
`;
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href) writeFileSync('docs/minutes.md', minutesPage());
