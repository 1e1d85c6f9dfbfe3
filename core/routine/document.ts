import { InputError } from '../words/index.ts';
import {
  BOUNDS,
  ROUTINE,
  ROUTINE_FORMAT,
  ROUTINE_VERSION,
  stepsOf,
  USUAL_SCHOOL,
  type DosePart,
  type Routine,
  type Step,
} from './model.ts';
import { readField } from '../documents/index.ts';
import { RENAMED_TECHNIQUES } from './renamed.ts';
import { fromVersion1 } from './upgrade.ts';

/** One step from version N to N + 1. A new field of the document is one more of these. */
const UPGRADES: Readonly<Record<number, (value: Record<string, unknown>) => unknown>> = { 1: fromVersion1 };

/**
 * Read an unknown value as a routine: brought up to the present version, then read field by field. Every stored,
 * imported or received routine goes through here, so that the rest of the core sees the present version only.
 * @throws InputError naming the first field that is wrong and what is accepted there; a version that is newer than this
 * reader is named.
 * @example readRoutine(JSON.parse(file)).items.length
 */
export function readRoutine(value: unknown): Routine {
  let document = value;
  if (document === null || typeof document !== 'object' || Array.isArray(document))
    throw new InputError('routine', 'must be an object');
  for (;;) {
    const version: unknown = (document as { schemaVersion?: unknown }).schemaVersion;
    if (version === ROUTINE_VERSION) break;
    if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
      throw new InputError('schemaVersion', `must be a whole number; up to ${ROUTINE_VERSION} is accepted`);
    const upgrade = UPGRADES[version];
    if (!upgrade)
      throw new InputError(
        'schemaVersion',
        `this file has version ${version}; up to version ${ROUTINE_VERSION} is accepted`,
      );
    document = upgrade(document as Record<string, unknown>);
  }
  countFirst(document as Record<string, unknown>);
  const routine = readField(ROUTINE, document, '') as Routine;
  for (const step of stepsOf(routine))
    if (Object.hasOwn(RENAMED_TECHNIQUES, step.technique)) step.technique = RENAMED_TECHNIQUES[step.technique]!;
  checkTogether(routine);
  return routine;
}

/** Steps are counted before any of them is read: each costs, and there may be very many. */
function countFirst(document: Record<string, unknown>): void {
  if (!Array.isArray(document.items)) return;
  let count = 0;
  for (const item of document.items as ({ steps?: unknown } | null)[])
    count += item && Array.isArray(item.steps) ? item.steps.length : 1;
  if (count > BOUNDS.steps[1])
    throw new InputError('items', `holds too many steps; at most ${BOUNDS.steps[1]} are accepted`);
}

/** What two fields say together. */
function checkTogether(routine: Routine): void {
  const used = new Set<string>();
  const take = (id: string, path: string): void => {
    if (used.has(id)) throw new InputError(`${path}.id`, `"${id}" is used twice`);
    used.add(id);
  };
  routine.items.forEach((item, i) => {
    take(item.id, `items[${i}]`);
    const steps = item.kind === 'block' ? item.steps : [item];
    steps.forEach((step, j) => {
      const path = item.kind === 'block' ? `items[${i}].steps[${j}]` : `items[${i}]`;
      if (item.kind === 'block') take(step.id, path);
      checkParts(step, path);
    });
  });
}

/** What the fields of a dose and a breath say together. @throws InputError */
export function checkParts({ dose, breath }: Pick<Step, 'dose' | 'breath'>, path: string): void {
  dose.parts.forEach((part, i) => checkPart(part, `${path}.dose.parts[${i}]`));
  if (breath?.phases) checkBreath(breath.phases, `${path}.breath.phases`);
}

function checkPart(part: DosePart, path: string): void {
  if (part.kind === 'beats' && part.most !== null && part.most < part.count)
    throw new InputError(`${path}.most`, 'must not be less than count');
  if (part.kind === 'open' && !(part.leastSeconds <= part.usualSeconds && part.usualSeconds <= part.mostSeconds))
    throw new InputError(`${path}.usualSeconds`, 'must lie between leastSeconds and mostSeconds');
  if (part.kind === 'breath') checkBreath(part.phases, `${path}.phases`);
}

function checkBreath(phases: readonly { what: string }[], path: string): void {
  if (phases[0]?.what !== 'in' || !phases.some((p) => p.what === 'out'))
    throw new InputError(path, 'a breath begins with "in" and has an "out"');
  phases.forEach((phase, i) => {
    if (phase.what === 'in-again' && !['in', 'hold', 'in-again'].includes(phases[i - 1]!.what))
      throw new InputError(`${path}[${i}].what`, '"in-again" comes on top of "in"');
  });
}

/** A routine with nothing in it yet. */
export const emptyRoutine = (name: string, school: string = USUAL_SCHOOL): Routine => ({
  format: ROUTINE_FORMAT,
  schemaVersion: ROUTINE_VERSION,
  name,
  budgetMinutes: 20,
  school,
  order: null,
  items: [],
  notes: '',
});

/** How many steps a routine has. */
export const stepCount = (routine: Pick<Routine, 'items'>): number => stepsOf(routine).length;
