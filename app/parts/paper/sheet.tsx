import type { Learned } from '../../../core/guide';
import type { DateFormat } from '../../../core/record';
import type { ReactNode } from 'react';
import { Button } from 'react-bootstrap';
import { Link, useRouteLoaderData } from 'react-router';
import { useDates } from '../frame/use-dates';

/** Whose paper it is, from the route around every sheet. */
export interface PaperFrame {
  practiceName: string;
  practitioner: string;
  timeZone: string;
  dateFormat: DateFormat;
  nowIso: string;
  learned: Learned;
}
const usePaper = (): PaperFrame => useRouteLoaderData('routes/paper/frame') as PaperFrame;

/**
 * One print-out: on the screen as wide as on the paper, black on white in any room. What is at its head stands on every
 * page, as the head of a table does; the pages are numbered by the printer.
 */
export function Sheet({
  title,
  who,
  on,
  back,
  size,
  tools,
  children,
}: {
  title: string;
  /** The client; nothing where it is nobody’s. */
  who?: string;
  /** ISO 8601, what it tells of; today where nothing is said. */
  on?: string;
  /** Where it was opened from. */
  back: { to: string; words: string };
  /** Smaller than the printer’s own paper. */
  size?: 'A5' | undefined;
  /** What can be chosen of it, beside the print button. */
  tools?: ReactNode;
  children: ReactNode;
}) {
  const { shortDay } = useDates();
  const { practiceName, practitioner, nowIso } = usePaper();
  return (
    <div className={`paper${size === 'A5' ? ' is-a5' : ''}`} data-bs-theme="light">
      <div className="paper-tools no-print">
        <Link to={back.to}>{back.words}</Link>
        <span className="soft">Black on white, {size ?? 'A4 or Letter'}, as it stands below.</span>
        {tools}
        <Button onClick={() => window.print()}>Print</Button>
      </div>
      <table className="paper-sheet" role="presentation">
        <thead>
          <tr>
            <td>
              <div className="paper-head">
                <strong>{practiceName}</strong>
                <span>{[title, who].filter(Boolean).join(' · ')}</span>
                <span>{shortDay(on ?? nowIso)}</span>
              </div>
            </td>
          </tr>
        </thead>
        <tbody>
          <tr>
            <td>
              <main className="paper-body" id="work">
                {children}
                <p className="paper-foot">
                  Printed {shortDay(nowIso)} by {practitioner}.
                </p>
              </main>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  );
}
