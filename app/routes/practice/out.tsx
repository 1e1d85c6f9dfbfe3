import { useState } from 'react';
import { Form as BsForm } from 'react-bootstrap';
import { data } from 'react-router';
import { CSV_DATES, CSV_DECIMALS, CSV_DELIMITERS, type CsvWays } from '../../../core/exchange';
import { requirePractitioner } from '../../../server/access/session.server';
import type { Route } from './+types/out';

export async function loader({ request }: Route.LoaderArgs) {
  const { role, timeZone } = await requirePractitioner(request);
  if (role !== 'owner') throw data({ message: 'Tables are taken out by the owner of the practice.' }, { status: 403 });
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
          <span className="soft">tables for spreadsheets; a single client’s whole record stands under Details</span>
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
        <p className="narrow soft mt-3">
          These files hold health data: keep them where only you can read them. What a spreadsheet would run as a
          formula is shielded by one more sign before it. The columns are told in docs/formats.
        </p>
      </main>
    </div>
  );
}
