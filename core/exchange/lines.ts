import isEqual from 'fast-deep-equal';
import {
  BOUNDS,
  emptyRoutine,
  LENGTHS,
  readTypedLine,
  type Routine,
  stepFromLine,
  stepsOf,
  type Technique,
  techniquesForLine,
  writeTypedLine,
} from '../routine/index.ts';
import { InputError } from '../words/index.ts';

/**
 * A routine as plain text, a typed line for each step. Its name stands in the first line after `#`; other lines after `#`
 * are remarks, and tell what a line cannot say.
 * @throws InputError on a technique that is not known, with the step.
 */
export function writeLines(routine: Routine, techniques: readonly Technique[]): string {
  const lines = [`# ${routine.name.replace(/\s+/g, ' ')}`];
  const bare = bareRoutine(routine.name);
  const left = (['budgetMinutes', 'school', 'order', 'notes'] as const).filter(
    (key) => !isEqual(routine[key], bare[key]),
  );
  if (left.length) lines.push(`# Not in these lines: ${left.join(', ')}`);
  if (routine.items.some((item) => item.kind === 'block')) lines.push('# Blocks are written as their steps.');
  for (const [i, step] of stepsOf(routine).entries()) {
    const { line, left } = at(`step ${i + 1}`, () => writeTypedLine(step, techniques));
    if (left.length) lines.push(`# Not in the next line: ${left.join(', ')}`);
    lines.push(line);
  }
  return `${lines.join('\n')}\n`;
}

/**
 * The routine of such a text; steps are named `step-1`, `step-2` …
 * @throws InputError with the number of the line, what stands there, and what is accepted.
 */
export function readLines(text: string, techniques: readonly Technique[]): Routine {
  const lines = text.replace(/^\uFEFF/, '').split(/\r\n?|\n/);
  const name = /^#\s*(.+)$/.exec(lines[0] ?? '')?.[1]?.trim();
  if (!name) throw new InputError('line 1', 'the name of the routine after # is accepted');
  if (name.length > LENGTHS.name)
    throw new InputError('line 1', `the name is too long; at most ${LENGTHS.name} characters are accepted`);
  const items: Routine['items'] = [];
  for (const [i, line] of lines.entries()) {
    if (!line.trim() || line.startsWith('#')) continue;
    if (items.length === BOUNDS.steps[1])
      throw new InputError(`line ${i + 1}`, `at most ${BOUNDS.steps[1]} steps are accepted`);
    items.push(
      at(`line ${i + 1}`, () => {
        const typed = readTypedLine(line);
        const [technique] = techniquesForLine(typed, techniques);
        if (!technique) throw new InputError('step', `nothing answers to “${typed.words.join(' ')}”`);
        if (typed.after !== null)
          throw new InputError('step', 'its place is where it stands; no “after”, “first” or “last” is accepted');
        const { step, ignored } = stepFromLine(typed, technique, `step-${items.length + 1}`);
        if (ignored.length) throw new InputError('step', `${technique.name} has no place for ${ignored.join(', ')}`);
        return step;
      }),
    );
  }
  return { ...bareRoutine(name), items };
}

/** What lines alone say of a routine. */
const bareRoutine = (name: string): Routine => ({ ...emptyRoutine(name), budgetMinutes: null });

/** What is said of a part is said with its place. */
function at<T>(place: string, make: () => T): T {
  try {
    return make();
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    throw new InputError(`${place}, ${error.field}`, error.message.replace(`${error.field}: `, ''));
  }
}
