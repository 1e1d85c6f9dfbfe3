import { useState } from 'react';
import { Form as BsForm } from 'react-bootstrap';
import { CSV_DATES, CSV_DECIMALS, CSV_DELIMITERS, type CsvWays } from '../../../core/exchange';
import { requireOwner } from '../../../server/access/session.server';
import type { Route } from './+types/out';

export async function loader({ request }: Route.LoaderArgs) {
  const { timeZone } = await requireOwner(request, 'A practice is taken out by its owner.');
  return { timeZone };
}

const TABLES = [
  ['clients', 'Clients', 'One row for each complaint.'],
  ['readings', 'Ratings and measures', 'Every one, with side, phase, source and time.'],
  ['run-steps', 'What was guided', 'Every step of every run: planned and done seconds, done, in part or skipped.'],
] as const;
const DELIMITER_WORDS = { ',': 'comma', ';': 'semicolon', '\t': 'tab' } as const;
const DECIMAL_WORDS = { '.': 'point: 4.5', ',': 'comma: 4,5' } as const;
const DATE_WORDS = {
  iso: '2026-11-26T14:30:00Z, the same everywhere',
  'day-first': '26.11.2026 14:30',
  'month-first': '11/26/2026 14:30',
} as const;

/** Tables of the practice for spreadsheets; how they are written is asked for, as no spreadsheet says what it takes. */
export default function Out({ loaderData: { timeZone } }: Route.ComponentProps) {
  const [ways, setWays] = useState<Omit<CsvWays, 'zone'>>({ delimiter: ',', decimal: '.', dates: 'iso' });
  const set = <K extends keyof typeof ways>(key: K, value: (typeof ways)[K]) => {
    const next = { ...ways, [key]: value };
    // A comma cannot stand between cells and in numbers at once.
    if (next.delimiter === ',' && next.decimal === ',') next.delimiter = ';';
    setWays(next);
  };
  return (
    <div className="page">
      <main>
        <div className="page-head">
          <h1>Take out</h1>
          <span className="soft">tables, or the whole practice; a single client’s record stands under Details</span>
        </div>
        <div className="form-grid narrow">
          <BsForm.Group controlId="out-delimiter">
            <BsForm.Label>Between cells</BsForm.Label>
            <BsForm.Select
              value={ways.delimiter}
              onChange={(e) => set('delimiter', e.target.value as (typeof CSV_DELIMITERS)[number])}
            >
              {CSV_DELIMITERS.map((d) => (
                <option key={d} value={d} disabled={d === ',' && ways.decimal === ','}>
                  {DELIMITER_WORDS[d]}
                </option>
              ))}
            </BsForm.Select>
          </BsForm.Group>
          <BsForm.Group controlId="out-decimal">
            <BsForm.Label>In numbers</BsForm.Label>
            <BsForm.Select
              value={ways.decimal}
              onChange={(e) => set('decimal', e.target.value as (typeof CSV_DECIMALS)[number])}
            >
              {CSV_DECIMALS.map((d) => (
                <option key={d} value={d}>
                  {DECIMAL_WORDS[d]}
                </option>
              ))}
            </BsForm.Select>
          </BsForm.Group>
          <BsForm.Group controlId="out-dates">
            <BsForm.Label>Days and times{ways.dates === 'iso' ? '' : `, of ${timeZone}`}</BsForm.Label>
            <BsForm.Select
              value={ways.dates}
              onChange={(e) => set('dates', e.target.value as (typeof CSV_DATES)[number])}
            >
              {CSV_DATES.map((d) => (
                <option key={d} value={d}>
                  {DATE_WORDS[d]}
                </option>
              ))}
            </BsForm.Select>
          </BsForm.Group>
        </div>
        <ul className="outbox mt-4">
          {TABLES.map(([what, name, words]) => (
            <li key={what}>
              <div className="head">
                <a href={`/practice/out/${what}?${new URLSearchParams(ways).toString()}`} download>
                  {name}
                </a>
                <span className="soft">{words}</span>
              </div>
            </li>
          ))}
        </ul>
        <h2 className="h5 mt-4">The whole practice</h2>
        <p className="narrow">
          <a href="/practice/archive" download>
            One file with everything
          </a>{' '}
          <span className="soft">
            clients, visits, runs, ratings, photos, routines, home plans and trail, to bring into another practice or
            back into this one. Passwords, private links and letters that did not go out stay here.
          </span>
        </p>
        <p className="narrow soft mt-3">
          These files hold health data: keep them where only you can read them. What a spreadsheet would run as a
          formula is shielded by one more sign before it. The columns are told in docs/formats.
        </p>
      </main>
    </div>
  );
}
