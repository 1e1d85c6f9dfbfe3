import { type Answer, ANSWER_WORDS } from '../limits/index.ts';
import { measureOf, MEASURES, type Reading, scoreSoFar } from '../measures/index.ts';
import { InputError } from '../words/index.ts';
import { feltWords, type Findings, offsetWords } from './findings.ts';
import { type ReadingEntry, sameReading, type VisitPatch } from './patch.ts';
import type { TakenScore } from './score.ts';
import { EMPTY_RECORD, REACTION_NAMES, type Screen, type VisitRecord } from './visit.ts';

/** One value of an ended visit before and after it was corrected. */
export interface Correction {
  /** What it is of, in words. */
  what: string;
  /** Empty where there was nothing. */
  before: string;
  /** Empty where it was taken away. */
  after: string;
}

/** What was added to an ended visit, or corrected in it; the record itself shows the new value. */
export interface Amendment {
  /** ISO 8601. */
  at: string;
  /** Who wrote it. */
  by: string;
  /** What was added, or why it was corrected. */
  words: string;
  /** Empty for an addition. */
  changes: Correction[];
}

const MOST_WORDS = 2000;
/** @throws InputError */
export function checkedWords(words: string, field: string): string {
  const text = words.trim();
  if (!text) throw new InputError(field, 'a few words are needed');
  if (text.length > MOST_WORDS) throw new InputError(field, `at most ${MOST_WORDS} characters are accepted`);
  return text;
}

/** May be corrected once a visit has ended: what was asked, found, read and recorded. What was planned and run stays. */
export const isCorrectable = (patch: VisitPatch): patch is Extract<VisitPatch, { because?: string }> =>
  CORRECTABLE.has(patch.kind);
const CORRECTABLE: ReadonlySet<VisitPatch['kind']> = new Set(['screen', 'readings', 'record', 'findings', 'answers']);

/** How what is corrected is called. */
export interface CorrectionNames {
  /** A reading with its side and phase. */
  reading: (entry: ReadingEntry) => string;
  /** A muscle or region by its id. */
  place: (id: string) => string;
  /** A question by the key of its caution. */
  question: (key: string) => string;
  /** A row of the preparation list by its key. */
  preparation: (key: string) => string;
  /** A product of the practice by its id. */
  product: (id: string) => string;
  /** What a pin is measured from, by its key. */
  anchor: (key: string) => string;
}

/** What stands before a correction. */
export interface Corrected {
  screen: Screen;
  record: VisitRecord | null;
  findings: Findings;
  readings: readonly Pick<Reading, keyof ReadingEntry>[];
  scores: readonly Pick<TakenScore, 'measure' | 'words'>[];
}

const RECORD_NAMES: Record<keyof VisitRecord, string> = {
  reactions: 'Reactions',
  where: 'Where',
  note: 'Notes',
  product: 'Product used',
  tellNext: 'To tell next time',
  nextOn: 'Next visit',
  reviewOn: 'Review',
};
export const whereWords = (where: VisitRecord['where'], muscleName: (id: string) => string): string =>
  where.map((w) => `${REACTION_NAMES[w.reaction]}: ${muscleName(w.muscle)}, ${w.side}`).join('; ');
const fieldWords = (record: VisitRecord, key: keyof VisitRecord, { place }: CorrectionNames): string =>
  key === 'reactions'
    ? record.reactions.map((r) => REACTION_NAMES[r]).join(', ')
    : key === 'where'
      ? whereWords(record.where, place)
      : record[key];

const findingWords = (findings: Findings, { place, anchor }: CorrectionNames): Correction[] =>
  (
    [
      [
        'Felt elsewhere',
        findings.feltElsewhere.map((f) => `${place(f.muscle)}, ${f.side}, felt in ${feltWords(f)}`).join('; '),
      ],
      [
        'Tight spots',
        findings.spots
          .map((s) =>
            [`${offsetWords(s)} ${anchor(s.anchor)}`, s.tenderness === null ? '' : `${s.tenderness} of 3`, s.words]
              .filter(Boolean)
              .join(', '),
          )
          .join('; '),
      ],
      [
        'Presses of thresholds',
        findings.thresholds
          .map((t) => `${place(t.muscle)}, ${t.side}: ${t.trials.map((one) => one.kpa).join(', ')} kPa`)
          .join('; '),
      ],
    ] as const
  ).map(([what, words]) => ({ what, before: words, after: words }));

/** Two lists of the same rows in words, and what differs. */
const differing = (before: readonly Correction[], after: readonly Correction[]): Correction[] =>
  before.flatMap((was, i) => {
    const is = after[i]!;
    return was.before === is.after ? [] : [{ what: was.what, before: was.before, after: is.after }];
  });

function screenCorrections(before: Screen, after: Screen, names: CorrectionNames): Correction[] {
  const keys = [...new Set([...Object.keys(before.answers), ...Object.keys(after.answers)])];
  const said = (answer: Answer | undefined) => (answer === undefined ? '' : ANSWER_WORDS[answer]);
  const row = (what: string, was: string, is: string): Correction[] =>
    was === is ? [] : [{ what, before: was, after: is }];
  const listed = (screen: Screen) => screen.preparation.map(names.preparation).sort().join(', ');
  const product = (screen: Screen) => (screen.product ? names.product(screen.product) : '');
  return [
    ...keys.flatMap((key) => row(names.question(key), said(before.answers[key]), said(after.answers[key]))),
    ...row('Preparation', listed(before), listed(after)),
    ...row('Product today', product(before), product(after)),
  ];
}

/** What a change to an ended visit corrects, value by value; nothing where nothing differs. */
export function correctionsOf(patch: VisitPatch, before: Corrected, names: CorrectionNames): Correction[] {
  switch (patch.kind) {
    case 'screen':
      return screenCorrections(before.screen, patch.screen, names);
    case 'findings':
      return differing(findingWords(before.findings, names), findingWords(patch.findings, names));
    case 'record': {
      const rows = (record: VisitRecord): Correction[] =>
        (Object.keys(RECORD_NAMES) as (keyof VisitRecord)[]).map((key) => {
          const words = fieldWords(record, key, names);
          return { what: RECORD_NAMES[key], before: words, after: words };
        });
      return differing(rows(before.record ?? EMPTY_RECORD), rows(patch.record));
    }
    case 'answers': {
      const def = measureOf(patch.measure);
      const was = before.scores.find((s) => s.measure === patch.measure)?.words ?? '';
      const is = def && patch.answers ? scoreSoFar(def, patch.answers).words : '';
      return was === is ? [] : [{ what: def?.name ?? patch.measure, before: was, after: is }];
    }
    case 'readings': {
      const words = (entry: ReadingEntry, value: number | null | undefined): string =>
        value === null || value === undefined ? '' : `${value} ${MEASURES[entry.measure].unit}`;
      return patch.entries.flatMap((entry) => {
        const was = before.readings.find((r) => sameReading(r, entry))?.value;
        return (was ?? null) === entry.value
          ? []
          : [{ what: names.reading(entry), before: words(entry, was), after: words(entry, entry.value) }];
      });
    }
    case 'routine':
    case 'stage':
      return [];
  }
}
