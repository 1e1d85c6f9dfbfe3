import type { Reading } from '../../core/measures/index.ts';
import { EMPTY_FINDINGS, EMPTY_SCREEN, TEXT_KINDS } from '../../core/record/index.ts';
import { renderToStaticMarkup } from 'react-dom/server';
import { MemoryRouter } from 'react-router';
import { VisitProvider, type VisitData } from '../../app/rooms/visit/session/context.tsx';
import { readingOf } from './readings.ts';
import { FIRST_TEXTS } from '../../reference/facts/practice-texts.ts';

/** A visit of a made-up client of whom nothing is known yet. */
export const emptyVisit = (): VisitData => ({
  visit: {
    id: 'v1',
    clientId: 'c1',
    practitionerId: 'p1',
    startsAt: '2027-03-09T10:00:00.000Z',
    stage: 'assess',
    screen: EMPTY_SCREEN,
    bookedMinutes: null,
    routine: null,
    origin: null,
    record: null,
    findings: EMPTY_FINDINGS,
    referral: null,
    endedAt: null,
    version: 1,
  },
  number: 2,
  client: {
    id: 'c1',
    name: 'Jun Castellan',
    about: 'stage manager',
    email: '',
    note: '',
    pressureCap: null,
    fingerWidthsMm: null,
    habitSides: {},
    allergies: [],
    version: 1,
    complaints: [{ id: 'k1', kind: 'jaw', label: '', side: 'left', onset: '', triggers: '', goal: '', closed: false }],
  },
  said: {},
  readings: [],
  helped: [],
  earlier: [],
  lastScreen: null,
  lastFindings: null,
  scores: [],
  practiceSchool: 'neck-first',
  worse: [],
  practiceName: 'Harbour Row Face Studio',
  who: { practitionerId: 'p1', name: 'Imke Dahl' },
  timeZone: 'Europe/Lisbon',
  rules: [],
  texts: Object.fromEntries(
    TEXT_KINDS.map((kind) => [kind, { kind, version: 0, body: FIRST_TEXTS[kind] }]),
  ) as VisitData['texts'],
  products: [],
  hasGauge: false,
  alongside: { overrides: [], consents: [], patchTests: {}, photos: [] },
});

export const taken = (measure: Reading['measure'], value: number, over: Partial<Reading> = {}): Reading =>
  readingOf(measure, value, { takenAt: '2027-03-09T10:05:00.000Z', visitId: 'v1', ...over });

/** What a piece of a visit shows, as markup; nothing is fetched and nothing is written. */
export function shownIn(data: VisitData, element: React.ReactNode): string {
  return renderToStaticMarkup(
    <MemoryRouter>
      <VisitProvider data={data} reload={() => {}}>
        {element}
      </VisitProvider>
    </MemoryRouter>,
  );
}

/** The words of markup, without tags. */
export const wordsOf = (markup: string): string =>
  markup
    .replace(/<[^>]+>/g, ' ')
    .replace(/&#x27;/g, '’')
    .replace(/&amp;/g, '&')
    .replace(/\s+/g, ' ')
    .trim();
