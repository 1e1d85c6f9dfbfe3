import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { readGaugeSession } from '../../core/devices/index.ts';
import {
  ARCHIVE_KINDS,
  ARCHIVE_VERSION,
  INCOMING_CLIENTS,
  INCOMING_READINGS,
  readArchiveLine,
  readArchiveManifest,
  readCsv,
  readLines,
  writeLines,
} from '../../core/exchange/index.ts';
import { readCase } from '../../core/proposal/index.ts';
import { readOwnFile, readRoutine } from '../../core/routine/index.ts';
import { InputError } from '../../core/words/index.ts';
import { seeded } from '../../demo/random.ts';
import { CATALOGUE, TECHNIQUES } from '../../reference/catalogue.ts';
import { CAUTIONS } from '../../reference/facts/cautions/index.ts';
import { MUSCLES } from '../../reference/facts/muscles/index.ts';

/**
 * Files with something wrong in them, the same ones every time, over every reader: what is wrong is refused with its
 * place; nothing else is thrown, and what is taken is what the reader says it is.
 */
const SEED = 20_261_129;
const FILES = 10_000;

const text = (name: string) => readFileSync(`docs/formats/${name}`, 'utf8');
const ID = '11111111-1111-4111-8111-111111111111';
const ROW = {
  id: ID,
  client_id: ID,
  visit_id: null,
  complaint_id: ID,
  measure: 'nrs-now',
  place: '',
  side: 'left',
  phase: 'between',
  value: 4,
  source: 'home',
  taken_by: null,
  taken_at: '2026-11-26T09:00:00+00:00',
};
const VISIT = {
  id: ID,
  client_id: ID,
  practitioner_id: ID,
  starts_at: ROW.taken_at,
  stage: 'done',
  screen: { answers: { pregnancy: 'no' }, preparation: [] },
  routine: JSON.parse(text('routine.example.json')) as object,
  record: { reactions: [] },
  referral: null,
  ended_at: null,
  version: 2,
  findings: { feltElsewhere: [], spots: [], thresholds: [] },
  routine_origin: null,
  booked_minutes: 60,
  room_id: null,
};
const MANIFEST = {
  format: 'velvet-compass-practice',
  version: ARCHIVE_VERSION,
  made_at: '2026-11-26T09:00:00Z',
  practice_id: ID,
  kinds: ARCHIVE_KINDS.map((kind) => ({ kind, rows: 0, bytes: 0, sha256: 'a'.repeat(64) })),
};
const WAYS = { delimiter: ',', decimal: '.', dates: 'iso', zone: 'Europe/Lisbon' } as const;
const own = { catalogue: CATALOGUE, cautions: new Set(CAUTIONS.map((c) => c.key)) };
const known = { ...own, muscle: (id: string) => MUSCLES.some((m) => m.id === id) };
const json = (read: (value: unknown) => unknown) => (of: string) => {
  let value: unknown;
  try {
    value = JSON.parse(of);
  } catch {
    // What is no JSON is refused before a reader sees it.
    throw new InputError('file', 'must be JSON');
  }
  return read(value);
};
/** A table tells what it does not take beside what it takes. */
const table = (of: (text_: string) => { refused: { line: number; accepted: string }[] }) => (given: string) => {
  const { refused } = of(given);
  for (const r of refused) if (!(r.line >= 1) || !r.accepted) throw new Error('a refusal without its place');
};

const READERS: [name: string, good: string, read: (text_: string) => unknown][] = [
  ['routine', text('routine.example.json'), json(readRoutine)],
  [
    'routine as lines',
    writeLines(readRoutine(JSON.parse(text('routine.example.json'))), TECHNIQUES),
    (t) => readLines(t, TECHNIQUES),
  ],
  ['routine, version 1', text('routine-1.example.json'), json(readRoutine)],
  ['techniques', text('techniques.example.json'), json((v) => readOwnFile(v, own))],
  [
    'case',
    text('proposal-case.example.json'),
    json((v) => readCase(v as Record<string, unknown>, { catalogue: CATALOGUE, muscles: MUSCLES }, CAUTIONS)),
  ],
  ['session of a gauge', text('algometer.session.txt').split('\n').slice(0, 150).join('\n'), readGaugeSession],
  ['manifest of an archive', JSON.stringify(MANIFEST), json(readArchiveManifest)],
  ['reading of an archive', JSON.stringify(ROW), (t) => readArchiveLine('readings', t, known)],
  ['visit of an archive', JSON.stringify(VISIT), (t) => readArchiveLine('visits', t, known)],
  [
    'table of ratings',
    `client,taken_at,value,measure,phase,source\r\nNoor,2026-11-26 09:00,4,nrs-now,between,home\r\n"Jun, ""Cas""",2026-11-26 10:00,3,nrs-now,between,home\r\n`,
    table((t) => readCsv(INCOMING_READINGS, t, WAYS)),
  ],
  [
    'table of clients',
    `name,email,complaint,side\r\nNoor,noor@post.example,jaw,left\r\n`,
    table((t) => readCsv(INCOMING_CLIENTS, t, WAYS)),
  ],
];
const ODD = [
  '',
  '\0',
  '"',
  ',',
  '{',
  '[]',
  'null',
  '1e999',
  '-0',
  '\ud800',
  '__proto__',
  '\r\n',
  '9'.repeat(400),
  '"\\u0000"',
  '😀',
  '\u202e',
];

/** A good file with a few things done to it. */
function odd(good: string, random: () => number): string {
  let out = good;
  for (let n = 1 + Math.floor(random() * 3); n > 0; n--) {
    const at = Math.floor(random() * out.length);
    const upTo = Math.min(out.length, at + Math.floor(random() * 12));
    const slip = random();
    if (slip < 0.3) out = out.slice(0, at) + out.slice(upTo);
    else if (slip < 0.55) out = out.slice(0, at) + ODD[Math.floor(random() * ODD.length)]! + out.slice(upTo);
    else if (slip < 0.7) out = out.slice(0, at) + out.slice(at, upTo).repeat(2) + out.slice(upTo);
    else if (slip < 0.85)
      out = out.slice(0, at) + String.fromCharCode(32 + Math.floor(random() * 94)) + out.slice(at + 1);
    else if (slip < 0.95) out = out.replace(/\d+/, () => ODD[Math.floor(random() * ODD.length)]!);
    else out = out.slice(0, at);
  }
  return out;
}

describe(`${FILES} files with something wrong in them`, () => {
  test.each(READERS)('%s', (_, good, read) => {
    // As it is, each is taken.
    read(good);
    const random = seeded(SEED);
    let refused = 0;
    for (let i = 0; i < FILES / READERS.length; i++) {
      const file = odd(good, random);
      try {
        read(file);
      } catch (error) {
        if (!(error instanceof InputError) || !error.field)
          throw new Error(`${String(error)} for ${JSON.stringify(file).slice(0, 600)}`, { cause: error });
        refused++;
      }
    }
    if (!_.startsWith('table')) expect(refused).toBeGreaterThan(FILES / READERS.length / 4);
  });
});
