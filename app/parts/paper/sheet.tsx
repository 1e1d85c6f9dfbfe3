import type { Learned } from '../../../core/guide';
import type { DateFormat } from '../../../core/record';
import { type ReactNode, useRef } from 'react';
import { Button } from 'react-bootstrap';
import { Link, useRouteLoaderData } from 'react-router';
import { useDates } from '../frame/use-dates';
import { SaveAsFile } from './save-as-file';

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
  asFile,
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
  /** Whose name a file of it bears; only for sheets that read from top to bottom, with no drawing as in a mirror. */
  asFile?: string;
  children: ReactNode;
}) {
  const { shortDay } = useDates();
  const { practiceName, practitioner, nowIso } = usePaper();
  const sheet = useRef<HTMLTableElement>(null);
  const day = shortDay(on ?? nowIso);
  return (
    <div className={`paper${size === 'A5' ? ' is-a5' : ''}`} data-bs-theme="light">
      <div className="paper-tools no-print">
        <Link to={back.to}>{back.words}</Link>
        <span className="soft">Black on white, {size ?? 'A4 or Letter'}, as it stands below.</span>
        {tools}
        {asFile && <SaveAsFile sheet={sheet} name={`${title} ${asFile} ${day}`} />}
        <Button onClick={() => window.print()}>Print</Button>
      </div>
      <table className="paper-sheet" role="presentation" ref={sheet}>
        <thead>
          <tr>
            <td>
              <div className="paper-head">
                <strong>{practiceName}</strong>
                <span>{[title, who].filter(Boolean).join(' · ')}</span>
                <span>{day}</span>
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
