/**
 * The core from the command line: JSON in and out. `npm run -s core -- <verb> …`. Errors go to stderr as one line
 * with the field; exit code 1 for bad input, 2 for bad usage.
 */
import { locateOnClient, readLandmarksFile } from '../core/atlas/index.ts';
import { nrsScore, REGISTRY } from '../core/measures/index.ts';
import { courseReason, coursesOf, courseTitle, type RatedAt } from '../core/relief/index.ts';
import { checkRoutine } from '../core/rules/index.ts';
import {
  catalogueWith,
  expandRoutine,
  fromOwn,
  readOwnFile,
  readRoutine,
  stepCount,
  totalsOf,
  type Catalogue,
} from '../core/routine/index.ts';
import { type Answers, screen } from '../core/limits/index.ts';
import { InputError } from '../core/words/index.ts';
import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import { BODY_INCHES } from '../reference/facts/body-inches.ts';
import { CATALOGUE } from '../reference/catalogue.ts';
import { CAUTIONS } from '../reference/facts/cautions/index.ts';
import { LANDMARKS } from '../reference/facts/landmarks.ts';
import { POINTS } from '../reference/facts/points/index.ts';
import { SCORES } from './score.ts';

const USAGE = `usage: core plan <routine.json>
       core check <routine.json> [--screening answers.json] [--techniques techniques.json]
       core relief <readings.csv>
       core measures
       core locate <landmarks.json>
       core score <measure> <answers.json>`;

class UsageError extends Error {}

function readText(path: string | undefined): string {
  if (!path) throw new UsageError('a file is missing');
  try {
    return readFileSync(path, 'utf8');
  } catch {
    throw new InputError('file', `cannot read ${path}`);
  }
}

function readJson(path: string | undefined): Record<string, unknown> {
  const text = readText(path);
  try {
    const value: unknown = JSON.parse(text);
    if (value && typeof value === 'object' && !Array.isArray(value)) return value as Record<string, unknown>;
  } catch (error) {
    throw new InputError('file', `${path} is not JSON: ${(error as Error).message}`);
  }
  throw new InputError('file', `${path} must hold one object`);
}

/** Columns: complaint, at (ISO 8601), value (0–10), source (studio or home). */
function relief(path: string | undefined): unknown {
  const { data, errors } = Papa.parse<Record<string, string>>(readText(path).trim(), { header: true });
  if (errors[0]) throw new InputError(`line ${(errors[0].row ?? 0) + 2}`, errors[0].message);
  const ratings = data.map((row, i): RatedAt & { complaint: string } => {
    const line = `line ${i + 2}`;
    const atMs = Date.parse(row.at ?? '');
    if (Number.isNaN(atMs)) throw new InputError(`${line}.at`, 'an ISO 8601 date is accepted');
    if (!row.complaint) throw new InputError(`${line}.complaint`, 'is missing');
    if (row.source !== 'studio' && row.source !== 'home')
      throw new InputError(`${line}.source`, 'studio or home is accepted');
    const value = nrsScore(row.value === '' ? undefined : Number(row.value), `${line}.value`);
    return { complaint: row.complaint, atMs, value, source: row.source };
  });
  return [...coursesOf(ratings)].map(([complaint, { judgement }]) => ({
    complaint,
    title: courseTitle(complaint, judgement),
    reason: courseReason(judgement),
    ...judgement,
  }));
}

function score(measure: string | undefined, path: string | undefined): unknown {
  const rule = SCORES[measure ?? ''];
  if (!rule) throw new UsageError(`unknown measure "${measure ?? ''}"; known: ${Object.keys(SCORES).join(', ')}`);
  return rule(readJson(path));
}

/** The library, with the techniques of a file where one is named. */
function catalogueFrom(args: readonly string[]): Catalogue {
  const at = args.indexOf('--techniques');
  if (at < 0) return CATALOGUE;
  const known = { catalogue: CATALOGUE, cautions: new Set(CAUTIONS.map((c) => c.key)) };
  return catalogueWith(
    CATALOGUE,
    readOwnFile(readJson(args[at + 1]), known).map((own) => fromOwn(own, CATALOGUE)),
  );
}

export function run([verb, ...args]: readonly string[]): unknown {
  switch (verb) {
    case 'plan': {
      const routine = readRoutine(readJson(args[0]));
      const cues = expandRoutine(routine);
      return { totals: totalsOf(stepCount(routine), cues), cues };
    }
    case 'check': {
      const routine = readRoutine(readJson(args[0]));
      const at = args.indexOf('--screening');
      const screening = at < 0 ? null : screen(CAUTIONS, readJson(args[at + 1]) as Answers);
      return checkRoutine(routine, catalogueFrom(args), screening);
    }
    case 'relief':
      return relief(args[0]);
    case 'locate':
      return locateOnClient(readLandmarksFile(readJson(args[0]), LANDMARKS, POINTS), POINTS, BODY_INCHES, LANDMARKS);
    case 'measures':
      return REGISTRY.map(({ id, code, name, unit, least, most, better, error, matters, licence, minutes }) => ({
        id,
        code,
        name,
        unit,
        least,
        most,
        better,
        error,
        matters,
        licence,
        minutes,
      }));
    case 'score':
      return score(args[0], args[1]);
    default:
      throw new UsageError(verb ? `unknown verb "${verb}"` : 'a verb is missing');
  }
}

if (process.argv[1]?.endsWith('main.ts'))
  try {
    console.log(JSON.stringify(run(process.argv.slice(2)), null, 2));
  } catch (error) {
    if (error instanceof UsageError) {
      console.error(`${error.message}\n${USAGE}`);
      process.exitCode = 2;
    } else if (error instanceof InputError) {
      console.error(error.message);
      process.exitCode = 1;
    } else throw error;
  }
