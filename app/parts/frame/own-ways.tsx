import type { Learned } from '../../../core/guide';
import type { DateFormat } from '../../../core/record';
import { useMemo, type ReactNode } from 'react';
import { datesIn } from '../../../core/schedule';
import { PracticeDates } from './use-dates';
import { OwnRuns } from './use-learned';

/** How the practice writes days and how long its practitioner takes, for everything within. */
export function OwnWays({
  timeZone,
  dateFormat,
  learned,
  children,
}: {
  timeZone: string;
  dateFormat: DateFormat;
  learned: Learned;
  children: ReactNode;
}) {
  const dates = useMemo(() => datesIn(timeZone, dateFormat), [timeZone, dateFormat]);
  return (
    <PracticeDates value={dates}>
      <OwnRuns value={learned}>{children}</OwnRuns>
    </PracticeDates>
  );
}
