import {
  constant,
  type Json,
  list,
  moment,
  object,
  oneOf,
  readField,
  schemaOf,
  text,
  type Value,
  uuid,
  whole,
} from '../../documents/index.ts';
import { readGuideEvent, readStepRecords } from '../../guide/index.ts';
import { isLocalKey } from '../../limits/index.ts';
import { checkedFindings, withFindings } from '../../record/index.ts';
import { type KnownHere, readOwnTechnique, readRoutine } from '../../routine/index.ts';
import { readWeights, type WeightRead } from '../../touch/index.ts';
import { InputError } from '../../words/index.ts';
import { addedSince, ARCHIVE_KINDS, ARCHIVE_ROWS, KIND_SINCE, type ArchiveKind } from './kinds.ts';

/** The format of a practice's archive: docs/formats/practice-archive.md. */
export const ARCHIVE_FORMAT = 'velvet-compass-practice';
export const ARCHIVE_VERSION = 4;
/** Longest line of a file of rows; whatever is longer is refused before it is read. */
export const ARCHIVE_LINE_LETTERS = 1_500_000;

/** What an archive says of itself: the last of its files to be written. */
const ARCHIVE_MANIFEST = object({
  format: constant(ARCHIVE_FORMAT),
  version: constant(ARCHIVE_VERSION),
  made_at: moment('When.'),
  practice_id: uuid('Whose.'),
  kinds: list(
    object({
      kind: oneOf(ARCHIVE_KINDS, 'Of rows/KIND.jsonl.'),
      rows: whole([0, 1e9], 'Lines of it.'),
      bytes: whole([0, 1e12], 'Unpacked.'),
      sha256: text(64, 'Of the file, unpacked, hexadecimal.', 64),
    }),
    [1, ARCHIVE_KINDS.length],
    'Each kind once.',
  ),
});
/** All of it in the words of JSON Schema: the manifest, and a row of each kind. */
export const ARCHIVE_JSON_SCHEMA: Json = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: 'Archive of a practice',
  description: 'manifest.json; a line of rows/KIND.jsonl fits $defs/KIND.',
  ...schemaOf(ARCHIVE_MANIFEST),
  $defs: Object.fromEntries(ARCHIVE_KINDS.map((kind) => [kind, schemaOf(ARCHIVE_ROWS[kind])])),
};

export interface ArchiveManifest extends Value<typeof ARCHIVE_MANIFEST> {}

/**
 * Reads what an archive says of itself; an earlier version has fewer kinds, and `readArchiveLine` has to be told.
 * @throws InputError naming what is wrong, also where it was made by a newer version
 */
export function readArchiveManifest(value: unknown): ArchiveManifest {
  const of = value as { format?: unknown; version?: unknown } | null;
  if (of?.format !== ARCHIVE_FORMAT) throw new InputError('format', `must be ${ARCHIVE_FORMAT}`);
  if (typeof of.version === 'number' && of.version > ARCHIVE_VERSION)
    throw new InputError('version', `this file has version ${of.version}; up to ${ARCHIVE_VERSION} is accepted`);
  const version = Number.isInteger(of.version) && Number(of.version) >= 1 ? Number(of.version) : null;
  const manifest = readField(
    ARCHIVE_MANIFEST,
    version === null ? value : { ...of, version: ARCHIVE_VERSION },
    '',
  ) as ArchiveManifest;
  const due = ARCHIVE_KINDS.filter((kind) => (KIND_SINCE[kind] ?? 1) <= (version ?? ARCHIVE_VERSION));
  if (manifest.kinds.length !== due.length || !due.every((kind) => manifest.kinds.some((k) => k.kind === kind)))
    throw new InputError('kinds', 'names each kind once');
  return manifest;
}

/** One row as it stands in an archive. */
export type ArchiveRow = Record<string, unknown>;
/** What is known where an archive is read. */
export interface ArchiveKnown extends KnownHere {
  muscle: (id: string) => boolean;
}
type Check = (row: ArchiveRow, known: ArchiveKnown) => void;

const isObject = (value: unknown): value is ArchiveRow =>
  value !== null && typeof value === 'object' && !Array.isArray(value);
function must(holds: boolean, field: string, words: string): asserts holds {
  if (!holds) throw new InputError(field, words);
}
/** The error of a reader with the field before its path. */
function within(field: string, read: () => unknown): void {
  try {
    read();
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    throw new InputError(`${field}.${error.field}`, error.message.slice(error.field.length + 2));
  }
}
const routineIn = (field: string, value: unknown) => within(field, () => readRoutine(value));
const objectIn = (field: string, value: unknown) => must(isObject(value), field, 'must be an object');
const textsIn = (field: string, value: unknown) =>
  must(Array.isArray(value) && value.every((v) => typeof v === 'string'), field, 'must be a list of texts');
const stepsIn = (field: string, value: unknown) => {
  must(Array.isArray(value) && value.every(isObject), field, 'must be a list of objects');
  for (const [i, step] of value.entries()) {
    must(typeof step.stepId === 'string', `${field}[${i}].stepId`, 'must be text');
    for (const key of ['plannedSeconds', 'doneSeconds'])
      must(Number.isFinite(step[key]), `${field}[${i}].${key}`, 'must be a number');
  }
  within(field, () => readStepRecords(value as unknown as Parameters<typeof readStepRecords>[0]));
};

/** What the documents in a row hold, where pages lean on it. */
const CHECKS: Partial<Record<ArchiveKind, Check>> = {
  rules: ({ body }) => {
    objectIn('body', body);
    const rule = body as ArchiveRow;
    for (const key of ['title', 'question', 'advice', 'seeWho'])
      must(typeof rule[key] === 'string', `body.${key}`, 'must be text');
    for (const key of ['regions', 'pressures', 'works']) textsIn(`body.${key}`, rule[key]);
  },
  techniques: ({ body }, { catalogue, cautions }) => {
    objectIn('body', body);
    // Rules of the practice itself come in the same file.
    const heed = (body as { heed?: unknown }).heed;
    const local = Array.isArray(heed) ? heed.filter((k): k is string => typeof k === 'string' && isLocalKey(k)) : [];
    within('body', () => readOwnTechnique(body, { catalogue, cautions: new Set([...cautions, ...local]) }));
  },
  members: ({ hand_strength }) => {
    objectIn('hand_strength', hand_strength);
    must(Object.values(hand_strength as ArchiveRow).every(Number.isFinite), 'hand_strength', 'must hold numbers');
  },
  products: ({ body }) => {
    objectIn('body', body);
    must(typeof (body as ArchiveRow).name === 'string', 'body.name', 'must be text');
    textsIn('body.ingredients', (body as ArchiveRow).ingredients);
  },
  templates: ({ body }) => routineIn('body', body),
  'template-versions': ({ body }) => routineIn('body', body),
  clients: ({ habit_sides }) => objectIn('habit_sides', habit_sides),
  'body-measures': ({ values_mm }) => {
    objectIn('values_mm', values_mm);
    must(Object.values(values_mm as ArchiveRow).every(Number.isFinite), 'values_mm', 'must hold numbers');
  },
  visits: ({ screen, routine, record, referral, findings, routine_origin }, known) => {
    objectIn('screen', screen);
    objectIn('screen.answers', (screen as ArchiveRow).answers);
    must(
      Object.values((screen as { answers: ArchiveRow }).answers).every((a) => typeof a === 'string'),
      'screen.answers',
      'must hold answers',
    );
    textsIn('screen.preparation', (screen as ArchiveRow).preparation);
    if (routine !== null) routineIn('routine', routine);
    if (record !== null) {
      objectIn('record', record);
      textsIn('record.reactions', (record as ArchiveRow).reactions);
    }
    if (referral !== null) {
      objectIn('referral', referral);
      textsIn('referral.cautions', (referral as ArchiveRow).cautions);
    }
    objectIn('findings', findings);
    within('findings', () => checkedFindings(withFindings(findings as object), known));
    if (routine_origin !== null) objectIn('routine_origin', routine_origin);
  },
  amendments: ({ changes }) =>
    must(Array.isArray(changes) && changes.every(isObject), 'changes', 'must be a list of objects'),
  scores: ({ answers }) => objectIn('answers', answers),
  runs: ({ routine, steps, felt }) => {
    routineIn('routine', routine);
    if (steps !== null) stepsIn('steps', steps);
    if (felt !== null) objectIn('felt', felt);
  },
  'run-events': ({ id, kind, at_ms, payload, text }) => {
    must(payload === null || isObject(payload), 'payload', 'must be an object, or null');
    within('payload', () => readGuideEvent({ id, kind, atMs: at_ms, ...(text === null ? {} : { text }), ...payload }));
  },
  photos: ({ landmarks }) => objectIn('landmarks', landmarks),
  'home-plans': ({ plan }) => {
    objectIn('plan', plan);
    const { routine, words, weekdays, shown } = plan as ArchiveRow;
    routineIn('plan.routine', routine);
    objectIn('plan.words', words);
    textsIn('plan.words', Object.values(words as ArchiveRow));
    textsIn('plan.shown', shown);
    must(Array.isArray(weekdays) && weekdays.every(Number.isInteger), 'plan.weekdays', 'must be a list of numbers');
  },
  'find-it-cards': ({ card }) => objectIn('card', card),
  'pad-tries': ({ score }) => {
    objectIn('score', score);
    const { pressesKpa, inAimShare } = score as ArchiveRow;
    must(
      Array.isArray(pressesKpa) && pressesKpa.every(Number.isFinite),
      'score.pressesKpa',
      'must be a list of numbers',
    );
    must(
      inAimShare === null || (typeof inAimShare === 'number' && inAimShare >= 0 && inAimShare <= 1),
      'score.inAimShare',
      'must be 0 to 1, or null',
    );
  },
  'pad-checks': ({ weights }) => {
    must(Array.isArray(weights) && weights.every(isObject), 'weights', 'must be a list of objects');
    within('weights', () => readWeights(weights as unknown as WeightRead[]));
  },
  'tempo-tries': ({ kind, score }) => {
    objectIn('score', score);
    const figures = kind === 'breath' ? [score] : [(score as ArchiveRow).led, (score as ArchiveRow).alone];
    for (const of of figures) {
      objectIn('score', of);
      must(Number.isFinite((of as ArchiveRow).perMinute), 'score.perMinute', 'must be a number');
    }
  },
  trail: ({ about }) => objectIn('about', about),
};

/**
 * Reads one line of a kind.
 * @param version of the archive that it stands in
 * @throws InputError with the path of the first thing that is wrong and what is accepted there
 */
export function readArchiveLine(
  kind: ArchiveKind,
  line: string,
  known: ArchiveKnown,
  version: number = ARCHIVE_VERSION,
): ArchiveRow {
  if (line.length > ARCHIVE_LINE_LETTERS)
    throw new InputError('line', `is too long; at most ${ARCHIVE_LINE_LETTERS} characters are accepted`);
  let value: unknown;
  try {
    value = JSON.parse(line);
  } catch {
    throw new InputError('line', 'must be JSON');
  }
  if (isObject(value)) value = { ...addedSince(version, kind), ...value };
  const row = readField(ARCHIVE_ROWS[kind], value, '') as ArchiveRow;
  CHECKS[kind]?.(row, known);
  return row;
}
