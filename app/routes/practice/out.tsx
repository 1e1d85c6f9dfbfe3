import { useState } from 'react';
import type { CsvWays } from '../../../core/exchange';
import { permitted } from '../../../server/access/session.server';
import { type FileWays, TableWays } from '../../parts/fields/table-ways';
import type { Route } from './+types/out';

export async function loader({ request }: Route.LoaderArgs) {
  const { timeZone } = await permitted(request, 'see', 'records');
  return { timeZone };
}

const TABLES = [
  ['clients', 'Clients', 'One row for each complaint.'],
  ['readings', 'Ratings and measures', 'Every one, with side, phase, source and time.'],
  ['run-steps', 'What was guided', 'Every step of every run: planned and done seconds, done, in part or skipped.'],
] as const;
/** Tables of the practice for spreadsheets; how they are written is asked for, as no spreadsheet says what it takes. */
export default function Out({ loaderData: { timeZone } }: Route.ComponentProps) {
  const [ways, setWays] = useState<Pick<CsvWays, keyof FileWays>>({ delimiter: ',', decimal: '.', dates: 'iso' });
  const set = (change: Partial<FileWays>) => {
    const next = { ...ways, ...change } as typeof ways;
    // No spreadsheet tells a comma between cells from one in numbers.
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
        <TableWays ways={ways} onChange={set} timeZone={timeZone} />
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
