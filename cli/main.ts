/**
 * The core from the command line: JSON in and out. `npm run -s core -- <verb> …`. Errors go to stderr as one line
 * with the field; exit code 1 for bad input, 2 for bad usage, 3 when a check found something that may not stay.
 */
import { locateOnClient, readLandmarksFile } from '../core/atlas/index.ts';
import { readLines, writeLines } from '../core/exchange/index.ts';
import { REGISTRY } from '../core/measures/index.ts';
import { alternativesTo, propose, readCase, solverOf, worthOfAnHour, type Solve } from '../core/proposal/index.ts';
import { checkRoutine, type RuleFinding } from '../core/rules/index.ts';
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
import { readAnswers, screenVisit } from '../core/limits/index.ts';
import { COMPLAINT_KINDS, InputError, type ComplaintKind } from '../core/words/index.ts';
import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { BODY_INCHES } from '../reference/facts/body-inches.ts';
import { CATALOGUE } from '../reference/catalogue.ts';
import { CAUTIONS } from '../reference/facts/cautions/index.ts';
import { LANDMARKS } from '../reference/facts/landmarks.ts';
import { MUSCLES } from '../reference/facts/muscles/index.ts';
import { POINTS } from '../reference/facts/points/index.ts';
import { convertRoutine, exportTable, importTable, TABLE_NAMES, type WaysAsked } from './files.ts';
import { relief, type ReliefOptions } from './relief.ts';
import { SCORES } from './score.ts';

const USAGE = `usage: core plan <routine.json>
       core check <routine.json> [--screening answers.json] [--techniques techniques.json] [--worse kind,kind]
       core relief <readings.csv> [--work-began ISO-date] [--review-days 21] [--red-flag]
       core measures
       core locate <landmarks.json>
       core propose <case.json>
       core score <measure> <answers.json>
       core convert <routine.json>
       core lines <routine.json>
       core routine <lines.txt>
       core import <table> <table.csv> --between comma|semicolon|tab --decimal point|comma --dates iso|day-first|month-first --zone Europe/Lisbon
       core export <table> <rows.json> --between … --decimal … --dates … --zone …
A file may be - for the standard input. Answers are yes, no or unsure; unsure counts as yes. What may concern one side alone is also answered left or right.
Worse are the kinds of complaint that have become worse over the visits: ${COMPLAINT_KINDS.join(', ')}.
Tables are ${TABLE_NAMES.join(', ')}; import gives { rows, refused } as JSON, export takes them; convert brings a routine up to the present version.
A routine is written as text with lines, a typed line for each step, and made of such a text with routine.
Readings for relief: complaint, at, value, source; if wanted window and work_began. Where nobody says when the work began, it began with the first reading.
Exit code 0: good; 1: bad input; 2: bad usage; 3: a check found a stop, or rows of a table were refused.`;

class UsageError extends Error {}

function readText(path: string | undefined): string {
  if (!path) throw new UsageError('a file is missing');
  try {
    return readFileSync(path === '-' ? 0 : path, 'utf8');
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

function score(measure: string | undefined, path: string | undefined): unknown {
  const rule = SCORES[measure ?? ''];
  if (!rule) throw new UsageError(`unknown measure "${measure ?? ''}"; known: ${Object.keys(SCORES).join(', ')}`);
  return rule(readJson(path));
}

/** The library, with the techniques of a file where one is named. */
function catalogueFrom(file: string | undefined): Catalogue {
  if (file === undefined) return CATALOGUE;
  const known = { catalogue: CATALOGUE, cautions: new Set(CAUTIONS.map((c) => c.key)) };
  return catalogueWith(
    CATALOGUE,
    readOwnFile(readJson(file), known).map((own) => fromOwn(own, CATALOGUE)),
  );
}

interface Options extends WaysAsked {
  screening?: string;
  techniques?: string;
  worse?: string;
  'work-began'?: string;
  'review-days'?: string;
  'red-flag'?: boolean;
}
const WAYS = ['between', 'decimal', 'dates', 'zone'] as const;
const OPTIONS: Readonly<Record<string, readonly string[]>> = {
  check: ['screening', 'techniques', 'worse'],
  relief: ['work-began', 'review-days', 'red-flag'],
  import: WAYS,
  export: WAYS,
};
const reliefOptions = (o: Options): ReliefOptions => ({
  ...(o['work-began'] === undefined ? {} : { workBegan: o['work-began'] }),
  ...(o['review-days'] === undefined ? {} : { reviewDays: o['review-days'] }),
  ...(o['red-flag'] === undefined ? {} : { redFlag: o['red-flag'] }),
});

/** Kinds of complaint, as a list with commas. */
function kindsFrom(text: string): ComplaintKind[] {
  return text.split(',').map((word) => {
    const kind = COMPLAINT_KINDS.find((k) => k === word.trim());
    if (!kind) throw new InputError('worse', `"${word}" is no kind of complaint; known: ${COMPLAINT_KINDS.join(', ')}`);
    return kind;
  });
}

/** What the rules and the screening say to a routine; questions that nobody answered are told beside it. */
function check(
  path: string | undefined,
  { screening: sheet, techniques, worse }: Options,
  note: (text: string) => void,
): RuleFinding[] {
  const routine = readRoutine(readJson(path));
  if (sheet === undefined && worse === undefined) return checkRoutine(routine, catalogueFrom(techniques), null);
  const answers = sheet === undefined ? {} : readAnswers(readJson(sheet), CAUTIONS);
  const kinds = worse === undefined ? [] : kindsFrom(worse);
  const screening = screenVisit(CAUTIONS, answers, null, null, undefined, kinds);
  if (screening.unanswered.length) note(`not answered, and not taken for a no: ${screening.unanswered.join(', ')}`);
  return checkRoutine(routine, catalogueFrom(techniques), screening);
}

/** The best routine for a case, two others that differ, and the worth that no hour passes. */
function proposal(path: string | undefined, note: (text: string) => void, solve: Solve | undefined): unknown {
  if (!solve) throw new UsageError('propose needs the solver');
  const library = { catalogue: CATALOGUE, muscles: MUSCLES };
  const asked = readCase(readJson(path), library, CAUTIONS);
  if (asked.screening.unanswered.length)
    note(`not answered, and not taken for a no: ${asked.screening.unanswered.join(', ')}`);
  const answer = propose(asked, library, solve);
  if (answer.status !== 'proposed') return { answer, alternatives: [], worthOfAnHour: null };
  const alternatives = alternativesTo(asked, answer, library, solve);
  return { answer, alternatives, worthOfAnHour: worthOfAnHour(asked, library, solve) };
}

/** Verb, its files, and the options it takes; anything else is refused. */
function readArgs(args: readonly string[]): { verb: string | undefined; files: string[]; options: Options } {
  let parsed;
  try {
    parsed = parseArgs({
      args: [...args],
      allowPositionals: true,
      options: {
        screening: { type: 'string' },
        techniques: { type: 'string' },
        worse: { type: 'string' },
        'work-began': { type: 'string' },
        'review-days': { type: 'string' },
        'red-flag': { type: 'boolean' },
        between: { type: 'string' },
        decimal: { type: 'string' },
        dates: { type: 'string' },
        zone: { type: 'string' },
      },
    });
  } catch (error) {
    throw new UsageError((error as Error).message);
  }
  const [verb, ...files] = parsed.positionals;
  const options = { ...parsed.values };
  const stray = Object.keys(options).find((o) => !OPTIONS[verb ?? '']?.includes(o));
  if (stray) throw new UsageError(`${verb ?? 'no verb'} takes no option --${stray}`);
  const most = FILES[verb ?? ''];
  if (most !== undefined && files.length > most)
    throw new UsageError(`${verb} takes ${most} file${most === 1 ? '' : 's'}`);
  return { verb, files, options };
}
const FILES: Readonly<Record<string, number>> = {
  plan: 1,
  check: 1,
  relief: 1,
  measures: 0,
  locate: 1,
  propose: 1,
  score: 2,
  convert: 1,
  lines: 1,
  routine: 1,
  import: 2,
  export: 2,
};

/** The result of one verb; `note` hears what is worth saying beside it. */
export function run(given: readonly string[], note: (text: string) => void = () => {}, solve?: Solve): unknown {
  const { verb, files: args, options } = readArgs(given);
  switch (verb) {
    case 'plan': {
      const routine = readRoutine(readJson(args[0]));
      const cues = expandRoutine(routine);
      return { totals: totalsOf(stepCount(routine), cues), cues };
    }
    case 'check':
      return check(args[0], options, note);
    case 'relief':
      return relief(readText(args[0]), reliefOptions(options), Date.now());
    case 'locate':
      return locateOnClient(readLandmarksFile(readJson(args[0]), LANDMARKS, POINTS), POINTS, BODY_INCHES, LANDMARKS);
    case 'propose':
      return proposal(args[0], note, solve);
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
    case 'convert':
      return convertRoutine(readJson(args[0]));
    case 'lines':
      return writeLines(readRoutine(readJson(args[0])), [...CATALOGUE.techniques.values()]);
    case 'routine':
      return readLines(readText(args[0]), [...CATALOGUE.techniques.values()]);
    case 'import':
      return importTable(args[0], readText(args[1]), options);
    case 'export':
      return exportTable(args[0], readJson(args[1]), options);
    case 'score':
      return score(args[0], args[1]);
    default:
      throw new UsageError(verb ? `unknown verb "${verb}"` : 'a verb is missing');
  }
}

/** What a command line says and answers with: JSON on stdout and 0, or 3 on a stop; one line and 1 for bad input, the usage and 2 for a bad call. */
export function answerOf(args: readonly string[], solve?: Solve): { status: number; stdout: string; stderr: string } {
  const notes: string[] = [];
  try {
    if (args.includes('--help')) return { status: 0, stdout: `${USAGE}\n`, stderr: '' };
    const out = run(args, (note) => notes.push(note), solve);
    const stops =
      (args[0] === 'check' && (out as RuleFinding[]).some((f) => f.severity === 'stop')) ||
      (args[0] === 'import' && (out as { refused: unknown[] }).refused.length > 0);
    const text = typeof out === 'string' ? out : `${JSON.stringify(out, null, 2)}\n`;
    const stderr = notes.map((n) => `${n}\n`).join('');
    return { status: stops ? 3 : 0, stdout: text, stderr };
  } catch (error) {
    if (error instanceof UsageError) return { status: 2, stdout: '', stderr: `${error.message}\n${USAGE}\n` };
    if (error instanceof InputError) return { status: 1, stdout: '', stderr: `${error.message}\n` };
    throw error;
  }
}

if (process.argv[1]?.endsWith('main.ts')) {
  const args = process.argv.slice(2);
  // Several megabytes, for the one verb that wants them.
  const solve = args[0] === 'propose' ? solverOf(await (await import('highs')).default()) : undefined;
  const { status, stdout, stderr } = answerOf(args, solve);
  process.stderr.write(stderr);
  process.stdout.write(stdout);
  process.exitCode = status;
}
