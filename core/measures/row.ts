/**
 * One measure of the registry: everything that Assess, Relief, the command line and files need to know of it. What is
 * known of its error and what is known of its importance are two things, each with its own source; null where nobody
 * says.
 */
export interface MeasureRow {
  /** Kept for good. */
  id: string;
  /** Short name for columns of files; never changes. */
  code: string;
  /** As it is shown. */
  name: string;
  /** What the number counts: "of 10", "mm", "points". */
  unit: string;
  /** Least and most that can be taken; null where the most is open. */
  least: number;
  /** Null where it is open. */
  most: number | null;
  /** Which way is better; null: neither, and no course is told. */
  better: 'up' | 'down' | null;
  /** A smaller difference may be the measure's own error. */
  error: ChangeFigure | null;
  /** A smaller difference is none that people notice as better or worse. */
  matters: ChangeFigure | null;
  /** free: own wording or no wording; by-number: answers are typed from a form the practice may use. */
  licence: 'free' | 'by-number';
  /** Minutes that it takes. */
  minutes: number;
}

/** A difference from which something can be said. */
interface ChangeFigure {
  /** In the unit of the measure. */
  amount: number;
  /** Of the first value, asked for beside the amount. */
  percent?: number;
  /** Sources differ: from here on it is possible, from `amount` on it is said. */
  possibleFrom?: number;
  /** Where the figure was found for this place only; another place has none. */
  place?: string;
  /** Author and year, "from memory", or "our choice". */
  source: string;
}

export type ChangeVerdict =
  'first' | 'same' | 'no-figure' | 'within-error' | 'possible' | 'too-small' | 'better' | 'worse';

/** How a value stands to an earlier one: first against the measure's own error, then against what matters. */
export function changeVerdict(
  row: Pick<MeasureRow, 'better' | 'error' | 'matters'>,
  before: number | null,
  now: number | null,
  place = '',
): ChangeVerdict {
  if (before === null || now === null) return 'first';
  if (now === before) return 'same';
  const known = (t: ChangeFigure | null) => (t && (t.place === undefined || t.place === place) ? t : null);
  const [error, matters] = [known(row.error), known(row.matters)];
  if (!row.better || (!error && !matters)) return 'no-figure';
  const size = Math.abs(now - before);
  if (error && size < (error.possibleFrom ?? error.amount)) return 'within-error';
  if (error && size < error.amount) return 'possible';
  if (matters && (size < matters.amount || (matters.percent && size * 100 < matters.percent * Math.abs(before))))
    return 'too-small';
  return now > before === (row.better === 'up') ? 'better' : 'worse';
}

/** The same in words, with the figure it rests on and where that comes from. */
export function changeWords(
  row: Pick<MeasureRow, 'better' | 'error' | 'matters' | 'unit'>,
  before: number | null,
  now: number | null,
  place = '',
): string {
  const { error, matters, unit } = row;
  switch (changeVerdict(row, before, now, place)) {
    case 'first':
      return '';
    case 'same':
      return 'unchanged';
    case 'no-figure':
      return 'no error figure is known for this';
    case 'within-error':
      return `within the measure’s own error (${error!.possibleFrom ?? error!.amount} ${unit}; ${error!.source})`;
    case 'possible':
      return `a possible change (${error!.possibleFrom} to ${error!.amount} ${unit}; ${error!.source})`;
    case 'too-small':
      return `less than what matters (${matters!.amount} ${unit}${matters!.percent ? ` and ${matters!.percent} %` : ''}; ${matters!.source})`;
    default: {
      const said = [
        ...(error && (error.place === undefined || error.place === place)
          ? [`more than the measure’s own error (${error.amount} ${unit}; ${error.source})`]
          : []),
        ...(matters ? [`as much as matters (${matters.amount} ${unit}; ${matters.source})`] : []),
      ];
      return said.join(', ');
    }
  }
}
