import { day, moment, number, object, oneOf, orNull, text, whole, yesNo } from '../../documents/index.ts';
import { PAD_CONTACTS, PAD_KINDS } from '../../touch/index.ts';
import { PRESSURES } from '../../words/index.ts';
import { ID, BY, NOBODY, document, words } from './parts.ts';

/** What names people and clients that came before: closed records, what was learned, the trail. */
export const LATER_ROWS = {
  'closed-records': object({
    id: ID,
    name: words(200, 'Of the person.'),
    reason: words(2000, 'Why it is kept.'),
    keep_until: day('Last day.'),
    made_by: BY,
    made_at: moment('When.'),
    sha256: text(64, 'Of closed/ID.zip, hexadecimal.', 64),
  }),
  'find-it-cards': object({
    practitioner_id: BY,
    place: words(80, 'Which place.'),
    card: document('As the scheduler keeps it.'),
    due: moment('Asked again.'),
  }),
  'find-it-answers': object({
    id: ID,
    practitioner_id: BY,
    place: words(80, 'Which place.'),
    at: moment('When.'),
    error_mm: orNull(number([0, 10_000], 'mm', 'Off by.')),
    taken_for: orNull(words(80, 'Which place it was taken for.')),
    grade: words(20, 'How it was graded.'),
    took_ms: orNull(whole([0, 3_600_000], 'ms; null where it was not against the clock.')),
  }),
  'pad-tries': object({
    id: ID,
    practitioner_id: BY,
    at: moment('When.'),
    technique: words(80, 'What was rehearsed.'),
    kind: oneOf(PAD_KINDS, 'As what it is judged.'),
    contact: oneOf(PAD_CONTACTS, 'With what of the hand.'),
    pressure: oneOf(PRESSURES, 'The word that was asked for.'),
    per_minute: whole([1, 200], 'Presses a minute.'),
    sensor: words(60, 'Name of the pad.'),
    is_stand_in: yesNo('Whether its figures are made up.'),
    is_blind: yesNo('Whether the trace was hidden.'),
    score: document('How it went.'),
  }),
  'pad-words': object({
    id: ID,
    practitioner_id: BY,
    at: moment('When.'),
    word: oneOf(PRESSURES, 'The word that was asked for.'),
    contact: oneOf(PAD_CONTACTS, 'With what of the hand.'),
    kpa: number([0, 5000], 'kPa', 'What was pressed.'),
    sensor: words(60, 'Name of the pad.'),
    is_stand_in: yesNo('Whether its figures are made up.'),
  }),
  'pad-scale': object({
    is_stand_in: yesNo('Whether it comes of figures that are made up.'),
    word: oneOf(PRESSURES, 'The word.'),
    kpa: number([0.1, 5000], 'kPa', 'What the practice agreed on.'),
    agreed_by: BY,
    agreed_at: moment('When.'),
  }),
  'pad-checks': object({
    id: ID,
    practitioner_id: BY,
    at: moment('When.'),
    sensor: words(60, 'Name of the pad.'),
    is_stand_in: yesNo('Whether its figures are made up.'),
    weights: document('Grams of each weight, and N that were read.'),
  }),
  'tempo-tries': object({
    id: ID,
    practitioner_id: BY,
    at: moment('When.'),
    kind: oneOf(['taps', 'breath'] as const, 'What was practised.'),
    asked: words(80, 'Tempo or pattern that was asked for.'),
    score: document('How it went.'),
  }),
  trail: object({
    id: ID,
    practitioner_id: NOBODY,
    at: moment('When.'),
    what: words(64, 'Which act.'),
    about: document('Ids and keys.'),
    seq: orNull(whole([1, 1e12], 'Number in the chain that it came from.')),
  }),
} as const;
