import { moment, object, oneOf, orNull, uuid, whole, yesNo } from '../../documents/index.ts';
import { DATE_FORMATS, TEXT_KINDS } from '../../record/index.ts';
import { ID, BY, NOBODY, document, version, words } from './parts.ts';

/** What a practice is and has made: people, texts, rules, techniques, products, routines. */
export const PRACTICE_ROWS = {
  practice: object({
    id: ID,
    name: words(200, 'As it calls itself.'),
    time_zone: words(80, 'IANA zone of its days.'),
    created_at: moment('Opened.'),
    school: words(64, 'School of order of a new routine.'),
    date_format: oneOf(DATE_FORMATS, 'How days are written.'),
    review_days: whole([7, 180], 'Days of work before a course is reviewed.'),
    contact: words(1000, 'How clients reach it.'),
    keep_visits_years: orNull(whole([1, 50], 'How long visits are kept.')),
    keep_photos_months: orNull(whole([1, 240], 'How long photos are kept.')),
  }),
  members: object({
    id: ID,
    name: words(200, 'Of the person.'),
    email: words(254, 'For signing in.'),
    role: oneOf(['owner', 'practitioner'], 'What the person may do.'),
    created_at: moment('Since when.'),
  }),
  texts: object({
    id: ID,
    kind: oneOf(TEXT_KINDS, 'Which text.'),
    version,
    body: words(20_000, 'The wording.'),
    created_by: NOBODY,
    created_at: moment('Since when.'),
  }),
  rules: object({
    id: ID,
    body: document('A caution of the practice.'),
    active: yesNo('In force.'),
    version,
    updated_at: moment('Last change.'),
  }),
  techniques: object({
    id: words(64, 'Own id.'),
    body: document('As in techniques.schema.json.'),
    retired: yesNo('No longer offered.'),
    version,
    created_by: BY,
    updated_at: moment('Last change.'),
  }),
  products: object({
    id: ID,
    body: document('Name, kind, ingredients, percent of essential oil.'),
    retired: yesNo('No longer used.'),
    version,
    updated_at: moment('Last change.'),
  }),
  templates: object({
    id: ID,
    name: words(200, 'Of the routine.'),
    body: document('As in routine.schema.json.'),
    created_by: BY,
    updated_at: moment('Last change.'),
    version,
    origin: orNull(words(80, 'Which starting routine it came as.')),
    hidden: yesNo('Out of the lists.'),
  }),
  'template-versions': object({
    template_id: uuid('Of which routine.'),
    version,
    name: words(200, 'As it was called.'),
    body: document('As it was.'),
    changed_by: BY,
    changed_at: moment('When.'),
  }),
} as const;
